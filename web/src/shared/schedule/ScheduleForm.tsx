import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/shared'
import { get, post } from '../api/http'
import type { Joining, Scheduled } from '../api/types'
import { standing } from '../standing'
import { useSchoolTime } from '../time'
import { Button } from '../ui/Button'
import { CopyButton } from '../ui/CopyButton'
import { ProblemNote } from '../ui/Notes'
import { asSent, likelySeries, SeriesFields } from './SeriesFields'

/** Weak spots that are told on the spot. */
const SHOWN = 6

/** Weekly on chosen days until a date, or once (need B2); then the link that pupils come by. */
export function ScheduleForm({ id }: { id: string }) {
  const cache = useQueryClient()
  const { data: school } = useQuery(standing)
  const today = useSchoolTime().isoDay(school?.now ?? Date.now())
  const [form, setForm] = useState(() => likelySeries(today))
  const refresh = () =>
    Promise.all([
      cache.invalidateQueries({ queryKey: ['class', id] }),
      cache.invalidateQueries({ queryKey: ['timetable'] }),
      cache.invalidateQueries({ queryKey: ['inspection'] }),
    ])
  const schedule = useMutation({
    mutationFn: () => post<Scheduled>(`/api/classes/${id}/series`, asSent(form)),
    onSuccess: () => {
      undo.reset()
      return refresh()
    },
  })
  const undo = useMutation({
    mutationFn: (change: string) => post(`/api/timetable/changes/${change}/undo`),
    onSuccess: () => {
      schedule.reset()
      return refresh()
    },
  })
  return (
    <chakra.form
      aria-label={say.scheduleLessons}
      onSubmit={(event) => {
        event.preventDefault()
        schedule.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        {say.scheduleLessons}
      </chakra.h2>
      <SeriesFields form={form} onChange={setForm} />
      <ProblemNote problem={schedule.error} />
      <Button type="submit" look="main" disabled={schedule.isPending}>
        {say.schedule}
      </Button>
      <ProblemNote problem={undo.error} />
      <chakra.p role="status" mt="6px">
        {say.takenBackNone(undo.isSuccess)}
        {schedule.data && saidOf(schedule.data)}{' '}
        {schedule.data && schedule.data.added > 0 && (
          <Button size="small" disabled={undo.isPending} onClick={() => undo.mutate(schedule.data.change)}>
            {say.undo}
          </Button>
        )}
      </chakra.p>
      {schedule.data && schedule.data.added > 0 && <ItsLink id={id} />}
      {schedule.data && <Appearing spots={schedule.data.appearing} />}
    </chakra.form>
  )
}

/** What was planned, and what was left out and why. */
export function saidOf(done: Scheduled): string {
  return [
    done.added === 1 ? say.lessonIsPlanned : say.lessonsArePlanned(done.added),
    done.left > 0 && say.leftOutTheClass(done.left),
    done.holidays > 0 && say.leftOutTheyFallInHolidays(done.holidays),
  ]
    .filter(Boolean)
    .join(' ')
}

/** The link of a class, to be copied where lessons were just planned. */
export function ItsLink({ id }: { id: string }) {
  const { data, error } = useQuery({ queryKey: ['joining', id], queryFn: () => get<Joining>(`/api/classes/${id}/joining`) })
  if (error) return <ProblemNote problem={error} compact />
  if (!data) return null
  return (
    <Box mt="8px" p="8px 10px" border="1px solid" borderColor="lineStrong">
      <chakra.p fontFamily="mono" fontSize="12.5px" overflowWrap="anywhere" mb="6px">
        {data.link}
      </chakra.p>
      <CopyButton look="main" text={data.link}>
        {say.copyTheLink}
      </CopyButton>{' '}
      <CopyButton text={data.forPupils.text}>{say.copyTheJoiningNote}</CopyButton>
    </Box>
  )
}

export function Appearing({ spots }: { spots: string[] }) {
  if (spots.length === 0) return null
  return (
    <Box role="alert" borderInlineStart="4px solid" borderColor="verdict.away" bg="verdict.awaySoft" px="12px" py="6px" mt="6px">
      <strong>{say.lookAt}</strong>
      <chakra.ul ps="18px" listStyleType="disc">
        {spots.slice(0, SHOWN).map((one) => (
          <li key={one}>{one}</li>
        ))}
      </chakra.ul>
      {say.andMoreTheInspectionLists(spots.length, SHOWN, spots.length - SHOWN)}
    </Box>
  )
}
