import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/groups'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Choice, DeskMenu, MenuHead } from '../DeskMenu'
import type { Give } from '../orders'
import { Making } from './Making'
import { FreeLine, TableLine } from './Names'
import { Sending } from './Sending'

type Table = Desk['groups']['tables'][number]

interface DrawingProps {
  desk: Desk
  lesson: string
  give: Give
  onList: () => void
}

/** Groups before anybody goes: made by chance or by hand, changed by drag, key or choice, and sent out. */
export function Drawing({ desk, lesson, give, onList }: DrawingProps) {
  const { tables } = desk.groups
  const [asked, setAsked] = useState<{ anchor: HTMLElement; person: string; name: string } | null>(null)
  const placed = new Set(tables.flatMap((table) => table.mates.map((mate) => mate.id)))
  const free = desk.door.pupils.filter((pupil) => pupil.whereabouts === 'IN' && !placed.has(pupil.id))
  const move = (person: string, to: string | null) => give({ do: 'to-group', person, to })
  const people = {
    onDrop: move,
    onKey: (person: string, key: string) => {
      const table = tables[Number(key) - 1]
      if (key === '0') move(person, null)
      else if (table) move(person, table.id)
    },
    onAsk: (anchor: HTMLElement, person: string, name: string) => setAsked({ anchor, person, name }),
  }
  return (
    <Flex as="section" direction="column" bg="sheet" minW="0" minH="0" aria-label={say.groupsLabel}>
      <Flex px="14px" py="6px" gap="8px" align="baseline" wrap="wrap" borderBottom="1px solid" borderColor="line">
        <chakra.h2 fontSize="15px">{say.drawUpGroups}</chakra.h2>
        <chakra.span fontSize="12px" color="ink2">
          {tables.length === 0 ? say.nobodyIsSentAnywhereYet : say.nobodyIsSentYet(desk.groups.how || say.byHand)}
        </chakra.span>
        <Box flex="1" />
        <Button onClick={onList}>{say.classList}</Button>
      </Flex>
      <Making desk={desk} lesson={lesson} give={give} />
      <Box flex="1" minH="0" overflowY="auto" tabIndex={0} role="region" aria-label={say.groupsAsTheyAreDrawnUp}>
        {tables.map((table, place) => (
          <TableLine key={table.id} table={table} number={place + 1} give={give} {...people} />
        ))}
        <FreeLine free={free} {...people} />
        <Flex px="14px" py="6px" gap="8px" align="center" fontSize="12.5px" color="ink2" wrap="wrap">
          <Button size="small" onClick={() => give({ do: 'add-group', name: nextName(tables) })}>
            {say.addAGroup}
          </Button>
          {tables.length > 0 && <span>{say.dragANamePress}</span>}
        </Flex>
      </Box>
      {tables.length > 0 && <Sending desk={desk} lesson={lesson} give={give} />}
      <DeskMenu
        anchor={asked?.anchor ?? null}
        onClose={() => {
          asked?.anchor.focus()
          setAsked(null)
        }}
      >
        {asked && (
          <>
            <MenuHead>{asked.name}</MenuHead>
            {tables.map((table, place) => (
              <Choice key={table.id} value={table.id} onSelect={() => move(asked.person, table.id)}>
                {place + 1} {table.name}
              </Choice>
            ))}
            <Choice value="none" onSelect={() => move(asked.person, null)}>
              {say.inNoGroupWord}
            </Choice>
          </>
        )}
      </DeskMenu>
    </Flex>
  )
}

function nextName(tables: Table[]): string {
  const taken = new Set(tables.map((table) => table.name))
  let number = tables.length + 1
  while (taken.has(say.groupNumber(number))) number++
  return say.groupNumber(number)
}
