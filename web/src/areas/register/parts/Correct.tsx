import { chakra } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/register'
import { post } from '../../../shared/api/http'
import type { Mark, RegisterLine, RegisterPage } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Sheet } from '../../../shared/ui/Sheet'
import { MARKS } from '../../../shared/ui/MarkBox'
import { words } from './marks'

interface CorrectProps {
  lesson: string
  codes: RegisterPage['codes']
  line: RegisterLine
  wanted: Mark
  onClose: () => void
}

export function Correct({ lesson, codes, line, wanted, onClose }: CorrectProps) {
  const cache = useQueryClient()
  const [mark, setMark] = useState<Mark>(wanted)
  const [code, setCode] = useState('')
  const [late, setLate] = useState(line.lateMinutes || 5)
  const [reason, setReason] = useState('')
  const ofMark = codes.filter((one) => one.mark === mark)
  const correct = useMutation({
    mutationFn: () =>
      post<RegisterPage>(`/api/lessons/${encodeURIComponent(lesson)}/register/corrections`, {
        person: line.person,
        mark,
        code,
        lateMinutes: mark === 'LATE' ? late : 0,
        reason,
      }),
    onSuccess: (page) => {
      cache.setQueryData(['register', lesson], page)
      onClose()
    },
  })
  return (
    <Sheet title={say.correct(line.name)} open onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          correct.mutate()
        }}
      >
        <chakra.p mb="10px">
          {say.computed} <strong>{words(line.computed, line.computedLateMinutes)}</strong>
          {say.itStaysVisibleBesideYourCorrection}
        </chakra.p>
        <Labelled label={say.mark}>
          {(id) => (
            <Select
              id={id}
              value={mark}
              onChange={(event) => {
                setMark(event.target.value as Mark)
                setCode('')
              }}
            >
              {(Object.keys(MARKS) as Mark[]).map((one) => (
                <option key={one} value={one}>
                  {MARKS[one]}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        {ofMark.length > 1 && (
          <Labelled label={say.code}>
            {(id) => (
              <Select id={id} value={code || ofMark[0]!.code} onChange={(event) => setCode(event.target.value)}>
                {ofMark.map((one) => (
                  <option key={one.code} value={one.code}>
                    {one.code}: {one.meaning}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        )}
        {mark === 'LATE' && (
          <TextField
            label={say.minutesLate}
            type="number"
            min={1}
            max={600}
            value={late}
            onChange={(event) => setLate(Number(event.target.value))}
          />
        )}
        <TextField
          label={say.reason}
          hint={say.aFewWordsTheyStand}
          value={reason}
          maxLength={300}
          autoFocus
          onChange={(event) => setReason(event.target.value)}
          required
        />
        <ProblemNote problem={correct.error} />
        <Button type="submit" look="main" disabled={correct.isPending}>
          {say.keepTheCorrection}
        </Button>
      </chakra.form>
    </Sheet>
  )
}
