import { chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post } from '../api/http'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Fields'
import { ProblemNote } from '../ui/Notes'

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
  const schedule = useMutation({
    mutationFn: () => post<{ added: number; left: number; holidays: number }>(`/api/classes/${id}/series`, form),
    onSuccess: () =>
      Promise.all([
        cache.invalidateQueries({ queryKey: ['class', id] }),
        cache.invalidateQueries({ queryKey: ['timetable'] }),
        cache.invalidateQueries({ queryKey: ['inspection'] }),
      ]),
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
      <chakra.p role="status" mt="6px">
        {schedule.data &&
          [
            `${schedule.data.added} lessons are planned.`,
            schedule.data.left > 0 && `${schedule.data.left} were left out: the class has a lesson then already.`,
            schedule.data.holidays > 0 && `${schedule.data.holidays} fall in holidays and were left out.`,
          ]
            .filter(Boolean)
            .join(' ')}
      </chakra.p>
    </chakra.form>
  )
}
