import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { say } from '../../languages/en/staff/replay'
import { get } from '../../shared/api/http'
import type { Desk, PastMoment, Replay } from '../../shared/api/types'
import { rows, type PupilRow } from '../../lesson/rows'
import { useSchoolTime } from '../../shared/time'
import { Key } from '../../shared/ui/Key'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { InGroups } from './InGroups'
import { Shutter, shutterWords } from '../../shared/ui/Shutter'

/** A lesson looked at again: a time line with what happened, and the class list and rights as they were (need M4). */
export default function ReplayScreen() {
  const { id = '' } = useParams()
  return <Page title={say.replay}>{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const path = `/api/lessons/${encodeURIComponent(id)}/replay`
  const { data, error } = useQuery({ queryKey: ['replay', id], queryFn: () => get<Replay>(path) })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theRecordOfTheLesson} />
  return <Player replay={data} path={path} />
}

const MINUTE = 60_000

function Player({ replay, path }: { replay: Replay; path: string }) {
  const time = useSchoolTime()
  const from = Date.parse(replay.from)
  const until = Date.parse(replay.until)
  const [at, setAt] = useState(from)
  const then = useQuery({
    queryKey: ['replay-at', path, at],
    queryFn: () => get<Desk>(`${path}/at?moment=${new Date(at).toISOString()}`),
    placeholderData: (before) => before,
    staleTime: Infinity,
  })
  const go = (to: number) => setAt(Math.max(from, Math.min(until, to)))
  const step = (by: 1 | -1) => {
    const times = replay.moments.filter((one) => one.weight > 0).map((one) => Date.parse(one.at))
    const next = by > 0 ? times.find((one) => one > at) : times.findLast((one) => one < at)
    go(next ?? (by > 0 ? until : from))
  }
  return (
    <Box px="20px" py="14px">
      <chakra.h1 fontSize="24px">
        {say.replayHeading} <Link to={`/lessons/${replay.lesson}/register`}>{replay.title}</Link>{' '}
        <chakra.a
          href={`/api/lessons/${encodeURIComponent(replay.lesson)}/replay/record.zip`}
          download
          fontSize="13px"
          fontWeight="400"
          textDecoration="underline"
        >
          {say.takeTheRecordOut}
        </chakra.a>
      </chakra.h1>
      <chakra.p color="ink2" mb="8px">
        {say.toDragTheLineOrUse(time.longDay(replay.from), time.clock(replay.from), time.clock(replay.until))} <Key>←</Key>{' '}
        <Key>→</Key> {say.forAMinute} <Key>[</Key> <Key>]</Key> {say.forTheNextThingThatHappened}
      </chakra.p>
      <TimeLine replay={replay} at={at} onGo={go} onStep={step} />
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 400px' }} gap="24px" mt="12px" alignItems="start">
        <Box>{then.data ? <AsItWas desk={then.data} at={at} /> : <LoadingNote what={say.theLesson} />}</Box>
        <Happened replay={replay} at={at} onGo={go} />
      </Grid>
      <InGroups replay={replay} />
      <Departures replay={replay} />
    </Box>
  )
}

