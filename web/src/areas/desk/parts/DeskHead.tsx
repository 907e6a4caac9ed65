import { Box, chakra, Flex } from '@chakra-ui/react'
import { ArrowLeft } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../../languages/en/staff/desk'
import type { Desk } from '../../../shared/api/types'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Left, Since } from '../../../shared/ui/Clocks'
import { Key } from '../../../shared/ui/Key'
import { Sheet } from '../../../shared/ui/Sheet'
import { mayOrder } from '../../../lesson/mayOrder'
import type { Give } from '../../../lesson/orders'
import { Choice, DeskMenu, Opener } from '../../../lesson/DeskMenu'
import { Adults } from '../../../lesson/rights/Lending'
import { PAGES } from '../../../lesson/parts'
import { StanceButton } from '../../../lesson/rights/StanceButton'

interface DeskHeadProps {
  desk: Desk
  now: number
  connected: boolean
  give: Give
  busy: boolean
  onWhy: (rule: string) => void
}

const DOORS = ['open', 'knock', 'shut']

/** The class, the door, and the two ways to end something: mute all, and dismiss. */
export function DeskHead({ desk, now, connected, give, busy, onWhy }: DeskHeadProps) {
  const [dismissing, setDismissing] = useState(false)
  const time = useSchoolTime()
  const left = Date.parse(desk.ends) - now
  const live = desk.door.phase === 'OPEN'
  return (
    <Flex
      align="center"
      gap="8px"
      px="14px"
      py="7px"
      bg="sheet"
      borderBottom="3px double"
      borderColor="ink"
      flexShrink={0}
      wrap="wrap"
    >
      <WayBack desk={desk} />
      <chakra.h1 fontSize="19px">{desk.title}</chakra.h1>
      <Box fontSize="12px" color="ink2">
        <Adults desk={desk} live={live} give={give} />
        {!live && `${time.weekday(desk.starts)} `}
        {say.to(time.clock(desk.starts), time.clock(desk.ends))}
        {live &&
          (left > 0 ? (
            <>
              , <Left until={desk.ends} /> {say.left}
            </>
          ) : (
            <>
              {say.overBy} <Since at={desk.ends} />
            </>
          ))}
      </Box>
      <Box flex="1" />
      <Line connected={connected} />
      {live && mayOrder(desk) && (
        <>
          <Flex align="center" gap="6px" fontSize="12.5px" color="ink2">
            <Button look="quiet" onClick={() => onWhy('entry.door')} aria-label={say.whyIsTheDoor}>
              {say.door}
            </Button>
            <Key>D</Key>
          </Flex>
          <Flex role="group" aria-label={say.door} border="1.5px solid" borderColor="ink" borderRadius="3px" overflow="hidden">
            {DOORS.map((value) => (
              <chakra.button
                key={value}
                type="button"
                aria-pressed={desk.door.value === value}
                px="9px"
                py="3px"
                css={{ '@media (pointer: coarse)': { minHeight: '38px' } }}
                cursor="pointer"
                borderInlineStart={value === 'open' ? 'none' : '1px solid'}
                borderColor="lineStrong"
                bg={desk.door.value === value ? 'ink' : 'sheet'}
                color={desk.door.value === value ? 'sheet' : 'ink'}
                fontWeight={desk.door.value === value ? 650 : 400}
                onClick={() => give({ do: 'set', rule: 'entry.door', value })}
              >
                {value}
              </chakra.button>
            ))}
          </Flex>
          <Button onClick={() => give({ do: 'mute-all', keepMuted: true })}>
            {say.muteAll} <Key>M</Key>
          </Button>
          <StanceButton desk={desk} lesson={desk.lesson} give={give} />
          {!desk.supervision.stoppedAt && (
            <Button look="stop" onClick={() => give({ do: 'stop', why: '' })}>
              {say.stopEverything} <Key>Esc Esc</Key>
            </Button>
          )}
          {desk.mine.door.in && !desk.mine.door.observing && <MoreButton desk={desk} give={give} />}
          <Button look="main" disabled={busy} onClick={() => setDismissing(true)}>
            {say.dismissClass}
          </Button>
        </>
      )}
      {live && !desk.mine.door.in && (
        <Button look="main" disabled={busy} onClick={() => give({ do: 'join' })}>
          {say.lookInCome(desk.mine.door.observing)}
        </Button>
      )}
      {live && desk.mine.door.observing && desk.mine.door.in && (
        <>
          <chakra.span fontSize="13px" color="ink2">
            {say.youLook(desk.mine.door.overseeing)}
          </chakra.span>
          {desk.mine.supervision.mayTakeCharge && (
            <Button look="main" disabled={busy} onClick={() => give({ do: 'take-charge' })}>
              {say.takeCharge}
            </Button>
          )}
          <Button onClick={() => give({ do: 'leave' })}>{say.goOut}</Button>
        </>
      )}
      <Sheet title={say.dismissTheClass} open={dismissing} onClose={() => setDismissing(false)}>
        <p>
          {desk.rehearses ? say.theRehearsalEndsEveryone : say.everyoneIsOutAtOnce}
          {say.whoWaitAtTheDoor(desk.door.waiting.length)}
        </p>
        <Flex gap="8px" mt="14px">
          <Button
            look="main"
            onClick={() => {
              give({ do: 'dismiss' })
              setDismissing(false)
            }}
          >
            {say.dismissNow}
          </Button>
          <Button onClick={() => setDismissing(false)}>{say.goOnTeaching}</Button>
        </Flex>
      </Sheet>
    </Flex>
  )
}

