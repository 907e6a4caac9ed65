import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/timetable'
import type { LessonBox, Me, PlanChange, PlanChanged } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'
import { SeverityMark } from '../../shared/ui/SeverityMark'
import { useTimetable, useUndo } from './api'
import { Exchange } from './parts/Exchange'
import { Grid } from './parts/Grid'
import { LessonPanel } from './parts/LessonPanel'
import { NewLessons } from './parts/NewLessons'
import { monday, plusDays, type By, type Move } from './rows'

const WAYS: Record<By, string> = { day: say.byDay, adult: say.byAdult, class: say.byClass, year: say.byYear }

/** What is planned: a week or a day, one's own classes or the whole school's. */
export default function TimetableScreen() {
  return <Page title={say.timetable}>{(me) => <Shown me={me} />}</Page>
}

function Shown({ me }: { me: Me }) {
  const { data: school } = useQuery(standing)
  const now = useNow(school?.now)
  const time = useSchoolTime()
  const today = time.isoDay(now)
  const [search, setSearch] = useSearchParams()
  const isLead = me.position === 'LEAD'
  const by = (search.get('by') as By | null) ?? (isLead ? 'adult' : 'day')
  const oneDay = search.get('span') === 'day'
  const asked = search.get('from') ?? today
  const from = oneDay ? asked : monday(asked)
  const days = oneDay ? 1 : 7
  const { data, error, isPlaceholderData } = useTimetable(from, days)
  const [chosen, setChosen] = useState<string | null>(search.get('lesson'))
  const [move, setMove] = useState<Move | null>(null)
  const [told, setTold] = useState<PlanChanged | null>(null)
  const [exchanging, setExchanging] = useState(false)
  const [making, setMaking] = useState(false)
  const frame = useRef<HTMLDivElement>(null)
  const width = useWidth(frame)

  const show = (change: Record<string, string>) => setSearch({ ...Object.fromEntries(search), ...change }, { replace: true })
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest('input, select, textarea')
      if (typing || event.ctrlKey || event.metaKey || event.altKey) return
      if (event.key === 'Escape') {
        setMove(null)
        setChosen(null)
      }
      if (event.key === 'n' && !isLead) {
        event.preventDefault()
        setMaking(true)
      }
      if (event.key === '[') show({ from: plusDays(from, -days) })
      if (event.key === ']') show({ from: plusDays(from, days) })
      if (event.key === '.') show({ from: today })
    }
    window.addEventListener('keydown', keys)
    return () => window.removeEventListener('keydown', keys)
  })

  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theTimetable} />
  // Days without school and without lessons take no room in a week.
  const shownDays = data.days.filter((day) => day.school || day.free || data.lessons.some((one) => one.date === day.date))
  const page = { ...data, days: oneDay ? data.days : shownDays.filter((day) => day.school || hasLessons(data.lessons, day.date)) }
  const box = data.lessons.find((one) => one.id === chosen)
  const dayLabel = (day: string) => time.day(`${day}T12:00:00Z`)
  const minute = minuteOf(time.clock(now))
  const ways: By[] = isLead ? ['adult', 'class', 'year'] : ['day', 'class', 'adult']
  return (
    <Box px="20px" py="14px">
      <Flex align="center" gap="10px" wrap="wrap" mb="8px">
        <chakra.h1 fontSize="24px" me="6px">
          {say.weekOf(oneDay, time.longDay(`${from}T12:00:00Z`), time.longDay(`${from}T12:00:00Z`).replace(/^\w+ /, ''))}
        </chakra.h1>
        <Button onClick={() => show({ from: plusDays(from, -days) })} aria-label={oneDay ? say.theDayBefore : say.theWeekBefore}>
          ← <Key>[</Key>
        </Button>
        <Button onClick={() => show({ from: today })}>
          {say.todayThisWeek(oneDay)} <Key>.</Key>
        </Button>
        <Button onClick={() => show({ from: plusDays(from, days) })} aria-label={oneDay ? say.theDayAfter : say.theWeekAfter}>
          → <Key>]</Key>
        </Button>
        <Choice
          label={say.span}
          value={oneDay ? 'day' : 'week'}
          options={{ week: say.week, day: say.day }}
          onChange={(span) => show({ span, from: span === 'day' && !oneDay ? dayOf(today, from) : from })}
        />
        <Choice
          label={say.lines}
          value={by}
          options={Object.fromEntries(ways.map((way) => [way, WAYS[way]]))}
          onChange={(way) => show({ by: way })}
        />
        <Box flex="1" />
        <chakra.span color="ink2" fontSize="13px" aria-live="polite">
          {say.fetching(isPlaceholderData, counts(data.lessons))}
        </chakra.span>
        {!isLead && (
          <Button onClick={() => setMaking(true)}>
            {say.newLessons} <Key>n</Key>
          </Button>
        )}
        <Link to="/classes/new">
          <Button as="span">{say.makeAClass}</Button>
        </Link>
        <Button onClick={() => setExchanging(true)}>{say.files}</Button>
      </Flex>
      <Sheet title={say.filesAndCalendars} wide open={exchanging} onClose={() => setExchanging(false)}>
        <Exchange
          me={me}
          from={monday(from)}
          onTaken={(changed) => {
            setTold(changed)
            setExchanging(false)
          }}
        />
      </Sheet>
      <Sheet title={say.newLessonsTitle} open={making} onClose={() => setMaking(false)}>
        <NewLessons />
      </Sheet>
      {told && <Told changed={told} onClose={() => setTold(null)} />}
      <Flex gap="16px" align="start" direction={{ base: 'column', lg: 'row' }}>
        <Box ref={frame} flex="1" minW="0" w="100%" overflowX="auto" borderTop="1.5px solid" borderColor="ink">
          {data.lessons.length === 0 ? (
            <EmptyNote>{say.nothingIsPlannedLessons(oneDay)}</EmptyNote>
          ) : (
            width > 0 && (
              <Grid
                page={page}
                by={oneDay && by === 'day' ? 'class' : by}
                now={{ date: today, minute }}
                dayLabel={dayLabel}
                chosen={chosen}
                move={move}
                onChoose={(one) => {
                  setChosen(one.id)
                  setMove((before) => (before?.lesson === one.id ? before : null))
                }}
                onMove={setMove}
                width={Math.max(width, 640)}
              />
            )
          )}
          <Legend />
        </Box>
        <Box w={{ base: '100%', lg: '330px' }} flexShrink={0}>
          {box ? (
            <LessonPanel
              key={box.id}
              box={box}
              covering={search.get('do') === 'cover' && search.get('lesson') === box.id}
              move={move}
              dayLabel={dayLabel}
              onMove={setMove}
              onChanged={setTold}
              onClose={() => setChosen(null)}
            />
          ) : (
            <Latest changes={data.changes} />
          )}
        </Box>
      </Flex>
    </Box>
  )
}

