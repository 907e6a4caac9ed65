import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { say as staffSays } from '../../languages/en/staff/classes'
import { post, put, remove } from '../../shared/api/http'
import type { ClassGroups, ProposedGroups } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextArea, TextInput } from '../../shared/ui/Fields'
import { EmptyNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import type { KeptProps } from './kept'

type Prepared = ClassGroups['prepared'][number]
type Draft = Omit<Prepared, 'breaks'>

const NEW: Draft = { id: '', name: '', task: '', groups: [] }

/** Groups prepared before a lesson, under a name: drawn up at the desk, or placed in the running order. */
export function PreparedGroups({ groups, path, say }: KeptProps) {
  const [draft, setDraft] = useState<Draft | null>(null)
  const nameOf = (id: string) => groups.pupils.find((one) => one.id === id)?.name ?? staffSays.somebodyWhoHasLeft
  return (
    <Box as="section" aria-label={staffSays.preparedGroups}>
      <chakra.h2 fontSize="17px">{staffSays.preparedGroups}</chakra.h2>
      <chakra.p color="ink2" mb="6px">
        {staffSays.drawnUpAtTheDesk}
      </chakra.p>
      {groups.prepared.length === 0 && <EmptyNote>{staffSays.noGroupsArePrepared}</EmptyNote>}
      {groups.prepared.map((one) => (
        <Box key={one.id} bg="sheet" borderTop="1.5px solid" borderColor="ink" px="10px" py="6px" mb="8px">
          <Flex gap="10px" align="baseline">
            <chakra.h3 fontSize="15px" flex="1">
              {one.name}
            </chakra.h3>
            <Button size="small" onClick={() => setDraft(one)}>
              {staffSays.change}
              <chakra.span srOnly> {one.name}</chakra.span>
            </Button>
            <Button size="small" onClick={() => say(() => remove<ClassGroups>(`${path}/prepared/${one.id}`))}>
              {staffSays.delete}
              <chakra.span srOnly> {one.name}</chakra.span>
            </Button>
          </Flex>
          {one.task && <Box color="ink2">{one.task}</Box>}
          {one.groups.map((group) => (
            <Box key={group.name}>
              <strong>{group.name}:</strong> {group.people.map(nameOf).join(', ') || staffSays.nobodyYet}
            </Box>
          ))}
          {one.breaks.map((wish) => (
            <Box key={wish} color="verdict.away" fontWeight="650">
              {staffSays.notAsKept(wish)}
            </Box>
          ))}
        </Box>
      ))}
      <Button onClick={() => setDraft(NEW)}>{staffSays.prepareGroups}</Button>
      <Sheet
        title={draft?.id ? staffSays.changeSaid(draft.name) : staffSays.prepareGroupsTitle}
        open={draft !== null}
        onClose={() => setDraft(null)}
        wide
      >
        {draft && (
          <Editor
            key={draft.id}
            draft={draft}
            groups={groups}
            path={path}
            onKeep={(kept) => {
              const { id, ...body } = kept
              say(
                () => (id ? put<ClassGroups>(`${path}/prepared/${id}`, body) : post<ClassGroups>(`${path}/prepared`, body)),
                () => setDraft(null),
              )
            }}
          />
        )}
      </Sheet>
    </Box>
  )
}

interface EditorProps {
  draft: Draft
  groups: ClassGroups
  path: string
  onKeep: (draft: Draft) => void
}

/** Made by the program first, then changed: each pupil has a number, each number a name. */
function Editor({ draft, groups, path, onKeep }: EditorProps) {
  const [name, setName] = useState(draft.name)
  const [task, setTask] = useState(draft.task)
  const [made, setMade] = useState(draft.groups)
  const [count, setCount] = useState('4')
  const [mixed, setMixed] = useState(true)
  const [balanced, setBalanced] = useState(false)
  const [trusted, setTrusted] = useState(false)
  const propose = useMutation({
    mutationFn: () =>
      post<ProposedGroups>(`${path}/groups/proposal`, {
        by: 'SIZE',
        count: Number(count),
        balanced,
        mixed,
        times: 5,
        trusted,
        seed: 0,
      }),
    onSuccess: (proposal) =>
      setMade(proposal.groups.map((people, place) => ({ name: made[place]?.name ?? staffSays.group(place + 1), people }))),
  })
  const placeOf = (person: string) => made.findIndex((group) => group.people.includes(person))
  const move = (person: string, to: number) =>
    setMade(
      made.map((group, place) => ({
        ...group,
        people: [...group.people.filter((one) => one !== person), ...(place === to ? [person] : [])],
      })),
    )
  const tick = (words: string, on: boolean, set: (on: boolean) => void) => (
    <chakra.label display="inline-flex" gap="4px" alignItems="center">
      <input type="checkbox" checked={on} onChange={(event) => set(event.target.checked)} /> {words}
    </chakra.label>
  )
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        onKeep({ id: draft.id, name, task, groups: made })
      }}
    >
      <Flex gap="8px" wrap="wrap" mb="8px">
        <TextInput
          aria-label={staffSays.name}
          placeholder={staffSays.aNameSuchAsTideTables}
          flex="1"
          minW="200px"
          required
          maxLength={80}
          value={name}
          onChange={(event) => setName(event.target.value)}
        />
        <TextArea
          aria-label={staffSays.whatIsToBeDone}
          placeholder={staffSays.whatIsToBeDone}
          rows={1}
          flex="2"
          minW="240px"
          maxLength={1000}
          value={task}
          onChange={(event) => setTask(event.target.value)}
        />
      </Flex>
      <Flex gap="8px 12px" wrap="wrap" align="center" mb="8px">
        <TextInput
          aria-label={staffSays.pupilsInEach}
          type="number"
          min={2}
          max={60}
          w="58px"
          value={count}
          onChange={(event) => setCount(event.target.value)}
        />
        {staffSays.inEach}
        {tick(staffSays.newCompany, mixed, setMixed)}
        {tick('balanced', balanced, setBalanced)}
        {tick(staffSays.aTrustedPupil, trusted, setTrusted)}
        <Button disabled={propose.isPending} onClick={() => propose.mutate()}>
          {staffSays.makeGroups}
        </Button>
        <Button onClick={() => setMade([...made, { name: staffSays.groupSaid(made.length + 1), people: [] }])}>
          {staffSays.addOne}
        </Button>
      </Flex>
      <ProblemNote problem={propose.error} compact />
      <Box role="status" color="verdict.wait">
        {propose.data?.says.map((one) => (
          <Box key={one}>{one}</Box>
        ))}
      </Box>
      {made.length > 0 && (
        <>
          <Flex gap="6px" wrap="wrap" mb="8px">
            {made.map((group, place) => (
              <TextInput
                key={place}
                aria-label={staffSays.nameOfGroup(place + 1)}
                w="130px"
                value={group.name}
                maxLength={80}
                onChange={(event) =>
                  setMade(made.map((one, other) => (other === place ? { ...one, name: event.target.value } : one)))
                }
              />
            ))}
          </Flex>
          <Box
            columns={{ base: 1, md: 2 }}
            maxH="320px"
            overflowY="auto"
            tabIndex={0}
            role="region"
            aria-label={staffSays.pupils}
          >
            {groups.pupils.map((pupil) => (
              <chakra.label key={pupil.id} display="flex" gap="8px" py="2px" breakInside="avoid" alignItems="center">
                <chakra.span flex="1">{pupil.name}</chakra.span>
                <Select
                  w="140px"
                  py="1px"
                  value={placeOf(pupil.id)}
                  onChange={(event) => move(pupil.id, Number(event.target.value))}
                >
                  <option value={-1}>{staffSays.inNone}</option>
                  {made.map((group, place) => (
                    <option key={place} value={place}>
                      {group.name}
                    </option>
                  ))}
                </Select>
              </chakra.label>
            ))}
          </Box>
        </>
      )}
      <Button type="submit" look="main" mt="10px" disabled={made.length === 0}>
        {staffSays.keepTheseGroups}
      </Button>
    </chakra.form>
  )
}
