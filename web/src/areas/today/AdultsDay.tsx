import { Box, chakra, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/today'
import { get } from '../../shared/api/http'
import type { LessonLine, Me } from '../../shared/api/types'
import { workingDay } from '../../shared/day/day'
import { standing } from '../../shared/standing'
import { useNow, useSchoolTime } from '../../shared/time'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Beside } from './Beside'
import { DayTable } from './DayTable'
import { DaysAhead } from './DaysAhead'
import { FirstSteps } from './FirstSteps'
import { NextBox } from './NextBox'
import { SchoolNow } from './SchoolNow'

/** An adult's desk of the day: what is next large, the day below it, what waits beside it; for a lead the school as it is now. */
export default function AdultsDay({ me }: { me: Me }) {
  const { data: school } = useQuery(standing)
  const now = useNow(school?.now, 15_000)
  const time = useSchoolTime()
  const { data: day, isPending } = useQuery(workingDay)
  const { data, error } = useQuery({
    queryKey: ['today'],
    queryFn: () => get<LessonLine[]>('/api/today'),
    refetchInterval: 15_000,
  })
  if (error) return <ProblemNote problem={error} />
  // What is next stands above the rest: both come at once, so that nothing jumps.
  if (!data || isPending) return <LoadingNote what={say.todaysLessons} />
  const live = data.filter((one) => one.phase === 'OPEN').length
  return (
    <Box maxW="1240px" mx="auto" px={{ base: '12px', md: '20px' }} py="14px">
      <chakra.h1 fontSize="22px" mb="10px">
        {time.longDay(now)}{' '}
        <chakra.span fontFamily="body" fontSize="14px" fontWeight="400" color="ink2" letterSpacing="0">
          {say.atTheSchool(time.clock(now), live)}
        </chakra.span>
      </chakra.h1>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 340px' }} columnGap="26px" rowGap="18px">
        <Box minW="0">
          {me.position === 'LEAD' && <FirstSteps />}
          {day?.next && <NextBox next={day.next} waiting={day.waiting} />}
          {me.position === 'LEAD' && <SchoolNow lessons={data} now={now} />}
          {data.length === 0 ? (
            <EmptyNote>
              {say.noLessonToday} <Link to="/classes">{say.makeAClassAndSchedule}</Link>
              {say.andItStandsHere}
            </EmptyNote>
          ) : (
            <DayTable lessons={data} now={now} me={me} />
          )}
          <DaysAhead />
        </Box>
        <Beside me={me} now={now} />
      </Grid>
    </Box>
  )
}