function TimeLine({
  replay,
  at,
  onGo,
  onStep,
}: {
  replay: Replay
  at: number
  onGo: (at: number) => void
  onStep: (by: 1 | -1) => void
}) {
  const time = useSchoolTime()
  const from = Date.parse(replay.from)
  const until = Date.parse(replay.until)
  const left = (instant: string | number) =>
    `${(100 * ((typeof instant === 'string' ? Date.parse(instant) : instant) - from)) / (until - from || 1)}%`
  return (
    <Box bg="sheet" borderTop="1.5px solid" borderBottom="1px solid" borderColor="ink" px="14px" pt="8px" pb="4px">
      <Box position="relative" h="26px" aria-hidden="true">
        {replay.alone.map((one) => (
          <Box
            key={one.from}
            position="absolute"
            top="0"
            bottom="0"
            bg="verdict.awaySoft"
            style={{ left: left(one.from), width: `calc(${left(one.until)} - ${left(one.from)})` }}
          />
        ))}
        {replay.moments.map((one) => (
          <Box
            key={one.number}
            position="absolute"
            bottom="0"
            w={one.weight === 2 ? '2px' : '1px'}
            h={['5px', '11px', '24px'][one.weight]}
            bg={one.weight === 2 ? 'ink' : 'ink3'}
            style={{ left: left(one.at) }}
          />
        ))}
        <Box position="absolute" top="-4px" bottom="-4px" w="3px" bg="mark" style={{ left: left(at) }} />
      </Box>
      <chakra.input
        type="range"
        w="100%"
        aria-label={say.momentOfTheLesson}
        aria-valuetext={time.clock(at)}
        min={from}
        max={until}
        step={1000}
        value={at}
        onChange={(event) => onGo(Number(event.target.value))}
        onKeyDown={(event) => {
          const by = { ArrowLeft: -MINUTE, ArrowRight: MINUTE }[event.key]
          if (by) onGo(at + by)
          if (event.key === '[') onStep(-1)
          if (event.key === ']') onStep(1)
          if (by) event.preventDefault()
        }}
      />
      <Flex justify="space-between" fontFamily="mono" fontSize="12px" color="ink2">
        <span>{time.clock(from)}</span>
        <chakra.span fontSize="16px" color="ink" fontWeight="650" aria-live="polite">
          {time.clock(at)}
        </chakra.span>
        <span>{time.clock(until)}</span>
      </Flex>
    </Box>
  )
}

const WHERE: Record<PupilRow['whereabouts'], string> = {
  MISSING: say.notCome,
  WAITING: say.atTheDoor,
  IN: say.in,
  CONNECTION_LOST: say.lostTheLine,
  GONE: say.left,
  REMOVED: say.removed,
}

