import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect, useRef, type ReactNode } from 'react'
import type { Desk } from '../../shared/api/types'
import { countdown, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { mayOrder, type Give } from '../orders'

type Table = Desk['groups']['tables'][number]
type Out = NonNullable<Desk['groups']['out']>

interface HallProps {
  desk: Desk
  now: number
  give: Give
  /** Shows the class list in place of the hall. */
  onList: () => void
}

const COLUMNS = { base: 'minmax(150px, 1.1fr) minmax(120px, 1.3fr) minmax(90px, 0.9fr) 104px', xl: '230px 1fr 200px 116px' }

/** The class apart: a hall of tables, a line each, with when an adult was there, the last words, and the next act. */
export function Hall({ desk, now, give, onList }: HallProps) {
  const { groups } = desk
  const out = groups.out as Out
  const from = Date.parse(out.since)
  const until = Math.max(Date.parse(out.ends), now)
  const mates = groups.tables.flatMap((table) => table.mates)
  const count = (where: string) => mates.filter((one) => one.where === where).length
  const rest = [
    [count('ON_THE_WAY'), 'on the way'],
    [count('LOST'), 'lost the line'],
    [count('MISSING'), 'missing'],
    [groups.together, 'with the class together'],
  ] as const
  useStopLooking(desk, give)
  return (
    <Flex as="section" direction="column" bg="sheet" minW="0" minH="0" aria-label="Groups">
      <Flex px="14px" py="6px" gap="8px" align="center" wrap="wrap" borderBottom="1px solid" borderColor="line">
        <Box>
          <chakra.h2 fontSize="15px" aria-live="polite">
            {count('IN')} in {groups.tables.filter((table) => table.mates.length > 0).length} groups
          </chakra.h2>
          <chakra.span fontSize="12px" color="ink2">
            {rest
              .filter(([many]) => many > 0)
              .map(([many, what]) => `${many} ${what}`)
              .join(' · ') || 'everyone is where they belong'}
          </chakra.span>
        </Box>
        <Box flex="1" />
        <Back out={out} now={now} />
        {mayOrder(desk) && (
          <>
            <Button onClick={() => give({ do: 'stay-longer', minutes: out.calledBack ? 0 : 2 })}>
              {out.calledBack ? 'Stay out after all' : '2 min more'}
            </Button>
            {!out.calledBack && (
              <Button look="main" onClick={() => give({ do: 'call-back', seconds: 30 })}>
                Call all back <Key>B</Key>
              </Button>
            )}
            <Button look={out.calledBack ? 'main' : 'plain'} onClick={() => give({ do: 'call-back', seconds: 0 })}>
              At once {out.calledBack && <Key>B</Key>}
            </Button>
          </>
        )}
        <Button onClick={onList}>List</Button>
      </Flex>
      <Box role="table" aria-label="Groups" flex="1" minH="0" display="flex" flexDirection="column">
        <Box role="rowgroup">
          <Box
            role="row"
            display="grid"
            gridTemplateColumns={COLUMNS}
            gap="0 14px"
            px="14px"
            fontSize="11.5px"
            color="ink2"
            borderBottom="1.5px solid"
            borderColor="ink"
            alignItems="end"
          >
            <Box role="columnheader">group</Box>
            <Box role="columnheader">
              <Ruler from={from} until={until} now={now} />
            </Box>
            <Box role="columnheader">last words</Box>
            <Box role="columnheader">you</Box>
          </Box>
        </Box>
        <Box role="rowgroup" flex="1" minH="0" overflowY="auto" tabIndex={0} aria-label="Groups, one line each">
          {groups.tables.map((table) => (
            <Line key={table.id} table={table} desk={desk} from={from} until={until} now={now} give={give} />
          ))}
        </Box>
      </Box>
      <Flex
        as="footer"
        gap="18px"
        px="14px"
        py="5px"
        borderTop="1.5px solid"
        borderColor="ink"
        fontSize="12px"
        color="ink2"
        wrap="wrap"
      >
        <span>
          <strong>filled</strong> an adult is in · <strong>framed</strong> an adult looks in · <strong>line</strong> nobody
        </span>
        <chakra.span ml="auto" hideBelow="xl">
          Each has its own words and board page. What is said there is not recorded.
        </chakra.span>
      </Flex>
    </Flex>
  )
}

/** A look is over when this page does not show the hall any more. */
function useStopLooking(desk: Desk, give: Give) {
  const looking = useRef(desk.mine.groups.looking)
  const order = useRef(give)
  useEffect(() => {
    looking.current = desk.mine.groups.looking
    order.current = give
  })
  useEffect(
    () => () => {
      if (looking.current) order.current({ do: 'look-away' })
    },
    [],
  )
}

function Back({ out, now }: { out: Out; now: number }) {
  const left = Date.parse(out.ends) - now
  const whole = Date.parse(out.ends) - Date.parse(out.since)
  const soon = left < 60_000
  return (
    <Box
      role="timer"
      aria-label={`Together again in ${countdown(left)}`}
      px="8px"
      bg={soon ? 'mark' : 'transparent'}
      color={soon ? 'onMark' : 'ink'}
    >
      <chakra.span fontSize="12px">{out.calledBack ? 'all back in' : 'back in'} </chakra.span>
      <chakra.span fontFamily="mono" fontSize="20px" fontWeight="650">
        {countdown(left)}
      </chakra.span>
      <Box h="6px" border="1px solid" borderColor="currentColor" aria-hidden>
        <Box h="100%" bg="currentColor" style={{ width: `${Math.max(0, Math.min(100, (100 * left) / whole))}%` }} />
      </Box>
    </Box>
  )
}

const share = (at: number, from: number, until: number) => (100 * (Math.max(from, Math.min(until, at)) - from)) / (until - from)

function Ruler({ from, until, now }: { from: number; until: number; now: number }) {
  const time = useSchoolTime()
  return (
    <Box position="relative" h="34px" fontFamily="mono">
      <Box position="absolute" bottom="0" left="0" color="ink3">
        {time.clock(from)}
      </Box>
      <Box position="absolute" bottom="0" right="0" color="ink3">
        {time.clock(until)}
      </Box>
      <Box
        position="absolute"
        top="0"
        transform="translateX(-50%)"
        bg="mark"
        color="onMark"
        px="5px"
        fontSize="12px"
        fontWeight="600"
        borderRadius="2px"
        style={{ left: `${share(now, from, until)}%` }}
      >
        {time.clock(now)}
      </Box>
    </Box>
  )
}

interface LineProps {
  table: Table
  desk: Desk
  from: number
  until: number
  now: number
  give: Give
}

function Line({ table, desk, from, until, now, give }: LineProps) {
  const next = desk.groups.next?.group === table.id ? desk.groups.next : undefined
  const isCalling = table.call !== undefined
  const beyond = table.beyondAt !== undefined && now >= Date.parse(table.beyondAt)
  return (
    <Box
      role="row"
      aria-label={table.name}
      display="grid"
      gridTemplateColumns={COLUMNS}
      gap="0 14px"
      alignItems="center"
      px="14px"
      py="3px"
      minH="58px"
      borderBottom="1px solid"
      borderColor="line"
      borderLeft="5px solid"
      borderLeftColor={isCalling ? 'verdict.away' : next ? 'mark' : 'transparent'}
      bg={isCalling ? 'verdict.awaySoft' : next ? 'markSoft' : 'transparent'}
      pl="9px"
    >
      <Box role="rowheader" minW="0" lineHeight="1.25">
        <chakra.h3 fontSize="14.5px">
          {table.name}
          {isCalling && table.call && (
            <chakra.span fontFamily="body" fontWeight="600" fontSize="12px" color="verdict.away" ml="6px">
              calls for help, {countdown(now - Date.parse(table.call.since))}
            </chakra.span>
          )}
        </chakra.h3>
        <Box fontSize="12px" color="ink2">
          <Mates table={table} desk={desk} />
        </Box>
      </Box>
      <Box role="cell" minW="0">
        <Eyes table={table} from={from} until={until} now={now} />
        <Box fontFamily="mono" fontSize="12px" color={beyond ? 'verdict.away' : 'ink2'} fontWeight={beyond ? 650 : 400}>
          {attended(table, now)}
          {table.quiet && ' · gone quiet'}
        </Box>
      </Box>
      <Box role="cell" minW="0" fontSize="12.5px" lineHeight="1.3">
        {table.held > 0 && (
          <Box color="verdict.wait" fontWeight="650">
            {table.held === 1 ? '1 message waits' : `${table.held} messages wait`}
          </Box>
        )}
        {table.last ? (
          <Box lineClamp={2} overflowWrap="anywhere" title={table.last.text}>
            <strong>{table.last.from.split(' ')[0]}:</strong> {table.last.text}
          </Box>
        ) : (
          <chakra.span color="ink3">nothing written{table.marks > 0 ? `, ${table.marks} marks` : ''}</chakra.span>
        )}
      </Box>
      <Flex role="cell" direction="column" gap="3px">
        <Acts table={table} desk={desk} isNext={next !== undefined} give={give} />
      </Flex>
    </Box>
  )
}

function attended(table: Table, now: number): string {
  if (table.adults.length > 0) return `${table.adults.join(' and ')} ${table.adults.length > 1 ? 'are' : 'is'} here`
  if (table.looking.length > 0) return `${table.looking.join(' and ')} ${table.looking.length > 1 ? 'look' : 'looks'} in`
  const alone = table.aloneSeconds * 1000 + (table.aloneSince ? now - Date.parse(table.aloneSince) : 0)
  if (!table.aloneSince) return table.mates.length === 0 ? 'empty' : 'nobody is in it'
  return table.seen.length === 0 ? `no adult yet, ${countdown(alone)}` : `${countdown(alone)} without an adult`
}

const WHERE: Record<string, string> = { ON_THE_WAY: 'on the way', LOST: 'line lost', ELSEWHERE: 'not here', MISSING: 'missing' }

function Mates({ table, desk }: { table: Table; desk: Desk }) {
  const hands = new Set(desk.signals.hands.map((one) => one.person))
  const parts: ReactNode[] = table.mates.map((mate, place) => (
    <span key={mate.id}>
      {place > 0 && ', '}
      <chakra.span
        bg={hands.has(mate.id) ? 'mark' : 'transparent'}
        color={hands.has(mate.id) ? 'onMark' : mate.where === 'IN' ? 'inherit' : 'ink3'}
        px={hands.has(mate.id) ? '2px' : '0'}
      >
        {mate.name}
        {hands.has(mate.id) && ' (hand up)'}
        {mate.where === 'IN' && desk.rights.pupils[mate.id]?.microphone && ' (speaks)'}
        {WHERE[mate.where] && ` (${WHERE[mate.where]})`}
      </chakra.span>
    </span>
  ))
  return <>{parts.length > 0 ? parts : 'nobody'}</>
}

/** The time out as a line: filled while an adult was in, framed while one looked in, bare while nobody did. */
function Eyes({ table, from, until, now }: { table: Table; from: number; until: number; now: number }) {
  const at = (instant: number) => share(instant, from, until)
  return (
    <Box position="relative" h="18px" aria-hidden>
      <Box position="absolute" top="8px" h="2px" left="0" bg="verdict.wait" style={{ width: `${at(now)}%` }} />
      {table.seen.map((one) => {
        const starts = at(Date.parse(one.from))
        const ends = at(one.until ? Date.parse(one.until) : now)
        return (
          <Box
            key={one.from}
            position="absolute"
            top="3px"
            h="12px"
            border="1.5px solid"
            borderColor="verdict.in"
            bg={one.eye === 'IN' ? 'verdict.in' : 'sheet'}
            style={{ left: `${starts}%`, width: `max(4px, ${ends - starts}%)` }}
          />
        )
      })}
      <Box position="absolute" top="0" bottom="0" w="1px" bg="ink" style={{ left: `${at(now)}%` }} />
    </Box>
  )
}

function Acts({ table, desk, isNext, give }: { table: Table; desk: Desk; isNext: boolean; give: Give }) {
  const { groups: mine, door } = desk.mine
  if (!door.in || door.observing) return null
  if (mine.in === table.id) {
    return (
      <Button size="small" look="main" onClick={() => give({ do: 'come-out' })}>
        Come out
      </Button>
    )
  }
  return (
    <>
      <Button size="small" look={isNext ? 'main' : 'plain'} onClick={() => give({ do: 'go-in', group: table.id })}>
        {isNext ? 'Next: go in' : 'Go in'} {isNext && <Key>G</Key>}
      </Button>
      {mine.looking === table.id ? (
        <Button size="small" onClick={() => give({ do: 'look-away' })} aria-pressed="true">
          Look away
        </Button>
      ) : (
        <Button size="small" onClick={() => give({ do: 'look-in', group: table.id })}>
          Look in
        </Button>
      )}
    </>
  )
}
