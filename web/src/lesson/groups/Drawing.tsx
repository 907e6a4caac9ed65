import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { get } from '../../shared/api/http'
import type { Desk, GroupsMade, GroupsPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextArea, TextInput } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Shutter } from '../../shared/ui/Shutter'
import { Choice, DeskMenu, MenuHead } from '../DeskMenu'
import { useOrders, type Give } from '../orders'
import type { Recipe } from './orders'

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
    <Flex as="section" direction="column" bg="sheet" minW="0" minH="0" aria-label="Groups">
      <Flex px="14px" py="6px" gap="8px" align="baseline" wrap="wrap" borderBottom="1px solid" borderColor="line">
        <chakra.h2 fontSize="15px">Draw up groups</chakra.h2>
        <chakra.span fontSize="12px" color="ink2">
          {tables.length === 0 ? 'Nobody is sent anywhere yet.' : `${desk.groups.how || 'by hand'} · nobody is sent anywhere yet`}
        </chakra.span>
        <Box flex="1" />
        <Button onClick={onList}>Class list</Button>
      </Flex>
      <Making desk={desk} lesson={lesson} give={give} />
      <Box flex="1" minH="0" overflowY="auto" tabIndex={0} role="region" aria-label="Groups as they are drawn up">
        {tables.map((table, place) => (
          <TableLine key={table.id} table={table} number={place + 1} give={give} {...people} />
        ))}
        <FreeLine free={free} {...people} />
        <Flex px="14px" py="6px" gap="8px" align="center" fontSize="12.5px" color="ink2" wrap="wrap">
          <Button size="small" onClick={() => give({ do: 'add-group', name: nextName(tables) })}>
            Add a group
          </Button>
          {tables.length > 0 && <span>Drag a name, press the number of a group on it, or press it and choose.</span>}
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
              0 in no group
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
  while (taken.has(`Group ${number}`)) number++
  return `Group ${number}`
}

