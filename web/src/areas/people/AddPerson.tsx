import { chakra } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/people'
import { post } from '../../shared/api/http'
import type { GivenCode, Position } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Code } from './Code'
import { KEY, POSITIONS } from './positions'

export function AddPerson() {
  const cache = useQueryClient()
  const empty = { name: '', position: 'TEACHER' as Position, year: 7, signIn: '' }
  const [form, setForm] = useState(empty)
  const add = useMutation({
    mutationFn: () => post<GivenCode>('/api/people', form),
    onSuccess: () => {
      setForm(empty)
      return cache.invalidateQueries({ queryKey: KEY })
    },
  })
  return (
    <chakra.form
      aria-label={say.addAPerson}
      onSubmit={(event) => {
        event.preventDefault()
        add.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        {say.addAPerson}
      </chakra.h2>
      <TextField
        label={say.name}
        value={form.name}
        onChange={(event) => setForm({ ...form, name: event.target.value })}
        required
      />
      <PositionAndYear value={form} onChange={(part) => setForm({ ...form, ...part })} />
      <TextField
        label={say.nameToSign}
        hint={say.youGetACode}
        autoComplete="off"
        value={form.signIn}
        onChange={(event) => setForm({ ...form, signIn: event.target.value })}
        required
      />
      <ProblemNote problem={add.error} />
      <Button type="submit" look="main" disabled={add.isPending}>
        {say.add}
      </Button>
      {add.data && <Code given={add.data} />}
    </chakra.form>
  )
}

interface PositionAndYearProps {
  value: { position: Position; year: number }
  onChange: (part: Partial<{ position: Position; year: number }>) => void
}

/** What somebody is at the school; a pupil has a year group. */
export function PositionAndYear({ value, onChange }: PositionAndYearProps) {
  return (
    <>
      <Labelled label={say.isA}>
        {(id) => (
          <Select id={id} value={value.position} onChange={(event) => onChange({ position: event.target.value as Position })}>
            {Object.entries(POSITIONS).map(([position, words]) => (
              <option key={position} value={position}>
                {words}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {value.position === 'PUPIL' && (
        <TextField
          label={say.yearGroup}
          type="number"
          min={1}
          max={13}
          value={value.year}
          onChange={(event) => onChange({ year: Number(event.target.value) })}
        />
      )}
    </>
  )
}
