import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/attendance'
import { get } from '../../shared/api/http'
import type { LessonsBehind } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { RateBar, rateWords } from './RateBar'

/** The lessons that a rate is made of, each leading to its register. */
export default function LessonsBehindScreen() {
  return <Page title={say.lessonsBehindARate}>{() => <Shown />}</Page>
}

function Shown() {
  const [search] = useSearchParams()
  const time = useSchoolTime()
  const asked = new URLSearchParams({ by: search.get('by') ?? '', of: search.get('of') ?? '' }).toString()
  const { data, error } = useQuery({
    queryKey: ['attendance', 'lessons', asked],
    queryFn: () => get<LessonsBehind>(`/api/attendance/lessons?${asked}`),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theLessons} />
  return (
    <Box px="20px" py="16px" maxW="900px" mx="auto">
      <chakra.h1 fontSize="25px">{data.title}</chakra.h1>
      <chakra.p color="ink2" mb="10px">
        {say.ofTheLastEightWeeksThere(data.lessons.length, rateWords(data.whole))}{' '}
        <Link to="/attendance">{say.backToTheSchool}</Link>
      </chakra.p>
      <chakra.ol listStyleType="none" bg="sheet" borderTop="1.5px solid" borderColor="ink">
        {data.lessons.map((one) => (
          <chakra.li
            key={one.lesson}
            display="grid"
            gridTemplateColumns="150px minmax(0, 1fr) 150px 160px"
            gap="10px"
            px="10px"
            py="3px"
            borderBottom="1px solid"
            borderColor="line"
            alignItems="center"
          >
            <chakra.span fontFamily="mono" fontSize="12.5px">
              {time.day(one.starts)} {time.clock(one.starts)}
            </chakra.span>
            <Link to={`/lessons/${one.lesson}/register`}>{one.title}</Link>
            <chakra.span fontSize="13px" color="ink2">
              {one.adult}
            </chakra.span>
            <RateBar rate={one.rate} width={80} />
          </chakra.li>
        ))}
      </chakra.ol>
    </Box>
  )
}
