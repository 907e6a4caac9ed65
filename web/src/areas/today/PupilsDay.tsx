import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { ChooseLanguage } from '../../languages/ChooseLanguage'
import { words } from '../../languages/language'
import { ownWords } from '../../languages/own'
import { get } from '../../shared/api/http'
import type { LessonBehind, Me, MyDay, MyLesson } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { countdown, until, useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { MyMerits } from '../results/MyMerits'
import { MyRecordings } from './MyRecordings'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'

// Wanted once, if ever.
const CalendarAddress = lazy(async () => ({ default: (await import('../../shared/ui/CalendarAddress')).CalendarAddress }))

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
  const say = ownWords()
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={say.fetchingLessons} />
  const next = data.today.find((one) => one.state === 'OPEN') ?? data.today.find((one) => one.state === 'COMING')
  const others = data.today.filter((one) => one !== next)
  return (
    <Box maxW="620px" mx="auto" px="18px" py="20px" fontSize="16px">
      <chakra.p color="ink2">{say.atTheSchool(time.longDay(now), time.clock(now))}</chakra.p>
      <chakra.h1 fontSize="26px" mb="12px">
        {say.hello(me.name.split(' ')[0] ?? '')}
      </chakra.h1>
      {next ? <Next lesson={next} now={now} /> : <EmptyNote>{say.noMoreToday}</EmptyNote>}
      {others.length > 0 && (
        <>
          <chakra.h2 fontSize="17px" mt="22px" mb="2px">
            {say.today}
          </chakra.h2>
          {others.map((one) => (
            <Line key={one.id} lesson={one} when={`${time.clock(one.starts)}–${time.clock(one.ends)}`} />
          ))}
        </>
      )}
      {data.later.length > 0 && (
        <>
          <chakra.h2 fontSize="17px" mt="22px" mb="2px">
            {say.afterToday}
          </chakra.h2>
          {data.later.map((one) => (
            <Line key={one.id} lesson={one} day={time.day(one.starts)} when={time.clock(one.starts)} />
          ))}
        </>
      )}
      <Behind />
      <MyRecordings />
      <MyMerits />
      <Box mt="24px" fontSize="14px">
        <Button look="quiet" aria-expanded={calendar} onClick={() => setCalendar(!calendar)}>
          {say.inCalendar}
        </Button>
        {calendar && (
          <Suspense fallback={null}>
            <CalendarAddress path="/api/feed" renewable />
          </Suspense>
        )}
      </Box>
      <ChooseLanguage />
    </Box>
  )
}

function Next({ lesson, now }: { lesson: MyLesson; now: number }) {
  const time = useSchoolTime()
  const before = Date.parse(lesson.starts) - now
  const say = ownWords()
  return (
    <Box
      as="section"
      aria-label={say.yourNext}
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
            {say.fromTo(time.clock(lesson.starts), time.clock(lesson.ends))}
            {lesson.adults.length > 0 && say.withAdults(lesson.adults.join(words().and))}
          </p>
        </Box>
        <Box textAlign="end" whiteSpace="nowrap">
          <chakra.p fontSize="13px" color="ink2">
            {before > 0 ? say.beginsIn : lesson.state === 'OPEN' ? say.isOn : say.shouldBegin}
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
            {say.goToDoor}
          </Button>
        </Link>
      ) : (
        <chakra.p mt="12px" borderInlineStart="4px solid" borderColor="lineStrong" ps="10px" color="ink2">
          {!lesson.shownFrom
            ? say.comeWithLink
            : Date.parse(lesson.shownFrom) - now < HOUR
              ? say.wayOpensIn(time.clock(lesson.shownFrom), countdown(Date.parse(lesson.shownFrom) - now))
              : say.wayOpens(time.clock(lesson.shownFrom))}
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
    <Box as="section" aria-label={ownWords().behindYou} mt="22px">
      <chakra.h2 fontSize="17px" mb="2px">
        {ownWords().readAgain}
      </chakra.h2>
      {lessons.slice(0, all ? undefined : FIRST_BEHIND).map((one) => (
        <Flex key={one.id} py="6px" gap="12px" borderBottom="1px solid" borderColor="line" align="baseline">
          <When day={time.day(one.starts)} clock={time.clock(one.starts)} />
          <Link to={`/lessons/${one.id}/afterwards`}>
            <u>{one.title}</u>
          </Link>
        </Flex>
      ))}
      {lessons.length > FIRST_BEHIND && !all && (
        <Button look="quiet" mt="6px" onClick={() => setAll(true)}>
          {ownWords().more(lessons.length - FIRST_BEHIND)}
        </Button>
      )}
    </Box>
  )
}

function Line({ lesson, day, when }: { lesson: MyLesson; day?: string; when: string }) {
  const off = lesson.state === 'CANCELLED' || lesson.state === 'OVER'
  return (
    <Flex py="6px" gap="12px" borderBottom="1px solid" borderColor="line" color={off ? 'ink2' : 'ink'} align="baseline">
      <When day={day} clock={when} />
      <chakra.span flex="1" textDecoration={lesson.state === 'CANCELLED' ? 'line-through' : 'none'}>
        {lesson.title}
      </chakra.span>
      <chakra.span fontSize="14px" fontWeight={lesson.state === 'CANCELLED' ? 650 : 400}>
        {ownWords().states[lesson.state]}
      </chakra.span>
    </Flex>
  )
}

/** In one column for the whole list. Only figures are of even width: the letters of that font would be fetched for a few days' names. */
function When({ day, clock }: { day: string | undefined; clock: string }) {
  return (
    <chakra.span display="inline-flex" gap="8px" flexShrink={0} fontSize="14px" alignItems="baseline">
      {day && <chakra.span minW="88px">{day}</chakra.span>}
      <chakra.span fontFamily="mono">{clock}</chakra.span>
    </chakra.span>
  )
}
