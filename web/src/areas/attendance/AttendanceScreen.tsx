import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { get } from '../../shared/api/http'
import type { AttentionPage, NamedRate } from '../../shared/api/types'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { RateBar, rateWords } from './RateBar'
import { Rates } from './Rates'

/** Who needs attention this week and why, before any chart (need L6). */
export default function AttendanceScreen() {
  return <Page title="Attendance">{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
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
  if (!data) return <LoadingNote what="the attendance" />
  return (
    <Box px="20px" py="16px" maxW="1240px" mx="auto">
      <chakra.h1 fontSize="25px">Who needs attention</chakra.h1>
      <chakra.p color="ink2" mb="10px">
        {data.lookedAt} pupils{isLead ? ' of the school' : ' of your classes'}, the last four weeks against the four before.
        Absent from {data.limits.inARow} lessons in a row, there in less than {data.limits.belowPercent} %,{' '}
        {data.limits.dropPoints} points less than before, or late {data.limits.lateTimes} times and to every fourth lesson.{' '}
        <Link to="/attendance/settings">
          <u>Codes and limits</u>
        </Link>{' '}
        ·{' '}
        <Link to="/keeping">
          <u>Kept to the plan</u>
        </Link>
        {isLead && (
          <>
            {' '}
            ·{' '}
            <chakra.a href="/api/attendance/table.csv" download textDecoration="underline">
              All registers of four weeks as a table
            </chakra.a>
          </>
        )}
      </chakra.p>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 510px' }} gap="32px" alignItems="start">
        <Box>
          {data.pupils.length === 0 && (
            <EmptyNote>
              {data.lookedAt === 0 ? 'No lesson is over yet; registers fill this page.' : 'Nobody. Everybody comes as usual.'}
            </EmptyNote>
          )}
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
                      year {one.year}
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
                    {one.before.rate === undefined ? 'nothing before' : `before: ${one.before.rate} %`}
                    {one.lately.small && `; ${rateWords(one.lately)}`}
                  </chakra.span>
                </Flex>
              </chakra.li>
            ))}
          </chakra.ol>
        </Box>
        <Box>
          <Rates title="By class" rates={data.classes} to={(one) => `/classes/${one.id}/attendance`} />
          <Rates title="By subject" rates={data.subjects} to={behind('subject')} />
          <Rates title="By day of the week" rates={data.weekdays} to={behind('weekday')} />
          <Rates title="By hour" rates={data.hours} to={behind('hour')} />
          <Rates title="By adult" rates={data.adults} to={behind('adult')} />
        </Box>
      </Grid>
    </Box>
  )
}
