import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { say } from '../../languages/en/desk/groups'
import type { Desk } from '../../shared/api/types'
import { countdown, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { mayOrder } from '../mayOrder'
import type { Give } from '../orders'
import { COLUMNS, HallLine, share } from './HallLine'

type Out = NonNullable<Desk['groups']['out']>

interface HallProps {
  desk: Desk
  now: number
  give: Give
  /** Shows the class list in place of the hall. */
  onList: () => void
}

/** The class apart: a hall of tables, a line each, with when an adult was there, the last words, and the next act. */
export function Hall({ desk, now, give, onList }: HallProps) {
  const { groups } = desk
  const out = groups.out as Out
  const from = Date.parse(out.since)
  const until = Math.max(Date.parse(out.ends), now)
  const mates = groups.tables.flatMap((table) => table.mates)
  const count = (where: string) => mates.filter((one) => one.where === where).length
  const rest = [
    [count('ON_THE_WAY'), say.onTheWay],
    [count('LOST'), say.lostTheLine],
    [count('MISSING'), 'missing'],
    [groups.together, say.withTheClassTogether],
  ] as const
  useStopLooking(desk, give)
  return (
    <Flex as="section" direction="column" bg="sheet" minW="0" minH="0" aria-label={say.groupsLabel}>
      <Flex px="14px" py="6px" gap="8px" align="center" wrap="wrap" borderBottom="1px solid" borderColor="line">
        <Box>
          <chakra.h2 fontSize="15px" aria-live="polite">
            {say.inGroups(count('IN'), groups.tables.filter((table) => table.mates.length > 0).length)}
          </chakra.h2>
          <chakra.span fontSize="12px" color="ink2">
            {rest
              .filter(([many]) => many > 0)
              .map(([many, what]) => `${many} ${what}`)
              .join(' · ') || say.everyoneIsWhereTheyBelong}
          </chakra.span>
        </Box>
        <Box flex="1" />
        <Back out={out} now={now} />
        {mayOrder(desk) && (
          <>
            <Button onClick={() => give({ do: 'stay-longer', minutes: out.calledBack ? 0 : 2 })}>
              {say.longerOut(out.calledBack)}
            </Button>
            {!out.calledBack && (
              <Button look="main" onClick={() => give({ do: 'call-back', seconds: 30 })}>
                {say.callAllBack} <Key>B</Key>
              </Button>
            )}
            <Button look={out.calledBack ? 'main' : 'plain'} onClick={() => give({ do: 'call-back', seconds: 0 })}>
              {say.atOnce} {out.calledBack && <Key>B</Key>}
            </Button>
          </>
        )}
        <Button onClick={onList}>{say.list}</Button>
      </Flex>
      <Box role="table" aria-label={say.groupsLabel} flex="1" minH="0" display="flex" flexDirection="column">
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
            <Box role="columnheader">{say.group}</Box>
            <Box role="columnheader">
              <Ruler from={from} until={until} now={now} />
            </Box>
            <Box role="columnheader">{say.lastWordsWord}</Box>
            <Box role="columnheader">{say.you}</Box>
          </Box>
        </Box>
        <Box role="rowgroup" flex="1" minH="0" overflowY="auto" tabIndex={0} aria-label={say.groupsOneLine}>
          {groups.tables.map((table) => (
            <HallLine key={table.id} table={table} desk={desk} from={from} until={until} now={now} give={give} />
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
          <strong>{say.filled}</strong> {say.anAdult} <strong>{say.framed}</strong> {say.anAdultLooks} <strong>{say.line}</strong>{' '}
          {say.nobody}
        </span>
        <chakra.span ms="auto" hideBelow="xl">
          {say.eachHasItsOwnWords}
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
      aria-label={say.togetherAgainIn(countdown(left))}
      px="8px"
      bg={soon ? 'mark' : 'transparent'}
      color={soon ? 'onMark' : 'ink'}
    >
      <chakra.span fontSize="12px">{say.allBackInBack(out.calledBack)} </chakra.span>
      <chakra.span fontFamily="mono" fontSize="20px" fontWeight="650">
        {countdown(left)}
      </chakra.span>
      <Box h="6px" border="1px solid" borderColor="currentColor" aria-hidden>
        <Box h="100%" bg="currentColor" style={{ width: `${Math.max(0, Math.min(100, (100 * left) / whole))}%` }} />
      </Box>
    </Box>
  )
}

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
