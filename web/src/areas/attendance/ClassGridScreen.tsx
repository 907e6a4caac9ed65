import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/attendance'
import { get } from '../../shared/api/http'
import type { ClassGrid } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { MarkBox, MarkLegend, MARKS } from '../../shared/ui/MarkBox'
import { Period, periodOf } from '../../shared/ui/Period'
import { RateBar, rateWords } from './RateBar'

/** A class over weeks: each pupil a line, each lesson a column (need L6). */
export default function ClassGridScreen() {
  const { id = '' } = useParams()
  return <Page title={say.attendanceOfAClass}>{() => <Shown id={id} />}</Page>
}

type Cell = ClassGrid['pupils'][number]['cells'][number]

const WHY: Record<NonNullable<Cell['why']>, string> = {
  EXPECTED: '',
  CALLED_OFF: say.notExpectedTheLesson,
  JOINED_LATER: say.notExpectedJoinedTheClassLater,
  LEFT_BEFORE: say.notExpectedHadLeftTheClass,
}

function thereWords(cell: Cell): string {
  return [
    cell.code && `${cell.code}:`,
    say.minThere(MARKS[cell.mark], cell.lateMinutes ?? 0, cell.minutes),
    cell.corrected && say.corrected,
  ]
    .filter(Boolean)
    .join(' ')
    .replace(' ,', ',')
}

function Shown({ id }: { id: string }) {
  const [search, setSearch] = useSearchParams()
  const time = useSchoolTime()
  const asked = periodOf(search)
  const path = `/api/classes/${encodeURIComponent(id)}/attendance`
  const { data, error } = useQuery({
    queryKey: ['attendance', 'class', id, asked],
    queryFn: () => get<ClassGrid>(`${path}?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theAttendanceOfTheClass} />
  return (
    <Box px="20px" py="16px">
      <Flex gap="16px" align="end" wrap="wrap" mb="8px">
        <Box>
          <chakra.h1 fontSize="25px">
            {say.attendanceHeading} <Link to={`/classes/${id}`}>{data.title}</Link>
          </chakra.h1>
          <chakra.p color="ink2">
            {say.lessonsPupilsThere(data.lessons.length, data.pupils.length, rateWords(data.whole))}
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Period from={data.from} until={data.until} onChange={(next) => setSearch(next, { replace: true })} />
        <chakra.a href={`${path}.csv?${asked}`} download="attendance.csv">
          <Button as="span">{say.exportAsCsv}</Button>
        </chakra.a>
        <chakra.a href={`${path}.pdf?${asked}`} download>
          <Button as="span">{say.asPdf}</Button>
        </chakra.a>
      </Flex>
      {data.lessons.length === 0 ? (
        <EmptyNote>{say.noLessonOfThisClass}</EmptyNote>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label={say.attendanceTitle}>
          <chakra.table
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            css={{
              '& td, & th': { padding: '2px 5px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'center' },
              '& tbody th': { textAlign: 'left', fontWeight: 400, whiteSpace: 'nowrap', paddingRight: '14px' },
              '& tbody tr:hover': { background: 'var(--chakra-colors-mark-soft)' },
            }}
          >
            <thead>
              <tr>
                <chakra.th css={{ textAlign: 'left !important' }} fontSize="12px" color="ink2">
                  {say.pupil}
                </chakra.th>
                <chakra.th css={{ textAlign: 'left !important' }} fontSize="12px" color="ink2">
                  {say.there}
                </chakra.th>
                {data.lessons.map((one) => (
                  <th key={one.id} scope="col">
                    <Link to={`/lessons/${one.id}/register`}>
                      <chakra.span display="block" fontSize="11px" fontWeight="400" lineHeight="1.25" whiteSpace="nowrap">
                        {time.day(one.starts).replace(/^(\w+) (\d+) (\w+)$/, '$1 $2')}
                        <br />
                        {one.calledOff ? <s>{time.clock(one.starts)}</s> : time.clock(one.starts)}
                      </chakra.span>
                    </Link>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {data.pupils.map((pupil) => (
                <tr key={pupil.person}>
                  <th scope="row">
                    <Link to={`/pupils/${pupil.person}/attendance`}>{pupil.name}</Link>
                  </th>
                  <td>
                    <RateBar rate={pupil.rate} width={64} />
                  </td>
                  {pupil.cells.map((cell, place) => (
                    <td key={data.lessons[place]!.id} title={cell.why ? WHY[cell.why] : thereWords(cell)}>
                      <MarkBox mark={cell.mark} />
                      {cell.corrected && (
                        <chakra.span fontSize="10px" color="ink2" verticalAlign="super">
                          *
                        </chakra.span>
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <chakra.th css={{ textAlign: 'left !important' }} fontSize="12px" color="ink2">
                  {say.all}
                </chakra.th>
                <td>
                  <RateBar rate={data.whole} width={64} />
                </td>
                {data.lessons.map((one) => (
                  <chakra.td key={one.id} fontFamily="mono" fontSize="11px" color="ink2">
                    {one.rate.rate ?? ''}
                  </chakra.td>
                ))}
              </tr>
            </tfoot>
          </chakra.table>
        </Box>
      )}
      <MarkLegend />
      <chakra.p fontSize="12.5px" color="ink2">
        {say.writtenByAnAdultHatched}
      </chakra.p>
    </Box>
  )
}
