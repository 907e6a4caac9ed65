import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { get } from '../../../shared/api/http'
import { Labelled, Select } from '../../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../../shared/ui/Notes'
import { ScheduleForm } from '../../../shared/schedule/ScheduleForm'

/** Makes lessons from the timetable: first whose, then when. */
export function NewLessons() {
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => get<{ id: string; title: string }[]>('/api/classes') })
  const [chosen, setChosen] = useState('')
  if (classes.error) return <ProblemNote problem={classes.error} />
  if (!classes.data) return <LoadingNote what="your classes" />
  if (classes.data.length === 0) return <EmptyNote>You have no class yet. Make one under Classes.</EmptyNote>
  return (
    <Box>
      <Labelled label="Class">
        {(id) => (
          <Select id={id} autoFocus value={chosen} onChange={(event) => setChosen(event.target.value)}>
            <option value="">Choose…</option>
            {classes.data.map((one) => (
              <option key={one.id} value={one.id}>
                {one.title}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {chosen ? (
        <ScheduleForm key={chosen} id={chosen} />
      ) : (
        <chakra.p color="ink2">Then choose days and times; one single lesson has the same first and last date.</chakra.p>
      )}
    </Box>
  )
}
