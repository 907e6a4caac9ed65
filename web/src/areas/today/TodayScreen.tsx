import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { get } from '../../shared/api/http'
import type { LessonLine, Me, TodoLine } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { countdown, useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Todos } from '../../shared/casebook/Todos'
import { PupilsDay } from './PupilsDay'

/** Today's lessons: one's own, or the whole school's for the safeguarding lead. */
export default function TodayScreen() {
  return <Page title="Today">{(me) => (me.position === 'PUPIL' ? <PupilsDay me={me} /> : <AdultsDay me={me} />)}</Page>
}

/** What the casebook asks of this adult, above the lessons: it is easily forgotten. */
function MyFollowUps() {
  const { data } = useQuery({ queryKey: ['my-follow-ups'], queryFn: () => get<TodoLine[]>('/api/casebook/mine') })
  if (!data || data.length === 0) return null
  return (
    <Box as="section" aria-label="To do from the casebook" mb="14px" maxW="620px">
      <chakra.h2 fontSize="16px" mb="4px">
        To do from the casebook
      </chakra.h2>
      <Todos todos={data} />
    </Box>
  )
}

function useToday() {
  const { data: school } = useQuery(standing)
  const now = useNow(school?.now)
  const today = useQuery({
    queryKey: ['today'],
    queryFn: () => get<LessonLine[]>('/api/today'),
    refetchInterval: 15_000,
  })
  return { ...today, now }
}

function AdultsDay({ me }: { me: Me }) {
  const { data, error, now } = useToday()
  const time = useSchoolTime()
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="today's lessons" />
  const live = data.filter((one) => one.phase === 'OPEN').length
  return (
    <Box maxW="1080px" mx="auto" px="20px" py="18px">
      <chakra.h1 fontSize="25px">{time.longDay(now)}</chakra.h1>
      <chakra.p color="ink2" mb="10px">
        It is {time.clock(now)} at the school.{' '}
        {live === 0 ? 'No lesson is live.' : live === 1 ? '1 lesson is live.' : `${live} lessons are live.`}
      </chakra.p>
      <MyFollowUps />
      {data.length === 0 ? (
        <EmptyNote>
          No lesson today. <Link to="/classes">Make a class and schedule it</Link>, and it stands here on its day.
        </EmptyNote>
      ) : (
        <chakra.table
          w="100%"
          bg="sheet"
          borderTop="1.5px solid"
          borderColor="ink"
          css={{
            '& td, & th': {
              padding: '6px 10px',
              borderBottom: '1px solid var(--chakra-colors-line)',
              textAlign: 'left',
            },
          }}
        >
          <thead>
            <chakra.tr fontSize="12px" color="ink2">
              <chakra.th w="110px">Time</chakra.th>
              <th>Class</th>
              <chakra.th hideBelow="md">Adults</chakra.th>
              <th>State</th>
              <th>
                <chakra.span srOnly>What to do</chakra.span>
              </th>
            </chakra.tr>
          </thead>
          <tbody>
            {data.map((one) => (
              <LessonRow key={one.id} lesson={one} now={now} me={me} />
            ))}
          </tbody>
        </chakra.table>
      )}
    </Box>
  )
}

const OPENS_EARLY_MS = 30 * 60_000

function LessonRow({ lesson, now, me }: { lesson: LessonLine; now: number; me: Me }) {
  const time = useSchoolTime()
  const starts = Date.parse(lesson.starts)
  const soon = lesson.phase === 'PLANNED' && starts - now < OPENS_EARLY_MS && Date.parse(lesson.ends) > now
  const mark = lesson.mine && (lesson.phase === 'OPEN' || soon)
  return (
    <chakra.tr bg={mark ? 'markSoft' : 'transparent'}>
      <chakra.td fontFamily="mono" fontSize="13px" whiteSpace="nowrap">
        {time.clock(lesson.starts)}–{time.clock(lesson.ends)}
      </chakra.td>
      <td>
        <chakra.span fontWeight="640">
          <Link to={`/classes/${lesson.classId}`}>{lesson.title}</Link>
        </chakra.span>{' '}
        <chakra.span fontSize="12.5px" color="ink2">
          {lesson.pupils} pupils
        </chakra.span>
      </td>
      <chakra.td fontSize="13px" color="ink2" hideBelow="md">
        {lesson.adults.join(', ')}
      </chakra.td>
      <td>{state(lesson, now, soon)}</td>
      <chakra.td css={{ textAlign: 'right !important' }}>
        {lesson.phase === 'OVER' ? (
          <Link to={`/lessons/${lesson.id}/register`}>
            <Button as="span">Register</Button>
          </Link>
        ) : lesson.mine && me.position === 'TEACHER' ? (
          <Link to={`/lessons/${lesson.id}/desk`}>
            <Button as="span" look={mark ? 'main' : 'plain'}>
              {lesson.phase === 'OPEN' ? 'Go to the desk' : soon ? 'Get ready' : 'Look ahead'}
            </Button>
          </Link>
        ) : null}
      </chakra.td>
    </chakra.tr>
  )
}

function state(lesson: LessonLine, now: number, soon: boolean) {
  const before = Date.parse(lesson.starts) - now
  if (lesson.phase === 'OPEN') return <strong>live now</strong>
  if (lesson.phase === 'OVER') return <chakra.span color="ink2">finished</chakra.span>
  if (Date.parse(lesson.ends) <= now) return <chakra.span color="verdict.away">was never opened</chakra.span>
  if (before < 0) return <chakra.span color="verdict.away">should have begun</chakra.span>
  return soon ? <>begins in {countdown(before)}</> : <chakra.span color="ink2">planned</chakra.span>
}