const hasLessons = (lessons: LessonBox[], date: string) => lessons.some((one) => one.date === date)

const minuteOf = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3))

/** Today if it is in the week, else its Monday. */
const dayOf = (today: string, week: string) => (monday(today) === week ? today : week)

function counts(lessons: LessonBox[]): string {
  const held = lessons.filter((one) => one.state !== 'CANCELLED').length
  const live = lessons.filter((one) => one.state === 'LIVE').length
  const weak = lessons.filter((one) => one.severity === 'DANGER' || one.severity === 'WEAK_SPOT').length
  return [say.lessonsSaid(held), live > 0 && say.live(live), weak > 0 && say.withWeakSpots(weak)].filter(Boolean).join(' · ')
}

function useWidth(frame: React.RefObject<HTMLDivElement | null>): number {
  const [width, setWidth] = useState(0)
  useLayoutEffect(() => {
    const element = frame.current
    if (!element) return
    const look = () => setWidth(element.clientWidth)
    look()
    const watch = new ResizeObserver(look)
    watch.observe(element)
    return () => watch.disconnect()
  })
  return width
}

function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string
  value: T
  options: Record<string, string>
  onChange: (value: string) => void
}) {
  return (
    <Flex role="group" aria-label={label} border="1px solid" borderColor="lineStrong" borderRadius="3px" bg="sheet">
      {Object.entries(options).map(([key, words]) => (
        <chakra.button
          key={key}
          type="button"
          aria-pressed={value === key}
          px="9px"
          py="3px"
          cursor="pointer"
          fontWeight={value === key ? 650 : 400}
          boxShadow={value === key ? 'inset 0 -3px 0 var(--chakra-colors-mark)' : 'none'}
          onClick={() => onChange(key)}
        >
          {words}
        </chakra.button>
      ))}
    </Flex>
  )
}

