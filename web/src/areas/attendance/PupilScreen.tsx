import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/attendance'
import { get } from '../../shared/api/http'
import type { PupilPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { MarkBox, MARKS } from '../../shared/ui/MarkBox'
import { Period, periodOf } from '../../shared/ui/Period'
import { rateWords } from './RateBar'
import { OfPupil } from '../results/OfPupil'
import { GroupsOfPupil } from './GroupsOfPupil'
import { Rates } from './Rates'

/** One pupil over all classes: a page that one can show a parent, and print. */
export default function PupilScreen() {
  const { id = '' } = useParams()
  return <Page title={say.attendanceOfAPupil}>{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const [search, setSearch] = useSearchParams()
  const time = useSchoolTime()
  const asked = periodOf(search)
  const path = `/api/pupils/${encodeURIComponent(id)}/attendance`
  const { data, error } = useQuery({
    queryKey: ['attendance', 'pupil', id, asked],
    queryFn: () => get<PupilPage>(`${path}?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theAttendanceOfThePupil} />
  return (
    <Box className="paper" maxW="1180px" mx="auto" px="20px" py="16px">
      <Flex gap="16px" align="end" wrap="wrap" mb="10px">
        <Box>
          <chakra.h1 fontSize="27px">{data.name}</chakra.h1>
          <chakra.p color="ink2">
            {say.attendanceFromTo(data.year, time.longDay(`${data.from}T12:00:00Z`), time.longDay(`${data.until}T12:00:00Z`))}
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Period from={data.from} until={data.until} onChange={(next) => setSearch(next, { replace: true })} />
        <chakra.a href={`${path}.csv?${asked}`} download>
          <Button as="span">{say.exportAsCsv}</Button>
        </chakra.a>
        <chakra.a href={`${path}.pdf?${asked}`} download>
          <Button as="span">{say.asPdf}</Button>
        </chakra.a>
        <Button onClick={() => window.print()}>{say.print}</Button>
      </Flex>
      <Flex
        gap="22px"
        align="center"
        bg="sheet"
        borderTop="1.5px solid"
        borderColor="ink"
        px="16px"
        py="10px"
        mb="14px"
        wrap="wrap"
      >
        <chakra.span fontFamily="heading" fontSize="34px" fontWeight="650" lineHeight="1">
          {data.whole.rate === undefined ? '–' : `${data.whole.rate} %`}
        </chakra.span>
        <Box>
          <p>{say.thereNoLessonWasHeld(data.whole.expected, rateWords(data.whole))}</p>
          {data.reasons.map((one) => (
            <chakra.p key={one} fontWeight="650" color="verdict.away">
              {one}.
            </chakra.p>
          ))}
        </Box>
      </Flex>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="28px" alignItems="start">
        <Box>
          <Rates title={say.byClass} rates={data.classes} to={(one) => `/classes/${one.id}/attendance`} />
          {data.subjects.length < data.classes.length && <Rates title={say.bySubject} rates={data.subjects} />}
          <Rates title={say.byWeek} rates={data.weeks} name={(one) => say.from(time.day(`${one.name}T12:00:00Z`))} />
          <Rates title={say.byDayOfTheWeek} rates={data.weekdays} />
          <Rates title={say.byHour} rates={data.hours} />
          <Rates title={say.byAdult} rates={data.adults} />
          <OfPupil person={id} />
          <GroupsOfPupil id={id} />
        </Box>
        <Box>
          <chakra.h2 fontSize="17px" mb="4px">
            {say.lessonByLesson}
          </chakra.h2>
          {data.lessons.length === 0 && <EmptyNote>{say.nothingStandsInARegisterYet}</EmptyNote>}
          <chakra.ul listStyleType="none" bg="sheet" borderTop={data.lessons.length ? '1.5px solid' : 'none'} borderColor="ink">
            {data.lessons.map((one) => (
              <chakra.li
                key={one.lesson}
                display="grid"
                gridTemplateColumns="150px 20px 1fr auto"
                gap="8px"
                px="8px"
                py="3px"
                borderBottom="1px solid"
                borderColor="line"
                alignItems="center"
              >
                <chakra.span fontFamily="mono" fontSize="12.5px">
                  {time.day(one.starts)} {time.clock(one.starts)}
                </chakra.span>
                <MarkBox mark={one.mark} />
                <span>
                  <Link to={`/lessons/${one.lesson}/register`}>{one.title}</Link>
                </span>
                <chakra.span fontSize="13px" color="ink2">
                  {one.code && (
                    <chakra.b fontFamily="mono" color="ink">
                      {one.code}{' '}
                    </chakra.b>
                  )}
                  {say.byMinCorrected(MARKS[one.mark], one.lateMinutes, one.corrected)}
                </chakra.span>
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
      </Grid>
    </Box>
  )
}
