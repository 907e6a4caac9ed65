import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/timetable'
import { get } from '../../../shared/api/http'
import { Labelled, Select } from '../../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../../shared/ui/Notes'
import { ScheduleForm } from '../../../shared/schedule/ScheduleForm'

/** Makes lessons from the timetable: first whose, then when. */
export function NewLessons() {
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => get<{ id: string; title: string }[]>('/api/classes') })
  const [chosen, setChosen] = useState('')
  if (classes.error) return <ProblemNote problem={classes.error} />
  if (!classes.data) return <LoadingNote what={say.yourClasses} />
  if (classes.data.length === 0) return <EmptyNote>{say.youHaveNoClassYet}</EmptyNote>
  return (
    <Box>
      <Labelled label={say.class}>
        {(id) => (
          <Select id={id} autoFocus value={chosen} onChange={(event) => setChosen(event.target.value)}>
            <option value="">{say.chooseChoice}</option>
            {classes.data.map((one) => (
              <option key={one.id} value={one.id}>
                {one.title}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {chosen ? <ScheduleForm key={chosen} id={chosen} /> : <chakra.p color="ink2">{say.thenChooseDaysAndTimes}</chakra.p>}
    </Box>
  )
}
