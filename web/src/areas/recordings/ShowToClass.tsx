import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/recordings'
import { get, put } from '../../shared/api/http'
import type { ClassPage, OneRecording } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'

interface ShowToClassProps {
  id: string
  path: string
  adult: NonNullable<OneRecording['adult']>
}

/** From when until when a class finds what was recorded ahead, and whether watching it counts (need I6). */
export function ShowToClass({ id, path, adult }: ShowToClassProps) {
  const time = useSchoolTime()
  const cache = useQueryClient()
  const [day, setDay] = useState('')
  const [hour, setHour] = useState('08:00')
  const [until, setUntil] = useState('')
  const [lesson, setLesson] = useState('')
  const { data: lessons } = useQuery({
    queryKey: ['class', adult.classId],
    queryFn: () => get<ClassPage>(`/api/classes/${encodeURIComponent(adult.classId)}`),
  })
  const show = useMutation({
    mutationFn: (shown: boolean) =>
      put(`${path}/shown`, shown ? { from: `${day}T${hour}`, until, ...(lesson ? { forLesson: lesson } : {}) } : {}),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['recording', id] }),
  })
  return (
    <Box mt="14px">
      <chakra.h2 fontSize="17px" mb="4px">
        {say.shownToTheClass}
      </chakra.h2>
      <ProblemNote problem={show.error} />
      {adult.shownFrom && adult.shownUntil ? (
        <>
          <p>{say.fromUntil(time.longDay(adult.shownFrom), time.clock(adult.shownFrom), time.longDay(adult.shownUntil))}</p>
          <Button mt="6px" onClick={() => show.mutate(false)} disabled={show.isPending}>
            {say.takeItBack}
          </Button>
        </>
      ) : (
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            show.mutate(true)
          }}
        >
          <chakra.p mb="6px">{say.nobodyOfTheClassSees}</chakra.p>
          <Flex gap="8px" wrap="wrap">
            <TextField label={say.from} type="date" value={day} onChange={(event) => setDay(event.target.value)} required />
            <TextField label={say.at} type="time" value={hour} onChange={(event) => setHour(event.target.value)} required />
            <TextField
              label={say.untilTheEnd}
              type="date"
              value={until}
              onChange={(event) => setUntil(event.target.value)}
              required
            />
          </Flex>
          <Labelled label={say.countsInTheRegister} hint={say.asTheRuleWatching}>
            {(box) => (
              <Select id={box} value={lesson} onChange={(event) => setLesson(event.target.value)}>
                <option value="">{say.noLesson}</option>
                {lessons?.lessons.map((one) => (
                  <option key={one.id} value={one.id}>
                    {time.longDay(one.starts)}, {time.clock(one.starts)}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
          <Button type="submit" look="main" disabled={show.isPending}>
            {say.showItToTheClass}
          </Button>
        </chakra.form>
      )}
    </Box>
  )
}
