import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { lazy, Suspense, useContext, useEffect, useState, type ReactNode } from 'react'
import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Heard, Seat } from '../../shared/api/types'
import { WelcomeNote } from '../../lesson/notices/WelcomeNote'
import { standing } from '../../shared/standing'
import { StrokesOf } from '../../shared/live/strokes'
import { useLive } from '../../shared/live/useLive'
import { countdown, useNow, useSchoolTime } from '../../shared/time'
import { Guide } from '../../shared/ui/Guide'
import { Button } from '../../shared/ui/Button'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Refused } from '../../shared/ui/Refused'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { WhySheet } from '../../shared/ui/Why'
import { useActs } from '../../lesson/acts'
import { HandButton } from '../../lesson/signals/HandButton'
import { Helping } from '../../lesson/rights/Helping'
import { Captions, HandedOut } from '../../lesson/material/SeatMaterial'
import { SEAT_PAGES } from '../../lesson/seatParts'
import { Signals } from '../../lesson/signals/SeatSigns'
import { Now } from '../../lesson/supervision/Now'
import { Rights } from '../../lesson/rights/SeatRights'
import { PrivateWordToMe } from '../../lesson/chat/PrivateWord'
import { SeatWords } from '../../lesson/chat/SeatWords'
import { KnockAgain, LeaveButton } from './Leaving'
import { Quiet } from './Quiet'
import { useTellLine } from '../../lesson/lines/useTellLine'
import { OnTheTelephone } from './OnTheTelephone'

// Most lessons are over before a pupil draws: what it takes is fetched when a board is looked at.
const SeatBoard = lazy(() => import('../../lesson/board/SeatBoard'))

/** A pupil's place in a lesson, from the wait at the door to the goodbye. */
export default function SeatScreen() {
  const { visit = '' } = useParams()
  const { view: seat, connected, lost, drawn, weak } = useLive<Heard, Seat>(`/api/seats/${encodeURIComponent(visit)}/stream`)
  const now = useNow(seat?.now)
  const say = seatWords()
  useEffect(() => {
    if (seat) document.title = seat.title
  }, [seat])
  if (lost) return <NotMine />
  if (!seat) return <LoadingNote says={say.fetchingSeat} />
  const line = !connected && (
    <Box role="status" bg="mark" color="onMark" px="16px" py="6px" fontWeight="650">
      {say.noConnection}
    </Box>
  )
  switch (seat.mine.door.status) {
    case 'IN':
      if (seat.mine.door.byTelephone) return <Calling seat={seat} visit={visit} line={line} />
      return (
        <StrokesOf.Provider value={drawn}>
          <Inside seat={seat} visit={visit} line={line} now={now} weak={connected ? weak : undefined} />
        </StrokesOf.Provider>
      )
    case 'WAITING':
      return (
        <>
          {line}
          <Waiting seat={seat} visit={visit} now={now} />
        </>
      )
    default:
      return <Outside seat={seat} visit={visit} />
  }
}

function Calling({ seat, visit, line }: { seat: Seat; visit: string; line: ReactNode }) {
  const acts = useActs(visit)
  return (
    <>
      {line}
      <ProblemNote problem={acts.error} />
      <OnTheTelephone seat={seat} act={acts.mutate} />
    </>
  )
}

/** Signed out, or somebody else uses this device now: nothing of the lesson stays on the screen. */
function NotMine() {
  const say = seatWords()
  return (
    <Quiet title={say.seatClosed}>
      <chakra.p my="12px">{say.seatClosedWhy}</chakra.p>
      <chakra.a href="/today" textDecoration="underline">
        {say.toOwnPage}
      </chakra.a>
    </Quiet>
  )
}

function Waiting({ seat, visit, now }: { seat: Seat; visit: string; now: number }) {
  const time = useSchoolTime()
  const acts = useActs(visit)
  const say = seatWords()
  const before = Date.parse(seat.starts) - now
  return (
    <Quiet title={say.atTheDoor}>
      <chakra.p mb="10px">
        {say.lessonWith(seat.title, seat.adults.join(words().and))}{' '}
        {before > 0 ? say.beginsIn(time.clock(seat.starts), countdown(before)) : say.began(time.clock(seat.starts))}
      </chakra.p>
      <Box aria-live="polite" bg="verdict.waitSoft" borderInlineStart="4px solid" borderColor="verdict.wait" px="14px" py="10px">
        {seat.mine.door.why.slice(0, 1).map((reason) => (
          <Flex key={reason} gap="10px" align="baseline" fontSize="18px">
            <VerdictMark verdict="wait" size={15} />
            <span>{reason}</span>
          </Flex>
        ))}
      </Box>
      {SEAT_PAGES.map(({ Sign }, place) => Sign && <Sign key={place} seat={seat} now={now} />)}
      <WelcomeNote welcome={seat.notices.welcome} />
      <Tide />
      <chakra.p color="ink2" fontSize="15px">
        {say.stayOnPage}
      </chakra.p>
      <Button mt="12px" onClick={() => acts.mutate({ do: 'leave' })}>
        {say.stepAway}
      </Button>
    </Quiet>
  )
}

