import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { say } from '../../languages/en/staff/register'
import { get } from '../../shared/api/http'
import type { Mark, RegisterLine, RegisterPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { MARKS } from '../../shared/ui/MarkBox'
import { Correct } from './parts/Correct'
import { Line } from './parts/Line'
import { Logs } from './parts/Logs'
import { COLUMNS, KEYS, ON_A_PHONE } from './parts/marks'
import { SignOff } from './parts/SignOff'

/** The register of one lesson: computed marks, corrections beside them, and the presence they come from. */
export default function RegisterScreen() {
  const { id = '' } = useParams()
  return <Page title={say.register}>{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const [correcting, setCorrecting] = useState<{ line: RegisterLine; mark: Mark } | null>(null)
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['register', id],
    queryFn: () => get<RegisterPage>(`/api/lessons/${encodeURIComponent(id)}/register`),
    refetchInterval: (query) => (query.state.data?.draft ? 15_000 : false),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theRegister} />
  const from = Date.parse(data.starts) - 6 * 60_000
  const until = Date.parse(data.ends)
  return (
    <Box maxW="1180px" mx="auto" px="20px" py="16px">
      <Flex align="end" gap="20px" mb="8px" wrap="wrap">
        <Box>
          <chakra.h1 fontSize="25px">
            {say.registerHeading} <Link to={`/classes/${data.classId}`}>{data.title}</Link>
          </chakra.h1>
          <chakra.p color="ink2">
            {say.to(time.longDay(data.starts), time.clock(data.starts), time.clock(data.ends))}{' '}
            <Link to={`/classes/${data.classId}/attendance`}>{say.theClassOverWeeks}</Link>
            {data.begun && (
              <>
                {' '}
                · <Link to={`/lessons/${id}/replay`}>{say.theLessonAgain}</Link> ·{' '}
                <Link to={`/lessons/${id}/results`}>{say.whatWasAnswered}</Link>
                {!data.draft && (
                  <>
                    {' '}
                    · <Link to={`/lessons/${id}/afterwards`}>{say.wordsBoardAndMaterial}</Link>
                  </>
                )}
              </>
            )}
            {say.thisLessonWasCalledOff(data.calledOff, data.draft, data.begun)}
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Flex gap={{ base: '4px 12px', md: '4px 18px' }} wrap="wrap" align="baseline" aria-label={say.sums} role="group">
          {data.sums.map((sum) => (
            <Sum key={sum.mark} many={sum.count} what={MARKS[sum.mark]} />
          ))}
        </Flex>
        <chakra.a href={`/api/lessons/${encodeURIComponent(id)}/register.csv`} download>
          <Button as="span">{say.exportAsCsv}</Button>
        </chakra.a>
        <chakra.a href={`/api/lessons/${encodeURIComponent(id)}/register.pdf`} download>
          <Button as="span">{say.asPdf}</Button>
        </chakra.a>
        <Button onClick={() => window.print()}>{say.print}</Button>
      </Flex>
      <SignOff page={data} lesson={id} />
      <Logs page={data} lesson={id} />
      <Box overflowX="auto" tabIndex={0} role="region" aria-label={say.register}>
        <Box
          role="table"
          aria-label={say.registerByPupil}
          bg="sheet"
          minW={{ md: '980px' }}
          borderTop="1.5px solid"
          borderColor="ink"
        >
          <Box role="rowgroup">
            <Box
              role="row"
              display="grid"
              gridTemplateColumns={{ base: ON_A_PHONE, md: COLUMNS }}
              px="12px"
              py="5px"
              fontSize="12px"
              color="ink2"
              borderBottom="1.5px solid"
              borderColor="ink"
            >
              {[
                say.pupil,
                say.mark,
                say.toSaid(time.clock(data.starts), time.clock(data.ends)),
                say.minutes,
                say.firstIn,
                say.lastOut,
                say.gap,
                say.atDoor,
                '',
              ].map((head, place) => (
                <Box
                  role="columnheader"
                  key={head || place}
                  hideBelow={place > 1 && place < 8 ? 'md' : undefined}
                  textAlign={place > 2 && place < 8 ? 'right' : 'left'}
                >
                  {head || <chakra.span srOnly>{say.correctButton}</chakra.span>}
                </Box>
              ))}
            </Box>
          </Box>
          <Box role="rowgroup">
            {data.lines.map((line) => (
              <Line
                key={line.person}
                line={line}
                onMark={(mark) => setCorrecting({ line, mark })}
                from={from}
                until={until}
                editable={data.editable && !data.draft}
                onCorrect={() => setCorrecting({ line, mark: line.mark })}
              />
            ))}
          </Box>
        </Box>
      </Box>
      <chakra.p mt="8px" fontSize="12.5px" color="ink2">
        {say.minutesCountWithinTheLesson}
        {data.editable && !data.draft && (
          <>
            {' '}
            {say.inARow} <Key>↑</Key> <Key>↓</Key> {say.goOn}{' '}
            {Object.entries(KEYS).map(([key, mark]) => (
              <span key={key}>
                <Key>{key}</Key> {MARKS[mark]}{' '}
              </span>
            ))}
          </>
        )}
      </chakra.p>
      {correcting && (
        <Correct
          lesson={id}
          codes={data.codes}
          line={correcting.line}
          wanted={correcting.mark}
          onClose={() => {
            const rows = [...document.querySelectorAll<HTMLElement>('[data-pupil]')]
            const next = rows.find((row) => row.dataset.pupil === correcting.line.person)
            setCorrecting(null)
            // The sheet gives the focus back late; the row is where the next key belongs.
            setTimeout(() => next?.focus())
          }}
        />
      )}
    </Box>
  )
}

function Sum({ many, what }: { many: number; what: string }) {
  return (
    <span>
      <chakra.b fontFamily="heading" fontSize="24px" fontWeight="650">
        {many}
      </chakra.b>{' '}
      {what}
    </span>
  )
}
