import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { get } from '../../shared/api/http'
import type { LessonBehind, Me, MyDay, MyLesson } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { countdown, until, useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { CalendarAddress } from '../../shared/ui/CalendarAddress'
import { MyMerits } from '../results/MyMerits'
import { MyRecordings } from './MyRecordings'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'

const HOUR = 3_600_000

/** A pupil's own day: the next lesson large, with its door when it is time; then what else there is (need C2). */
export default function PupilsDay({ me }: { me: Me }) {
  const { data: school } = useQuery(standing)
  const now = useNow(school?.now)
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['my-day'],
    queryFn: () => get<MyDay>('/api/my-day'),
    refetchInterval: 15_000,
  })
  const [calendar, setCalendar] = useState(false)
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="your lessons" />
  const next = data.today.find((one) => one.state === 'OPEN') ?? data.today.find((one) => one.state === 'COMING')
  const others = data.today.filter((one) => one !== next)
  return (
    <Box maxW="620px" mx="auto" px="18px" py="20px" fontSize="16px">
      <chakra.p color="ink2">
        {time.longDay(now)}, {time.clock(now)} at the school
      </chakra.p>
      <chakra.h1 fontSize="26px" mb="12px">
        Hello, {me.name.split(' ')[0]}
      </chakra.h1>
      {next ? <Next lesson={next} now={now} /> : <EmptyNote>No more lessons today. See you!</EmptyNote>}
      {others.length > 0 && (
        <>
          <chakra.h2 fontSize="17px" mt="22px" mb="2px">
            Today
          </chakra.h2>
          {others.map((one) => (
            <Line key={one.id} lesson={one} when={`${time.clock(one.starts)}–${time.clock(one.ends)}`} />
          ))}
        </>
      )}
      {data.later.length > 0 && (
        <>
          <chakra.h2 fontSize="17px" mt="22px" mb="2px">
            After today
          </chakra.h2>
          {data.later.map((one) => (
            <Line key={one.id} lesson={one} when={`${time.day(one.starts)} ${time.clock(one.starts)}`} />
          ))}
        </>
      )}
      <Behind />
      <MyRecordings />
      <MyMerits />
      <Box mt="24px" fontSize="14px">
        <Button look="quiet" aria-expanded={calendar} onClick={() => setCalendar(!calendar)}>
          My lessons in a calendar program
        </Button>
        {calendar && <CalendarAddress path="/api/feed" renewable />}
      </Box>
    </Box>
  )
}

function Next({ lesson, now }: { lesson: MyLesson; now: number }) {
  const time = useSchoolTime()
  const before = Date.parse(lesson.starts) - now
  return (
    <Box
      as="section"
      aria-label="Your next lesson"
      bg="sheet"
      border="1.5px solid"
      borderColor="ink"
      borderTop="3px double"
      px={{ base: '16px', md: '24px' }}
      py="16px"
    >
      <Flex justify="space-between" gap="14px" align="start">
        <Box minW="0">
          <chakra.h2 fontSize={{ base: '24px', md: '28px' }} overflowWrap="anywhere">
            {lesson.title}
          </chakra.h2>
          <p>
            {time.clock(lesson.starts)} to {time.clock(lesson.ends)}
            {lesson.adults.length > 0 && `, with ${lesson.adults.join(' and ')}`}
          </p>
        </Box>
        <Box textAlign="end" whiteSpace="nowrap">
          <chakra.p fontSize="13px" color="ink2">
            {before > 0 ? 'begins in' : lesson.state === 'OPEN' ? 'is on' : 'should begin'}
          </chakra.p>
          {before > 0 && (
            <chakra.p fontFamily="mono" fontSize={{ base: '24px', md: '30px' }} lineHeight="1.1" role="timer">
              {until(before)}
            </chakra.p>
          )}
        </Box>
      </Flex>
      {lesson.joinPath ? (
        <Link to={lesson.joinPath}>
          <Button as="span" size="large" mt="14px" bg="mark" color="onMark" borderColor="ink" fontWeight="650" w="100%">
            Go to the door
          </Button>
        </Link>
      ) : (
        <chakra.p mt="12px" borderInlineStart="4px solid" borderColor="lineStrong" ps="10px" color="ink2">
          {lesson.shownFrom
            ? `The way to the door opens here at ${time.clock(lesson.shownFrom)}${
                Date.parse(lesson.shownFrom) - now < HOUR ? `, in ${countdown(Date.parse(lesson.shownFrom) - now)}` : ''
              }.`
            : 'Come with the link and the word that your teacher gives you.'}
        </chakra.p>
      )}
    </Box>
  )
}

const FIRST_BEHIND = 3

/** Lessons of the last days: what was handed out, drawn and written, as far as the rules leave it to pupils. */
function Behind() {
  const time = useSchoolTime()
  const [all, setAll] = useState(false)
  const { data: lessons } = useQuery({ queryKey: ['my-day-behind'], queryFn: () => get<LessonBehind[]>('/api/my-day/behind') })
  if (!lessons || lessons.length === 0) return null
  return (
    <Box as="section" aria-label="Lessons behind you" mt="22px">
      <chakra.h2 fontSize="17px" mb="2px">
        Read again
      </chakra.h2>
      {lessons.slice(0, all ? undefined : FIRST_BEHIND).map((one) => (
        <Flex key={one.id} py="6px" gap="12px" borderBottom="1px solid" borderColor="line" align="baseline">
          <chakra.span fontFamily="mono" fontSize="14px" flexShrink={0}>
            {time.day(one.starts)} {time.clock(one.starts)}
          </chakra.span>
          <Link to={`/lessons/${one.id}/afterwards`}>
            <u>{one.title}</u>
          </Link>
        </Flex>
      ))}
      {lessons.length > FIRST_BEHIND && !all && (
        <Button look="quiet" mt="6px" onClick={() => setAll(true)}>
          {lessons.length - FIRST_BEHIND} more
        </Button>
      )}
    </Box>
  )
}

const STATES: Record<MyLesson['state'], string> = { COMING: '', OPEN: 'is on', OVER: 'over', CANCELLED: 'is not held' }

function Line({ lesson, when }: { lesson: MyLesson; when: string }) {
  const off = lesson.state === 'CANCELLED' || lesson.state === 'OVER'
  return (
    <Flex py="6px" gap="12px" borderBottom="1px solid" borderColor="line" color={off ? 'ink2' : 'ink'} align="baseline">
      <chakra.span fontFamily="mono" fontSize="14px" flexShrink={0}>
        {when}
      </chakra.span>
      <chakra.span flex="1" textDecoration={lesson.state === 'CANCELLED' ? 'line-through' : 'none'}>
        {lesson.title}
      </chakra.span>
      <chakra.span fontSize="14px" fontWeight={lesson.state === 'CANCELLED' ? 650 : 400}>
        {STATES[lesson.state]}
      </chakra.span>
    </Flex>
  )
}