/** What was just changed, what it brings, and the way back. */
function Told({ changed, onClose }: { changed: PlanChanged; onClose: () => void }) {
  const undo = useUndo()
  return (
    <Box role="status" bg="markSoft" borderInlineStart="4px solid" borderColor="ink" px="12px" py="7px" mb="10px">
      <Flex gap="10px" align="center" wrap="wrap">
        <span>
          <strong>{changed.what}.</strong> {say.lessonsItBringsNoNew(changed.lessons, changed.appearing.length)}
        </span>
        <Button size="small" disabled={undo.isPending} onClick={() => undo.mutate(changed.change, { onSuccess: onClose })}>
          {say.undo}
        </Button>
        <Button size="small" look="quiet" onClick={onClose}>
          {say.fine}
        </Button>
      </Flex>
      {changed.appearing.slice(0, 4).map((one) => (
        <Flex key={one} gap="6px" align="baseline">
          <SeverityMark severity="WEAK_SPOT" size={11} />
          <span>{one}</span>
        </Flex>
      ))}
      {changed.appearing.length > 4 && <p>{say.andMoreWeakSpots(changed.appearing.length - 4)}</p>}
      <ProblemNote problem={undo.error} compact />
    </Box>
  )
}

/** The latest changes of the plan, each with its way back. */
function Latest({ changes }: { changes: PlanChange[] }) {
  const time = useSchoolTime()
  const undo = useUndo()
  return (
    <Box bg="sheet" border="1px solid" borderColor="lineStrong" px="14px" py="12px">
      <chakra.h2 fontSize="16px">{say.latestChanges}</chakra.h2>
      <chakra.p color="ink2" fontSize="13px" mb="6px">
        {say.chooseALessonToSee} <Key>←</Key> <Key>→</Key> {say.goAlongALine} <Key>Shift</Key> {say.anArrowMovesTheLesson}
      </chakra.p>
      <ProblemNote problem={undo.error} compact />
      {changes.length === 0 && <p>{say.nothingWasChangedYet}</p>}
      {changes.map((one) => (
        <Box key={one.id} borderTop="1px solid" borderColor="line" py="5px" fontSize="13px">
          <chakra.span textDecoration={one.undone ? 'line-through' : 'none'}>{one.what}</chakra.span>
          {say.lessonsIfMany(one.lessons)}
          <chakra.span color="ink2" display="block">
            {say.undone(one.why, one.by, time.day(one.at), time.clock(one.at), one.undone)}
          </chakra.span>
          {!one.undone && (
            <Button
              look="quiet"
              disabled={undo.isPending}
              aria-label={say.undoSaid(one.what)}
              onClick={() => undo.mutate(one.id)}
            >
              {say.undo}
            </Button>
          )}
        </Box>
      ))}
    </Box>
  )
}

function Legend() {
  return (
    <Flex gap="16px" wrap="wrap" mt="6px" px="4px" fontSize="12.5px" color="ink2" align="center">
      <Flex gap="5px" align="center">
        <SeverityMark severity="DANGER" silent /> {say.danger}
      </Flex>
      <Flex gap="5px" align="center">
        <SeverityMark severity="WEAK_SPOT" silent /> {say.weakSpot}
      </Flex>
      <Flex gap="5px" align="center">
        <SeverityMark severity="NOTE" silent /> {say.worthKnowing}
      </Flex>
      <span>{say.coverWord}</span>
      <Flex gap="5px" align="center">
        <Box w="22px" h="12px" border="1px solid" borderColor="ink" bg="verdict.inSoft" /> {say.liveWord}
      </Flex>
      <Flex gap="5px" align="center">
        <Box w="22px" h="12px" border="1px dashed" borderColor="lineStrong" /> {say.cancelled}
      </Flex>
    </Flex>
  )
}
