import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { say } from '../../languages/en/staff/results'
import { Tally } from '../../lesson/questions/Tally'
import { get } from '../../shared/api/http'
import type { ResultsPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

/** What was asked in one lesson and how it was answered, beside its register. */
export default function ResultsScreen() {
  const { id = '' } = useParams()
  return <Page title={say.answers}>{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const time = useSchoolTime()
  const path = `/api/lessons/${encodeURIComponent(id)}/results`
  const { data, error } = useQuery({ queryKey: ['results', id], queryFn: () => get<ResultsPage>(path) })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theAnswers} />
  return (
    <Box maxW="980px" mx="auto" px="20px" py="16px">
      <Flex align="end" gap="16px" mb="10px" wrap="wrap">
        <Box>
          <chakra.h1 fontSize="25px">{say.answersOf(data.title)}</chakra.h1>
          <chakra.p color="ink2">
            {time.longDay(data.starts)}, {time.clock(data.starts)} · <Link to={`/lessons/${id}/register`}>{say.theRegister}</Link>{' '}
            · <Link to={`/lessons/${id}/replay`}>{say.theLessonAgain}</Link>
          </chakra.p>
        </Box>
        <Box flex="1" />
        <chakra.a href={`${path}.csv`} download>
          <Button as="span">{say.exportAsCsv}</Button>
        </chakra.a>
      </Flex>
      {data.forgotten && <EmptyNote>{say.answersOfThisLesson}</EmptyNote>}
      {data.questions.length === 0 && <EmptyNote>{say.nothingWasAskedInThisLesson}</EmptyNote>}
      {data.questions.map((one, place) => (
        <Box as="section" key={one.number} bg="sheet" borderTop="1.5px solid" borderColor="ink" px="14px" py="10px" mb="16px">
          <chakra.h2 fontSize="18px">
            {place + 1}. {one.ask.text || say.aSpokenQuestion}
          </chakra.h2>
          <chakra.p fontSize="13px" color="ink2" mb="6px">
            {say.answersSaid(time.clock(one.askedAt), one.results.answers, one.named)}
          </chakra.p>
          <Box maxW="620px">
            <Tally results={one.results} />
          </Box>
          {one.answers.length > 0 && (
            <chakra.details mt="8px">
              <chakra.summary cursor="pointer">{say.whoAnsweredWhat}</chakra.summary>
              <chakra.ul columns={{ base: 1, md: 3 }} mt="4px" listStyleType="none" fontSize="13px">
                {one.answers.map((each) => (
                  <chakra.li key={each.id} py="1px">
                    <Link to={`/pupils/${each.id}/attendance`}>{each.name}</Link>: {each.right === true && '✓ '}
                    {each.words || say.noneOfThem}
                  </chakra.li>
                ))}
              </chakra.ul>
            </chakra.details>
          )}
        </Box>
      ))}
    </Box>
  )
}
