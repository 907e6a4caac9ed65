import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/classes'
import { get, post, put, remove } from '../../shared/api/http'
import type { Candidate, ClassPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextField } from '../../shared/ui/Fields'
import { EmptyNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import { RosterImport } from './RosterImport'

type Pupil = ClassPage['pupils'][number]

/** Who is in the class: taken in and out one by one, from a list or a file, and trusted to help. */
export function Roster({ page }: { page: ClassPage }) {
  const [chosen, setChosen] = useState<string | null>(null)
  const [gone, setGone] = useState<Pupil | null>(null)
  const change = useClassChange(page.id)
  const pupil = page.pupils.find((one) => one.id === chosen)
  return (
    <Grid templateColumns={{ base: '1fr', md: page.mine ? '1fr 400px' : '1fr' }} gap="28px">
      <Box>
        {page.pupils.length === 0 ? (
          <EmptyNote>{say.nobodyIsOnTheClass}</EmptyNote>
        ) : (
          <chakra.ol
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            css={{ columns: 2, columnGap: '24px' }}
            listStyleType="none"
          >
            {page.pupils.map((one, place) => (
              <chakra.li
                key={one.id}
                display="flex"
                gap="10px"
                px="10px"
                py="3px"
                alignItems="baseline"
                borderBottom="1px solid"
                borderColor="line"
                breakInside="avoid"
              >
                <chakra.span fontFamily="mono" fontSize="12px" color="ink3" w="20px" textAlign="end">
                  {place + 1}
                </chakra.span>
                <Button look="quiet" textAlign="start" whiteSpace="normal" onClick={() => setChosen(one.id)}>
                  {one.name}
                </Button>
                {trust(page, one).length > 0 && (
                  <chakra.span fontSize="12px" color="ink2">
                    {say.classMonitor}
                  </chakra.span>
                )}
              </chakra.li>
            ))}
          </chakra.ol>
        )}
        {gone && (
          <chakra.p role="status" mt="8px">
            {say.isOutOfTheClass(gone.name)}{' '}
            <Button
              size="small"
              disabled={change.isPending}
              onClick={() =>
                change.mutate(() => post<ClassPage>(`/api/classes/${page.id}/pupils`, { person: gone.id }), {
                  onSuccess: () => setGone(null),
                })
              }
            >
              {say.undo}
            </Button>
          </chakra.p>
        )}
        <ProblemNote problem={change.error} compact />
        {page.pupils.length > 0 && (
          <chakra.p mt="6px" fontSize="13px">
            <chakra.a textDecoration="underline" href={`/api/classes/${page.id}/roster/table`} download="roster.csv">
              {say.takeTheRosterOut}
            </chakra.a>
          </chakra.p>
        )}
        <AddPupil page={page} />
      </Box>
      {page.mine && <RosterImport id={page.id} />}
      {pupil && (
        <PupilSheet
          key={pupil.id}
          page={page}
          pupil={pupil}
          onClose={() => setChosen(null)}
          onGone={() => {
            setChosen(null)
            setGone(pupil)
          }}
        />
      )}
    </Grid>
  )
}

const trust = (page: ClassPage, pupil: Pupil) => page.monitors.filter((one) => one.person === pupil.id)

/** Each order answers with the class as it is then. */
function useClassChange(id: string) {
  const cache = useQueryClient()
  return useMutation({
    mutationFn: (order: () => Promise<ClassPage>) => order(),
    onSuccess: (next) => {
      cache.setQueryData(['class', id], next)
      return Promise.all(['inspection', 'candidates'].map((key) => cache.invalidateQueries({ queryKey: [key] })))
    },
  })
}

function AddPupil({ page }: { page: ClassPage }) {
  const [name, setName] = useState('')
  const change = useClassChange(page.id)
  const wanted = name.trim()
  const { data } = useQuery({
    queryKey: ['candidates', page.id, wanted],
    queryFn: () => get<Candidate[]>(`/api/classes/${page.id}/candidates?name=${encodeURIComponent(wanted)}`),
    enabled: wanted.length > 1,
    placeholderData: (before) => before,
  })
  const add = (body: { person: string } | { name: string }) =>
    change.mutate(() => post<ClassPage>(`/api/classes/${page.id}/pupils`, body), { onSuccess: () => setName('') })
  const found = wanted.length > 1 ? (data ?? []) : []
  return (
    <Box as="section" aria-label={say.addOnePupil} mt="18px" maxW="460px">
      <chakra.h2 fontSize="17px" mb="4px">
        {say.addOnePupil}
      </chakra.h2>
      <TextField
        label={say.name}
        hint={say.twoLettersFindPupils}
        maxLength={80}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <Flex direction="column" gap="3px" align="start" aria-live="polite">
        {found.map((one) => (
          <Button key={one.id} disabled={change.isPending} onClick={() => add({ person: one.id })}>
            {say.add(one.name, one.year)}
          </Button>
        ))}
        {wanted.length > 1 && data && (
          <Button disabled={change.isPending} onClick={() => add({ name: wanted })}>
            {say.addWhoIsNew(wanted)}
          </Button>
        )}
      </Flex>
      <ProblemNote problem={change.error} compact />
    </Box>
  )
}

interface PupilSheetProps {
  page: ClassPage
  pupil: Pupil
  onClose: () => void
  onGone: () => void
}

/** One pupil in this class: trusted to help until a day, or out of it. */
function PupilSheet({ page, pupil, onClose, onGone }: PupilSheetProps) {
  const change = useClassChange(page.id)
  const [until, setUntil] = useState('')
  const [lesson, setLesson] = useState('')
  const path = `/api/classes/${page.id}`
  const person = encodeURIComponent(pupil.id)
  const coming = page.lessons.filter((one) => one.phase !== 'OVER')
  const when = (id?: string) => {
    const found = page.lessons.find((one) => one.id === id)
    return found ? say.theLessonOf(found.starts.slice(0, 10)) : say.allLessonsOfThisClass
  }
  return (
    <Sheet title={pupil.name} open onClose={onClose}>
      <chakra.h3 fontSize="15px">{say.classMonitorHeading}</chakra.h3>
      <chakra.p color="ink2" mb="6px">
        {say.aTrustedPupilMayDo}
      </chakra.p>
      {trust(page, pupil).map((one) => (
        <Flex key={one.lesson ?? ''} gap="10px" align="center" mb="6px">
          <Box flex="1">{say.inUntil(when(one.lesson), one.until)}</Box>
          <Button
            size="small"
            disabled={change.isPending}
            onClick={() =>
              change.mutate(() => remove<ClassPage>(`${path}/monitors/${person}?lesson=${encodeURIComponent(one.lesson ?? '')}`))
            }
          >
            {say.endIt}
          </Button>
        </Flex>
      ))}
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          change.mutate(() => put<ClassPage>(`${path}/monitors/${person}`, { until, lesson: lesson === '' ? null : lesson }))
        }}
      >
        <Flex gap="10px" align="end" wrap="wrap">
          <Box w="170px">
            <TextField
              label={say.untilTheEnd}
              type="date"
              value={until}
              onChange={(event) => setUntil(event.target.value)}
              required
            />
          </Box>
          <Select
            aria-label={say.inWhichLessons}
            w="220px"
            mb="10px"
            value={lesson}
            onChange={(event) => setLesson(event.target.value)}
          >
            <option value="">{say.allLessonsOfThisClass}</option>
            {coming.slice(0, 12).map((one) => (
              <option key={one.id} value={one.id}>
                {say.theLessonOf(one.starts.slice(0, 10))}
              </option>
            ))}
          </Select>
        </Flex>
        <Button type="submit" disabled={change.isPending}>
          {say.makeClassMonitor}
        </Button>
      </chakra.form>
      <ProblemNote problem={change.error} compact />
      <Box mt="18px">
        <Button
          look="stop"
          disabled={change.isPending}
          onClick={() => change.mutate(() => remove<ClassPage>(`${path}/pupils/${person}`), { onSuccess: onGone })}
        >
          {say.takeOutOfTheClass}
        </Button>
      </Box>
    </Sheet>
  )
}
