import { Box, chakra } from '@chakra-ui/react'
import { Fragment, useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/today'
import type { LessonLine, Me } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Until } from '../../shared/ui/Clocks'
import { Button } from '../../shared/ui/Button'

const OPENS_EARLY_MS = 30 * 60_000

/** From so many on, those that are over are told in one line until somebody asks. */
const OVER_SHOWN = 4

/** The lessons of the day as a timetable: of one adult, or of the school. */
export function DayTable({ lessons, now, me }: { lessons: LessonLine[]; now: number; me: Me }) {
  const [all, setAll] = useState(false)
  const over = lessons.filter((one) => one.phase === 'OVER')
  const folded = over.length > OVER_SHOWN && !all
  const shown = folded ? lessons.filter((one) => one.phase !== 'OVER') : lessons
  return (
    <Box as="section" aria-label={say.lessonsOfToday}>
      <chakra.h2 fontSize="16px" mb="4px">
        {say.theSchoolsLessonsToday(me.position)}
      </chakra.h2>
      <chakra.table
        w="100%"
        bg="sheet"
        borderTop="1.5px solid"
        borderColor="ink"
        css={{
          '& td, & th': { padding: '5px 10px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' },
        }}
      >
        <chakra.thead srOnly>
          <tr>
            <th>{say.time}</th>
            <th>{say.class}</th>
            <th>{say.adults}</th>
            <th>{say.state}</th>
            <th>{say.whatToDo}</th>
          </tr>
        </chakra.thead>
        <tbody>
          {folded && (
            <tr>
              <chakra.td colSpan={5} color="ink2">
                {say.lessonsAreOver(over.length)}{' '}
                <Button look="quiet" onClick={() => setAll(true)}>
                  {say.showThem}
                </Button>
              </chakra.td>
            </tr>
          )}
          {shown.map((one) => (
            <Fragment key={one.id}>
              <LessonRow lesson={one} now={now} me={me} />
            </Fragment>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}

function LessonRow({ lesson, now, me }: { lesson: LessonLine; now: number; me: Me }) {
  const time = useSchoolTime()
  const starts = Date.parse(lesson.starts)
  const soon = lesson.phase === 'PLANNED' && starts - now < OPENS_EARLY_MS && Date.parse(lesson.ends) > now
  const mark = lesson.mine && (lesson.phase === 'OPEN' || soon)
  return (
    <chakra.tr bg={mark ? 'markSoft' : 'transparent'}>
      <chakra.td fontFamily="mono" fontSize="13px" whiteSpace="nowrap" w={{ base: '52px', md: '112px' }}>
        {time.clock(lesson.starts)}
        <chakra.span hideBelow="md">–{time.clock(lesson.ends)}</chakra.span>
      </chakra.td>
      <td>
        <chakra.span fontWeight="640">
          <Link to={`/classes/${lesson.classId}`}>{lesson.title}</Link>
        </chakra.span>{' '}
        <chakra.span fontSize="12.5px" color="ink2" whiteSpace="nowrap" hideBelow="md">
          {say.pupils(lesson.pupils)}
        </chakra.span>
      </td>
      <chakra.td fontSize="13px" color="ink2" hideBelow="md">
        {lesson.adults.join(', ')}
      </chakra.td>
      <td>{state(lesson, now, soon)}</td>
      <chakra.td css={{ textAlign: 'right !important' }} h="41px">
        {lesson.phase === 'OVER' ? (
          <Link to={`/lessons/${lesson.id}/register`}>
            <Button as="span">{say.register}</Button>
          </Link>
        ) : lesson.mine ? (
          <>
            <chakra.span fontSize="13px" me="14px" hideBelow="md">
              <Link to={`/rules/lesson:${lesson.id}`} aria-label={say.rulesAndVisitorsOf(lesson.title)}>
                {say.rulesAndVisitors}
              </Link>
            </chakra.span>
            <Link to={`/lessons/${lesson.id}/desk`}>
              <Button as="span">{say.goToTheDeskGet(lesson.phase, soon)}</Button>
            </Link>
          </>
        ) : lesson.phase === 'OPEN' && me.position === 'LEAD' ? (
          <Link to={`/lessons/${lesson.id}/desk`}>
            <Button as="span">{say.lookIn}</Button>
          </Link>
        ) : null}
      </chakra.td>
    </chakra.tr>
  )
}

function state(lesson: LessonLine, now: number, soon: boolean) {
  const before = Date.parse(lesson.starts) - now
  if (lesson.phase === 'OPEN') return <strong>{say.liveNow}</strong>
  if (lesson.phase === 'OVER') return <chakra.span color="ink2">{say.finished}</chakra.span>
  if (Date.parse(lesson.ends) <= now) return <chakra.span color="verdict.away">{say.wasNeverOpened}</chakra.span>
  if (before < 0) return <chakra.span color="verdict.away">{say.shouldHaveBegun}</chakra.span>
  return soon ? (
    <>
      {say.beginsIn} <Until at={lesson.starts} />
    </>
  ) : (
    <chakra.span color="ink2">{say.planned}</chakra.span>
  )
}