/** How groups are to be made; what cannot be kept is said. */
function Making({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const here = desk.door.pupils.filter((pupil) => pupil.whereabouts === 'IN').length
  const [recipe, setRecipe] = useState<Recipe>({ by: 'SIZE', count: 4, balanced: false, mixed: true, times: 5, trusted: false })
  const making = useOrders(lesson)
  const kept = usePreview(desk, lesson)
  const made = (making.data as { data?: GroupsMade } | undefined)?.data
  const change = (part: Partial<Recipe>) => setRecipe({ ...recipe, ...part })
  const tick = (key: 'balanced' | 'mixed' | 'trusted', words: string) => (
    <chakra.label key={key} display="inline-flex" gap="4px" alignItems="center" whiteSpace="nowrap">
      <input type="checkbox" checked={recipe[key]} onChange={(event) => change({ [key]: event.target.checked })} /> {words}
    </chakra.label>
  )
  return (
    <Box px="14px" py="6px" borderBottom="1px solid" borderColor="line" fontSize="13px">
      <chakra.form
        display="flex"
        gap="6px 10px"
        flexWrap="wrap"
        alignItems="center"
        onSubmit={(event) => {
          event.preventDefault()
          making.mutate({ do: 'make-groups', recipe })
        }}
      >
        <TextInput
          aria-label="How many"
          type="number"
          min={1}
          max={60}
          w="58px"
          value={recipe.count}
          onChange={(event) => change({ count: Number(event.target.value) })}
        />
        <Select
          aria-label="Of what"
          w="128px"
          value={recipe.by}
          onChange={(event) => change({ by: event.target.value as Recipe['by'] })}
        >
          <option value="SIZE">pupils in each</option>
          <option value="NUMBER">groups</option>
        </Select>
        {tick('mixed', 'new company')}
        {recipe.mixed && (
          <Select
            aria-label="Looked for in"
            w="112px"
            value={recipe.times}
            onChange={(event) => change({ times: Number(event.target.value) })}
          >
            {[1, 3, 5, 10].map((times) => (
              <option key={times} value={times}>
                {times === 1 ? 'last time' : `last ${times} times`}
              </option>
            ))}
          </Select>
        )}
        {tick('balanced', 'balanced')}
        {tick('trusted', 'a trusted pupil in each')}
        <Button type="submit" look="main" disabled={making.isPending || here === 0}>
          Make groups of {here}
        </Button>
        {(kept?.lastTimes ?? 0) > 0 && <Button onClick={() => give({ do: 'groups-as-last' })}>As last time</Button>}
        {(kept?.prepared.length ?? 0) > 0 && (
          <Select
            aria-label="Prepared groups"
            w="110px"
            value=""
            onChange={(event) => event.target.value && give({ do: 'groups-prepared', set: event.target.value })}
          >
            <option value="">prepared…</option>
            {kept?.prepared.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        )}
      </chakra.form>
      <ProblemNote problem={making.error} compact />
      <Box role="status" fontSize="12.5px" mt={made ? '4px' : '0'}>
        {made?.says.map((sentence) => (
          <Box key={sentence} color="verdict.wait">
            {sentence}
          </Box>
        ))}
        {made && recipe.mixed && <Box color="ink2">{company(made)}</Box>}
      </Box>
    </Box>
  )
}

function company(made: GroupsMade): string {
  if (made.metAgain === 0) return 'Nobody meets somebody of the last times again.'
  const pairs = made.metAgain === 1 ? '1 pair meets again' : `${made.metAgain} pairs meet again`
  return made.metAgain === made.metAtLeast
    ? `${pairs}; with groups of this size it cannot be fewer.`
    : `${pairs}; fewer than ${made.metAtLeast} cannot be.`
}

interface PeopleProps {
  onDrop: (person: string, to: string | null) => void
  onKey: (person: string, key: string) => void
  onAsk: (anchor: HTMLElement, person: string, name: string) => void
}

function TableLine({ table, number, give, ...people }: { table: Table; number: number; give: Give } & PeopleProps) {
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
        aria-label={`Name of ${table.name}`}
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
        {table.mates.length === 0 && <chakra.span color="ink3">nobody yet</chakra.span>}
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
        keep
      </chakra.label>
      <Button
        size="small"
        disabled={table.mates.length === 0}
        aria-label={`Empty ${table.name}`}
        onClick={() => give({ do: 'empty-group', group: table.id })}
      >
        Empty
      </Button>
    </Flex>
  )
}

function FreeLine({ free, ...people }: { free: { id: string; name: string }[] } & PeopleProps) {
  if (free.length === 0) return null
  return (
    <Flex
      role="group"
      aria-label="In no group"
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
        in no group ({free.length})
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
      {name}
      {away && ' (missing)'}
    </chakra.button>
  )
}

/** What holds in groups, and what they can be made from; asked again when the rights of the class change. */
function usePreview(desk: Desk, lesson: string): GroupsPreview | undefined {
  return useQuery({
    queryKey: ['groups-preview', lesson, desk.rights.columns],
    queryFn: () => get<GroupsPreview>(`/api/lessons/${encodeURIComponent(lesson)}/groups/preview`),
  }).data
}

/** What is to be done, what holds there, how long, and off they go. */
function Sending({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const { groups } = desk
  const [task, setTask] = useState(groups.task)
  const [known, setKnown] = useState(groups.task)
  const [minutes, setMinutes] = useState('10')
  const [invite, setInvite] = useState(false)
  const sending = useOrders(lesson)
  const preview = usePreview(desk, lesson)
  if (known !== groups.task) {
    setKnown(groups.task)
    setTask(groups.task)
  }
  const binding = groups.broken.filter((one) => one.binding)
  return (
    <Box px="14px" py="8px" borderTop="1.5px solid" borderColor="ink" fontSize="13px" flexShrink={0}>
      <Box role="status">
        {groups.broken.map((one) => (
          <Box key={one.says} color={one.binding ? 'verdict.away' : 'verdict.wait'} fontWeight={one.binding ? 650 : 400}>
            {one.binding ? 'Keeps them from being sent: ' : 'Not as wished: '}
            {one.says}.
          </Box>
        ))}
      </Box>
      {preview && <Rights preview={preview} />}
      <TextArea
        aria-label="What is to be done"
        placeholder="What is to be done in the groups. Everybody reads it at the own seat."
        rows={2}
        resize="none"
        maxLength={1000}
        mt="5px"
        value={task}
        onChange={(event) => setTask(event.target.value)}
        onBlur={() => task !== groups.task && give({ do: 'groups-task', text: task })}
      />
      <ProblemNote problem={sending.error} compact />
      <Flex gap="8px" mt="6px" align="center" wrap="wrap">
        <chakra.label display="inline-flex" gap="5px" alignItems="center">
          for
          <TextInput
            aria-label="Minutes in groups"
            type="number"
            min={1}
            max={preview?.minutes ?? 120}
            w="60px"
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
          min{preview && `, up to ${preview.minutes}`}
        </chakra.label>
        <Select
          aria-label="How they go"
          w="190px"
          value={invite ? 'invite' : 'once'}
          onChange={(event) => setInvite(event.target.value === 'invite')}
        >
          <option value="once">all go at once</option>
          <option value="invite">each goes when they accept</option>
        </Select>
        <Box flex="1" />
        <Button
          look="main"
          disabled={sending.isPending || binding.length > 0}
          onClick={() => sending.mutate({ do: 'send-out', minutes: Number(minutes), invite })}
        >
          Send out
        </Button>
      </Flex>
    </Box>
  )
}

/** What pupils may in a group, and what is kept of it. */
function Rights({ preview }: { preview: GroupsPreview }) {
  return (
    <Box color="ink2" fontSize="12.5px">
      <Flex gap="4px 12px" wrap="wrap" align="center">
        <strong>In a group:</strong>
        {preview.rights.map((right) => (
          <Flex key={right.rule} as="span" gap="4px" align="center" fontWeight={right.now === right.inGroups ? 400 : 650}>
            <Shutter value={right.inGroups.toLowerCase().replace('_', '-')} /> {right.title}
            {right.now !== right.inGroups && ' (otherwise there)'}
          </Flex>
        ))}
      </Flex>
      <Box>
        {preview.recording} A group is without an adult for {preview.aloneMinutes} min at most.
      </Box>
    </Box>
  )
}
