import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/attendance'
import { get } from '../../shared/api/http'
import type { AttentionPage, NamedRate } from '../../shared/api/types'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { RateBar, rateWords } from './RateBar'
import { Rates } from './Rates'

/** Who needs attention this week and why, before any chart (need L6). */
export default function AttendanceScreen() {
  return <Page title={say.attendanceTitle}>{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
}

/** Every rate leads to the lessons it is made of. */
const behind = (by: string) => (one: NamedRate) => `/attendance/lessons?${new URLSearchParams({ by, of: one.id })}`

function Shown({ isLead }: { isLead: boolean }) {
  const { data, error } = useQuery({
    queryKey: ['attendance', 'school'],
    queryFn: () => get<AttentionPage>('/api/attendance'),
    refetchInterval: 60_000,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theAttendance} />
  return (
    <Box px="20px" py="16px" maxW="1240px" mx="auto">
      <chakra.h1 fontSize="25px">{say.whoNeedsAttention}</chakra.h1>
      <chakra.p color="ink2" mb="10px">
        {say.pupilsTheLastFourWeeks(
          data.lookedAt,
          isLead,
          data.limits.inARow,
          data.limits.belowPercent,
          data.limits.dropPoints,
          data.limits.lateTimes,
        )}{' '}
        <Link to="/attendance/settings">
          <u>{say.codesAndLimits}</u>
        </Link>{' '}
        ·{' '}
        <Link to="/keeping">
          <u>{say.keptToThePlan}</u>
        </Link>
        {isLead && (
          <>
            {' '}
            ·{' '}
            <chakra.a href="/api/attendance/table.csv" download textDecoration="underline">
              {say.allRegistersOfFourWeeks}
            </chakra.a>
          </>
        )}
      </chakra.p>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 510px' }} gap="32px" alignItems="start">
        <Box>
          {data.pupils.length === 0 && <EmptyNote>{say.noLessonIsOverYet(data.lookedAt)}</EmptyNote>}
          <chakra.ol listStyleType="none" bg="sheet" borderTop={data.pupils.length ? '1.5px solid' : 'none'} borderColor="ink">
            {data.pupils.map((one) => (
              <chakra.li
                key={one.person}
                display="grid"
                gridTemplateColumns={{ base: '1fr', md: '170px 1fr 150px' }}
                gap="12px"
                px="10px"
                py="6px"
                borderBottom="1px solid"
                borderColor="line"
                alignItems="center"
              >
                <span>
                  <chakra.span fontWeight="650">
                    <Link to={`/pupils/${one.person}/attendance`}>{one.name}</Link>
                  </chakra.span>
                  {one.year > 0 && (
                    <chakra.span color="ink2" fontSize="13px">
                      {' '}
                      {say.year(one.year)}
                    </chakra.span>
                  )}
                </span>
                <span>
                  {one.reasons.map((reason, place) => (
                    <chakra.span key={reason} display="block" fontWeight={place === 0 ? 600 : 400}>
                      {reason}
                    </chakra.span>
                  ))}
                </span>
                <Flex direction="column">
                  <RateBar rate={one.lately} />
                  <chakra.span fontSize="12px" color="ink2">
                    {one.before.rate === undefined ? say.nothingBefore : say.before(one.before.rate)}
                    {one.lately.small && `; ${rateWords(one.lately)}`}
                  </chakra.span>
                </Flex>
              </chakra.li>
            ))}
          </chakra.ol>
        </Box>
        <Box>
          <Rates title={say.byClass} rates={data.classes} to={(one) => `/classes/${one.id}/attendance`} />
          <Rates title={say.bySubject} rates={data.subjects} to={behind('subject')} />
          <Rates title={say.byDayOfTheWeek} rates={data.weekdays} to={behind('weekday')} />
          <Rates title={say.byHour} rates={data.hours} to={behind('hour')} />
          <Rates title={say.byAdult} rates={data.adults} to={behind('adult')} />
        </Box>
      </Grid>
    </Box>
  )
}
