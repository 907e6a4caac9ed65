import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post } from '../api/http'
import type { Scheduled } from '../api/types'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Fields'
import { ProblemNote } from '../ui/Notes'

/** Weak spots that are told on the spot. */
const SHOWN = 6
const DAYS = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY']

/** Weekly on chosen days until a date (need B2). */
export function ScheduleForm({ id }: { id: string }) {
  const cache = useQueryClient()
  const [form, setForm] = useState({
    first: '',
    until: '',
    days: [] as string[],
    start: '10:00',
    minutes: 50,
    everyWeeks: 1,
  })
  const refresh = () =>
    Promise.all([
      cache.invalidateQueries({ queryKey: ['class', id] }),
      cache.invalidateQueries({ queryKey: ['timetable'] }),
      cache.invalidateQueries({ queryKey: ['inspection'] }),
    ])
  const schedule = useMutation({
    mutationFn: () => post<Scheduled>(`/api/classes/${id}/series`, form),
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
  const toggle = (day: string) =>
    setForm({
      ...form,
      days: form.days.includes(day) ? form.days.filter((one) => one !== day) : [...form.days, day],
    })
  return (
    <chakra.form
      aria-label="Schedule lessons"
      onSubmit={(event) => {
        event.preventDefault()
        schedule.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        Schedule weekly
      </chakra.h2>
      <Flex gap="10px">
        <TextField
          label="First date"
          type="date"
          value={form.first}
          onChange={(event) => setForm({ ...form, first: event.target.value })}
          required
        />
        <TextField
          label="Last date"
          type="date"
          value={form.until}
          onChange={(event) => setForm({ ...form, until: event.target.value })}
          required
        />
      </Flex>
      <chakra.fieldset mb="10px">
        <chakra.legend fontWeight="600">On</chakra.legend>
        <Flex gap="4px" wrap="wrap">
          {DAYS.map((day) => (
            <Button
              key={day}
              size="small"
              look={form.days.includes(day) ? 'main' : 'plain'}
              aria-pressed={form.days.includes(day)}
              onClick={() => toggle(day)}
            >
              {day.charAt(0) + day.slice(1, 3).toLowerCase()}
            </Button>
          ))}
        </Flex>
      </chakra.fieldset>
      <Flex gap="10px">
        <TextField
          label="Begins at"
          type="time"
          value={form.start}
          onChange={(event) => setForm({ ...form, start: event.target.value })}
          required
        />
        <TextField
          label="Minutes"
          type="number"
          value={form.minutes}
          onChange={(event) => setForm({ ...form, minutes: Number(event.target.value) })}
          required
        />
        <TextField
          label="Every … weeks"
          type="number"
          min={1}
          max={8}
          value={form.everyWeeks}
          onChange={(event) => setForm({ ...form, everyWeeks: Number(event.target.value) })}
          required
        />
      </Flex>
      <ProblemNote problem={schedule.error} />
      <Button type="submit" look="main" disabled={schedule.isPending}>
        Schedule
      </Button>
      <ProblemNote problem={undo.error} />
      <chakra.p role="status" mt="6px">
        {undo.isSuccess && 'Taken back: none of these lessons is held.'}
        {schedule.data &&
          [
            `${schedule.data.added} lessons are planned.`,
            schedule.data.left > 0 && `${schedule.data.left} were left out: the class has a lesson then already.`,
            schedule.data.holidays > 0 && `${schedule.data.holidays} fall in holidays and were left out.`,
          ]
            .filter(Boolean)
            .join(' ')}{' '}
        {schedule.data && schedule.data.added > 0 && (
          <Button size="small" disabled={undo.isPending} onClick={() => undo.mutate(schedule.data.change)}>
            Undo
          </Button>
        )}
      </chakra.p>
      {schedule.data && schedule.data.appearing.length > 0 && (
        <Box role="alert" borderLeft="4px solid" borderColor="verdict.away" bg="verdict.awaySoft" px="12px" py="6px" mt="6px">
          <strong>Look at this before you go on:</strong>
          <chakra.ul pl="18px" listStyleType="disc">
            {schedule.data.appearing.slice(0, SHOWN).map((one) => (
              <li key={one}>{one}</li>
            ))}
          </chakra.ul>
          {schedule.data.appearing.length > SHOWN &&
            `and ${schedule.data.appearing.length - SHOWN} more; the inspection lists them all.`}
        </Box>
      )}
    </chakra.form>
  )
}
