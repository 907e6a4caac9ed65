import { chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/groups'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import type { Give } from '../orders'

type Table = Desk['groups']['tables'][number]

/** What can be done with a name. */
interface PeopleProps {
  onDrop: (person: string, to: string | null) => void
  onKey: (person: string, key: string) => void
  onAsk: (anchor: HTMLElement, person: string, name: string) => void
}

/** One group as it is drawn up. */
export function TableLine({ table, number, give, ...people }: { table: Table; number: number; give: Give } & PeopleProps) {
  const [name, setName] = useState(table.name)
  const [known, setKnown] = useState(table.name)
  if (known !== table.name) {
    setKnown(table.name)
    setName(table.name)
  }
  const rename = () => name.trim() && name !== table.name && give({ do: 'name-group', group: table.id, name })
  return (
    <Flex
      role="group"
      aria-label={table.name}
      gap="10px"
      px="14px"
      py="4px"
      align="center"
      borderBottom="1px solid"
      borderColor="line"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault()
        people.onDrop(event.dataTransfer.getData('text/plain'), table.id)
      }}
    >
      <chakra.span fontFamily="mono" fontSize="12px" color="ink3" w="14px">
        {number}
      </chakra.span>
      <TextInput
        aria-label={say.nameOf(table.name)}
        w="130px"
        flexShrink={0}
        fontFamily="heading"
        fontWeight="650"
        py="2px"
        value={name}
        maxLength={80}
        onChange={(event) => setName(event.target.value)}
        onBlur={rename}
        onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
      />
      <Flex gap="4px" wrap="wrap" flex="1" minW="0">
        {table.mates.length === 0 && <chakra.span color="ink3">{say.nobodyYet}</chakra.span>}
        {table.mates.map((mate) => (
          <Name key={mate.id} id={mate.id} name={mate.name} away={mate.where === 'MISSING'} {...people} />
        ))}
      </Flex>
      <chakra.label display="inline-flex" gap="4px" fontSize="12.5px" alignItems="center">
        <input
          type="checkbox"
          checked={table.locked}
          onChange={(event) => give({ do: 'lock-group', group: table.id, on: event.target.checked })}
        />
        {say.keep}
      </chakra.label>
      <Button
        size="small"
        disabled={table.mates.length === 0}
        aria-label={say.empty(table.name)}
        onClick={() => give({ do: 'empty-group', group: table.id })}
      >
        {say.emptyButton}
      </Button>
    </Flex>
  )
}

/** Those who are here and in no group. */
export function FreeLine({ free, ...people }: { free: { id: string; name: string }[] } & PeopleProps) {
  if (free.length === 0) return null
  return (
    <Flex
      role="group"
      aria-label={say.inNoGroup}
      gap="10px"
      px="14px"
      py="6px"
      align="center"
      borderBottom="1px solid"
      borderColor="line"
      bg="paper"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault()
        people.onDrop(event.dataTransfer.getData('text/plain'), null)
      }}
    >
      <chakra.span w="154px" flexShrink={0} color="ink2">
        {say.inNoGroupSaid(free.length)}
      </chakra.span>
      <Flex gap="4px" wrap="wrap">
        {free.map((one) => (
          <Name key={one.id} id={one.id} name={one.name} away={false} {...people} />
        ))}
      </Flex>
    </Flex>
  )
}

/** A name that is dragged, moved by a number, or pressed to choose. */
function Name({ id, name, away, onKey, onAsk }: { id: string; name: string; away: boolean } & PeopleProps) {
  return (
    <chakra.button
      type="button"
      draggable
      aria-haspopup="menu"
      cursor="grab"
      px="6px"
      minH="24px"
      fontSize="13px"
      border="1px solid"
      borderColor="lineStrong"
      bg="sheet"
      color={away ? 'ink3' : 'ink'}
      css={{ '@media (pointer: coarse)': { minHeight: '36px' } }}
      onDragStart={(event) => event.dataTransfer.setData('text/plain', id)}
      onKeyDown={(event) => {
        if (/^[0-9]$/.test(event.key)) onKey(id, event.key)
      }}
      onClick={(event) => onAsk(event.currentTarget, id, name)}
    >
      {say.missing(name, away)}
    </chakra.button>
  )
}
