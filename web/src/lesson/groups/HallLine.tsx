import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { say } from '../../languages/en/desk/groups'
import type { Desk } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import type { Give } from '../orders'

type Table = Desk['groups']['tables'][number]

/** The columns of the hall: group, time, last words, what to do. */
export const COLUMNS = {
  base: 'minmax(150px, 1.1fr) minmax(120px, 1.3fr) minmax(90px, 0.9fr) 104px',
  xl: '230px 1fr 200px 116px',
}

/** Where an instant stands between two others, in percent. */
export const share = (at: number, from: number, until: number) =>
  (100 * (Math.max(from, Math.min(until, at)) - from)) / (until - from)

interface LineProps {
  table: Table
  desk: Desk
  from: number
  until: number
  now: number
  give: Give
}

/** One group: who sits there, when an adult was there, the last words, and the next act. */
export function HallLine({ table, desk, from, until, now, give }: LineProps) {
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
      borderInlineStart="5px solid"
      borderInlineStartColor={isCalling ? 'verdict.away' : next ? 'mark' : 'transparent'}
      bg={isCalling ? 'verdict.awaySoft' : next ? 'markSoft' : 'transparent'}
      ps="9px"
    >
      <Box role="rowheader" minW="0" lineHeight="1.25">
        <chakra.h3 fontSize="14.5px">
          {table.name}
          {isCalling && table.call && (
            <chakra.span fontFamily="body" fontWeight="600" fontSize="12px" color="verdict.away" ms="6px">
              {say.callsForHelp(countdown(now - Date.parse(table.call.since)))}
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
          {say.goneQuiet(attended(table, now), table.quiet)}
        </Box>
      </Box>
      <Box role="cell" minW="0" fontSize="12.5px" lineHeight="1.3">
        {table.held > 0 && (
          <Box color="verdict.wait" fontWeight="650">
            {say.messageWaitsMessagesWait(table.held)}
          </Box>
        )}
        {table.last ? (
          <Box lineClamp={2} overflowWrap="anywhere" title={table.last.text}>
            <strong>{table.last.from.split(' ')[0]}:</strong> {table.last.text}
          </Box>
        ) : (
          <chakra.span color="ink3">{say.nothingWritten(table.marks)}</chakra.span>
        )}
      </Box>
      <Flex role="cell" direction="column" gap="3px">
        <Acts table={table} desk={desk} isNext={next !== undefined} give={give} />
      </Flex>
    </Box>
  )
}

function attended(table: Table, now: number): string {
  if (table.adults.length > 0) return say.areHere(table.adults)
  if (table.looking.length > 0) return say.adultsLookIn(table.looking)
  const alone = table.aloneSeconds * 1000 + (table.aloneSince ? now - Date.parse(table.aloneSince) : 0)
  if (!table.aloneSince) return table.mates.length === 0 ? say.emptyGroup : say.nobodyIs
  return table.seen.length === 0 ? say.noAdultYet(countdown(alone)) : say.withoutAnAdult(countdown(alone))
}

const WHERE: Record<string, string> = {
  ON_THE_WAY: say.onTheWay,
  LOST: say.lineLost,
  ELSEWHERE: say.notHere,
  MISSING: say.missingPupil,
}

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
        {say.handUp(mate.name, hands.has(mate.id))}
        {mate.where === 'IN' && desk.rights.pupils[mate.id]?.microphone && say.speaks}
        {WHERE[mate.where] && ` (${WHERE[mate.where]})`}
      </chakra.span>
    </span>
  ))
  return <>{parts.length > 0 ? parts : say.nobody}</>
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
        {say.comeOut}
      </Button>
    )
  }
  return (
    <>
      <Button size="small" look={isNext ? 'main' : 'plain'} onClick={() => give({ do: 'go-in', group: table.id })}>
        {say.nextGoInGo(isNext)} {isNext && <Key>G</Key>}
      </Button>
      {mine.looking === table.id ? (
        <Button size="small" onClick={() => give({ do: 'look-away' })} aria-pressed="true">
          {say.lookAway}
        </Button>
      ) : (
        <Button size="small" onClick={() => give({ do: 'look-in', group: table.id })}>
          {say.lookIn}
        </Button>
      )}
    </>
  )
}