/** Something calm to look at: a tide that rises and falls with the minute. */
function Tide() {
  return (
    <chakra.svg viewBox="0 0 480 70" w="100%" h="70px" my="14px" aria-hidden color="lineStrong">
      {[0, 1, 2, 3].map((row) => (
        <path
          key={row}
          d={`M0 ${20 + row * 13} q 30 -12 60 0 t 60 0 t 60 0 t 60 0 t 60 0 t 60 0 t 60 0 t 60 0`}
          fill="none"
          stroke="currentColor"
          strokeWidth="1.5"
          opacity={1 - row * 0.2}
        />
      ))}
    </chakra.svg>
  )
}

function Outside({ seat, visit }: { seat: Seat; visit: string }) {
  const { mutate: act } = useActs(visit)
  const say = seatWords()
  const dismissed = seat.mine.door.status === 'DISMISSED'
  const signedIn = !!useQuery(standing).data?.me
  const time = useSchoolTime()
  // The teacher sees who has not gone yet: this page says that it has.
  useEffect(() => {
    if (dismissed) act({ do: 'leave' })
  }, [dismissed, act])
  const refused = seat.mine.door.status === 'TURNED_AWAY' || seat.mine.door.status === 'REMOVED'
  return (
    <Quiet title={say.goodbyes[seat.mine.door.status] ?? say.goodbyes.DISMISSED ?? ''}>
      <chakra.p color="ink2">{seat.title}</chakra.p>
      {refused && (
        <Flex
          gap="10px"
          align="baseline"
          bg="verdict.awaySoft"
          borderInlineStart="4px solid"
          borderColor="verdict.away"
          px="14px"
          py="10px"
          my="12px"
        >
          <VerdictMark verdict="away" size={15} />
          <span>
            {seat.mine.door.allowedBack
              ? say.mayComeBack
              : seat.mine.door.status === 'REMOVED'
                ? say.removedWhy
                : (seat.mine.door.why[0] ?? say.decided)}
          </span>
        </Flex>
      )}
      {seat.mine.door.status === 'DISMISSED' && <chakra.p my="12px">{say.thanks}</chakra.p>}
      {seat.mine.door.allowedBack && (
        <chakra.p role="status" my="12px" bg="mark" color="onMark" px="12px" py="8px" fontWeight="650">
          {say.comeBack}
        </chakra.p>
      )}
      {seat.mine.door.status === 'LEFT' && seat.help && (
        <chakra.p role="status" my="12px" bg="markSoft" px="12px" py="8px">
          {say.overButStays(time.clock(seat.help.until))}
        </chakra.p>
      )}
      {seat.mine.door.status !== 'DISMISSED' && seat.mine.door.status !== 'REMOVED' && (
        <KnockAgain visit={visit} signedIn={signedIn} />
      )}
      <chakra.a href="/today" textDecoration="underline">
        {say.toOwnPage}
      </chakra.a>
    </Quiet>
  )
}

/** Whether something was drawn on a board while nobody looked at it. */
function useDrawn(closed: boolean): boolean {
  const { strokes } = useContext(StrokesOf)
  const [drawn, setDrawn] = useState(false)
  useEffect(() => {
    if (!closed) return
    setDrawn(false)
    return strokes.listen((came) => came.some((one) => one.sheet.startsWith('board ')) && setDrawn(true))
  }, [closed, strokes])
  return closed && drawn
}

interface InsideProps {
  seat: Seat
  visit: string
  line: ReactNode
  now: number
  /** Whether news comes late; nothing while none comes. */
  weak: boolean | undefined
}