function AsItWas({ desk, at }: { desk: Desk; at: number }) {
  const time = useSchoolTime()
  const adults = desk.door.adults.filter((one) => one.in)
  return (
    <Box>
      <chakra.p mb="6px">
        <strong>{time.clock(at)}</strong>
        {say.door(desk.door.value)}
        {desk.course.stance && say.stance(desk.course.stance)}
        {desk.supervision.stoppedAt && say.everythingStopped}
        {say.quietWithoutAnAdult(desk.supervision.quiet, adults.length, adults.map((one) => one.name).join(', '))}
      </chakra.p>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label={say.theClass}>
        <chakra.table
          w="100%"
          bg="sheet"
          borderTop="1.5px solid"
          borderColor="ink"
          css={{ '& td, & th': { padding: '1px 6px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' } }}
        >
          <thead>
            <chakra.tr fontSize="11.5px" color="ink2">
              <th>{say.pupil}</th>
              <th>{say.where}</th>
              {desk.rights.columns.map((one) => (
                <chakra.th key={one.rule} css={{ textAlign: 'center !important' }} maxW="76px" lineHeight="1.15">
                  {one.title}
                </chakra.th>
              ))}
              <th>{say.on}</th>
            </chakra.tr>
          </thead>
          <tbody>
            {rows(desk).map((pupil) => (
              <chakra.tr key={pupil.id} color={pupil.whereabouts === 'IN' ? 'ink' : 'ink3'}>
                <chakra.td whiteSpace="nowrap">{pupil.name}</chakra.td>
                <chakra.td whiteSpace="nowrap" fontSize="12.5px">
                  {WHERE[pupil.whereabouts]}
                  {pupil.handSince && say.handUp}
                </chakra.td>
                {pupil.cells.map((cell) => (
                  <chakra.td key={cell.rule} css={{ textAlign: 'center !important' }}>
                    <Shutter value={cell.value} bound={cell.bound} loan={cell.loan} size={11} />
                    <chakra.span srOnly>{shutterWords(cell.value, cell.bound, cell.loan)}</chakra.span>
                  </chakra.td>
                ))}
                <chakra.td fontSize="12px" whiteSpace="nowrap">
                  {[pupil.microphone && say.microphone, pupil.camera && say.camera, pupil.screen && say.screen]
                    .filter(Boolean)
                    .join(', ')}
                </chakra.td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  )
}

/** What had happened by then, the latest first, with what came next faint above it. */
function Happened({ replay, at, onGo }: { replay: Replay; at: number; onGo: (at: number) => void }) {
  const time = useSchoolTime()
  const [all, setAll] = useState(false)
  const list = useRef<HTMLOListElement>(null)
  const shown = replay.moments.filter((one) => all || one.weight > 0)
  const last = shown.findLast((one) => Date.parse(one.at) <= at)
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
  }, [last])
  return (
    <Box>
      <Flex justify="space-between" align="baseline">
        <chakra.h2 fontSize="16px">{say.whatHappened}</chakra.h2>
        <label>
          <input type="checkbox" checked={all} onChange={() => setAll(!all)} /> {say.everything}
        </label>
      </Flex>
      <chakra.ol
        ref={list}
        listStyleType="none"
        bg="sheet"
        borderTop="1.5px solid"
        borderColor="ink"
        maxH="62vh"
        overflowY="auto"
        tabIndex={0}
        aria-label={say.whatHappened}
      >
        {shown.map((one) => (
          <Line
            key={one.number}
            moment={one}
            now={one === last}
            past={Date.parse(one.at) <= at}
            clock={time.clock(one.at)}
            onGo={onGo}
          />
        ))}
      </chakra.ol>
    </Box>
  )
}

function Line({
  moment,
  now,
  past,
  clock,
  onGo,
}: {
  moment: PastMoment
  now: boolean
  past: boolean
  clock: string
  onGo: (at: number) => void
}) {
  return (
    <chakra.li borderBottom="1px solid" borderColor="line" bg={now ? 'markSoft' : 'transparent'} aria-current={now || undefined}>
      <chakra.button
        type="button"
        display="flex"
        gap="10px"
        w="100%"
        textAlign="start"
        px="8px"
        py="2px"
        cursor="pointer"
        color={past ? 'ink' : 'ink2'}
        fontWeight={moment.weight === 2 ? 650 : 400}
        onClick={() => onGo(Date.parse(moment.at))}
      >
        <chakra.span fontFamily="mono" fontSize="12.5px" flexShrink={0}>
          {clock}
        </chakra.span>
        <span>{moment.sentence}</span>
      </chakra.button>
    </chakra.li>
  )
}

const KINDS = { LIVE_ORDER: say.forEverybody, PASS: say.pass, CURB: say.curb } as const

/** How the lesson differed from its plan, by whom and for how long (need M3). */
function Departures({ replay }: { replay: Replay }) {
  const time = useSchoolTime()
  const alone = replay.alone.reduce((sum, one) => sum + Date.parse(one.until) - Date.parse(one.from), 0)
  return (
    <chakra.section mt="22px" aria-label={say.againstThePlan}>
      <chakra.h2 fontSize="17px">{say.againstThePlan}</chakra.h2>
      <chakra.p mb="6px">
        {say.nothingWasSetOtherwise(
          replay.departures.length,
          replay.keepers.map((one) => say.timesMin(one.by, one.orders, one.minutes)).join('; ') + '.',
          alone,
          replay.groups.length,
          Math.ceil(alone / MINUTE),
        )}
      </chakra.p>
      {replay.departures.length > 0 && (
        <chakra.table
          bg="sheet"
          borderTop="1.5px solid"
          borderColor="ink"
          css={{
            '& td, & th': { padding: '2px 12px 2px 8px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' },
          }}
        >
          <tbody>
            {replay.departures.map((one) => (
              <tr key={one.from + one.title + one.of}>
                <chakra.td fontFamily="mono" fontSize="12.5px">
                  {time.clock(one.from)}–{time.clock(one.until)}
                </chakra.td>
                <td>{one.title}</td>
                <td>{one.value ?? KINDS[one.kind]}</td>
                <td>{one.of ?? say.everybody}</td>
                <chakra.td color="ink2">{one.by}</chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      )}
    </chakra.section>
  )
}