/** Back to one's own page; not out of a room one is in without a word about what becomes of it. */
function WayBack({ desk }: { desk: Desk }) {
  const [asked, setAsked] = useState(false)
  const holds = !desk.rehearses && desk.door.phase === 'OPEN' && desk.mine.door.in && !desk.mine.door.observing
  const others = desk.door.adults.filter((adult) => adult.in && adult.id !== desk.mine.me).length
  return (
    <>
      <Link
        to="/today"
        aria-label={say.backToTodaysLessons}
        onClick={(event) => {
          if (!holds) return
          event.preventDefault()
          setAsked(true)
        }}
      >
        <ArrowLeft size={18} aria-hidden />
      </Link>
      <Sheet title={say.theLessonGoes} open={asked} onClose={() => setAsked(false)}>
        <p>{say.youAre(others)}</p>
        <Flex gap="8px" mt="14px">
          <Button look="main" onClick={() => setAsked(false)}>
            {say.stay}
          </Button>
          <Link to="/today">
            <Button as="span" look={others > 0 ? 'plain' : 'stop'}>
              {say.goAllTheSame}
            </Button>
          </Link>
        </Flex>
      </Sheet>
    </>
  )
}

/** What is needed less often. */
function MoreButton({ desk, give }: { desk: Desk; give: Give }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const { light, showing } = desk.rights
  const { focus } = desk.signals
  const close = () => {
    anchor?.focus()
    setAnchor(null)
  }
  return (
    <>
      <Opener onOpen={setAnchor}>
        <chakra.span border="1px solid" borderColor="lineStrong" borderRadius="3px" px="9px" py="4px" bg="sheet">
          {say.more}
        </chakra.span>
      </Opener>
      <DeskMenu anchor={anchor} onClose={close}>
        <Choice value="light" onSelect={() => give({ do: 'light', on: !light })}>
          {say.endTheLightLessonLight(light)}
        </Choice>
        {showing && showing !== desk.mine.me ? (
          <Choice value="stop" onSelect={() => give({ do: 'turn-off', person: showing, what: 'SCREEN' })}>
            {say.stopSharingOf(desk.rights.showingName ?? '')}
          </Choice>
        ) : showing ? (
          <Choice value="stop" onSelect={() => give({ do: 'stop-showing' })}>
            {say.stopShowing}
          </Choice>
        ) : (
          <Choice value="show" onSelect={() => give({ do: 'show' })}>
            {say.showAWindowOfMine}
          </Choice>
        )}
        {focus && (
          <Choice value="focus" onSelect={() => give({ do: 'focus', person: null })}>
            {say.endTheFocus}
          </Choice>
        )}
        {PAGES.map(({ InMore }, place) => InMore && <InMore key={place} desk={desk} give={give} />)}
        {/* In a page of its own: whoever leaves the desk counts as out. */}
        <Choice value="rules" onSelect={() => window.open(`/rules/lesson:${desk.rehearses ?? desk.lesson}`, '_blank')}>
          {say.rulesAndVisitors}
        </Choice>
        <Choice value="out" onSelect={() => give({ do: 'leave' })}>
          {say.stepOutAnotherAdultStays}
        </Choice>
      </DeskMenu>
    </>
  )
}

function Line({ connected }: { connected: boolean }) {
  if (connected) return null
  return (
    <Box role="status" bg="mark" color="onMark" px="8px" fontWeight="650">
      {say.noConnectionTryingAgain}
    </Box>
  )
}