function Inside({ seat, visit, line, now, weak }: InsideProps) {
  const acts = useActs(visit)
  const say = seatWords()
  useTellLine(visit, weak, !!seat.mine.line?.weakSince)
  const time = useSchoolTime()
  const [why, setWhy] = useState<string | null>(null)
  // A picture that the teacher turned to is there to be looked at.
  const hasPicture = seat.board.pages.some((page) => page.under)
  const [chosen, setBoard] = useState<boolean | null>(null)
  const board = chosen ?? hasPicture
  const news = useDrawn(!board)
  const left = Date.parse(seat.ends) - now
  return (
    <Flex direction="column" minH="100%" h={{ base: 'auto', md: '100vh' }} fontSize="16px">
      <Flex
        as="header"
        align="center"
        gap="14px"
        px={{ base: '14px', md: '22px' }}
        py="9px"
        bg="sheet"
        borderBottom="3px double"
        borderColor="ink"
        wrap="wrap"
      >
        <chakra.h1 fontSize="21px">{seat.title}</chakra.h1>
        <chakra.span fontSize="14px" color="ink2">
          {say.withUntil(seat.adults.join(words().and), time.clock(seat.ends))} {left > 0 && say.leftInBrackets(countdown(left))}
        </chakra.span>
        {SEAT_PAGES.map(({ Sign }, place) => Sign && <Sign key={place} seat={seat} now={now} />)}
        <Box flex="1" />
        <Guide />
        <chakra.span fontSize="14px" color="ink2">
          {seat.mine.door.shownName ?? seat.mine.door.name}
        </chakra.span>
        <LeaveButton onLeave={() => acts.mutate({ do: 'leave' })} />
      </Flex>
      {line}
      {seat.observers.length > 0 && (
        <chakra.p
          role="status"
          px={{ base: '14px', md: '22px' }}
          py="5px"
          fontSize="14px"
          borderBottom="1px solid"
          borderColor="line"
        >
          {say.lookOn(seat.observers.join(words().and), seat.observers.length)}
        </chakra.p>
      )}
      <Now seat={seat} />
      <PrivateWordToMe seat={seat} visit={visit} now={now} />
      {SEAT_PAGES.map(({ Banner }, place) => Banner && <Banner key={place} seat={seat} now={now} act={acts.mutate} />)}
      {/* On a phone what is shown and written comes before the list of rights; the hand is always first. */}
      <Grid
        as="main"
        templateColumns={{ base: 'minmax(0, 1fr)', md: '320px minmax(0, 1fr)' }}
        templateRows={{ md: 'auto minmax(0, 1fr)' }}
        templateAreas={{ base: '"hand" "shown" "rights"', md: '"hand shown" "rights shown"' }}
        flex="1"
        minH="0"
      >
        <Box gridArea="hand" borderInlineEnd={{ md: '1px solid' }} borderColor={{ md: 'lineStrong' }} pt="16px">
          <HandButton
            seat={seat}
            onRaise={() => acts.mutate({ do: 'raise-hand' })}
            onLower={() => acts.mutate({ do: 'lower-hand' })}
          />
          <Refused problem={acts.error} onClose={acts.reset} />
        </Box>
        <Box
          as="section"
          gridArea="rights"
          borderInlineEnd={{ md: '1px solid' }}
          borderColor={{ md: 'lineStrong' }}
          pb="16px"
          overflowY="auto"
          aria-label={say.whatYouMay}
        >
          {SEAT_PAGES.map(({ AtSeat }, place) => AtSeat && <AtSeat key={place} seat={seat} act={acts.mutate} />)}
          <Helping seat={seat} act={acts.mutate} />
          <Signals seat={seat} act={acts.mutate} />
          <Rights seat={seat} act={acts.mutate} onWhy={(rule) => setWhy(`/api/seats/${encodeURIComponent(visit)}/why/${rule}`)} />
        </Box>
        <Flex
          gridArea="shown"
          direction="column"
          px={{ base: '14px', md: '22px' }}
          py="16px"
          minH="0"
          gap="12px"
          overflowY="auto"
        >
          <HandedOut seat={seat} />
          <Flex justify="space-between" align="start" gap="10px" wrap="wrap">
            <Captions seat={seat} />
            <Button size="small" aria-expanded={board} onClick={() => setBoard(!board)} look={news ? 'main' : 'plain'}>
              {board ? say.closeBoard : news ? say.lookAtBoardNew : say.lookAtBoard}
            </Button>
          </Flex>
          {board && (
            <Suspense fallback={<LoadingNote says={words().fetchingBoard} />}>
              <SeatBoard seat={seat} visit={visit} />
            </Suspense>
          )}
          <Flex
            flex={{ base: '0 0 120px', md: '1' }}
            minH="70px"
            bg="sheet"
            border="1.5px solid"
            borderColor="ink"
            align="center"
            justify="center"
            textAlign="center"
            px="20px"
            color="ink2"
          >
            {seat.rights.showing ? (
              <span>
                <strong>{seat.rights.showing}</strong> {say.showsAScreen}
              </span>
            ) : seat.groups?.here ? (
              say.nothingShownInGroup
            ) : (
              say.nothingShown
            )}
          </Flex>
          <SeatWords seat={seat} visit={visit} />
        </Flex>
      </Grid>
      <WhySheet path={why} onClose={() => setWhy(null)} />
    </Flex>
  )
}
