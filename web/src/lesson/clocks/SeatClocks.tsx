import { Box, chakra, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { useParams } from 'react-router'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import type { OrderOf } from '../send'
import { ClockFace } from './ClockFace'
import { echo, type clocksActs } from './acts'

type Act = (one: OrderOf<typeof clocksActs>) => void

export function Banner({ seat, now, act }: { seat: Seat; now: number; act: Act }) {
  const { clock, call } = seat.clocks
  const say = seatWords()
  return (
    <>
      {call && <Call key={call.number} seat={seat} now={now} act={act} />}
      {clock && (
        <Flex
          as="section"
          aria-label={say.clock}
          gap="14px"
          align="center"
          px={{ base: '14px', md: '22px' }}
          py="6px"
          bg={clock.over ? 'markSoft' : 'sheet'}
          borderBottom="1px solid"
          borderColor="lineStrong"
        >
          <ClockFace clock={clock} now={now} size="28px" />
          <chakra.span fontSize="17px">{clock.task}</chakra.span>
          {clock.over && <strong>{say.timeIsUp}</strong>}
          {!clock.running && !clock.over && <span>{say.clockPaused}</span>}
        </Flex>
      )}
    </>
  )
}

const ECHOES = 6

/**
 * How long the line is, is measured while everybody counts down: the server takes the shortest way there and back. The same ways tell
 * how far the server's clock is ahead of this one, best by the shortest, so that a call opens everywhere at the same moment.
 *
 * @return milliseconds; nothing until the first way is back
 */
function useAhead(visit: string): number | null {
  const [ahead, setAhead] = useState<number | null>(null)
  useEffect(() => {
    let left = false
    const measure = async () => {
      let word: string | undefined
      let shortest = Infinity
      for (let i = 0; i <= ECHOES && !left; i++) {
        const from = Date.now()
        const back = await echo(visit, word)
        const way = Date.now() - from
        word = back?.word
        if (back && way < shortest && !left) {
          shortest = way
          setAhead(Date.parse(back.now) + way / 2 - Date.now())
        }
      }
    }
    measure().catch(() => undefined)
    return () => {
      left = true
    }
  }, [visit])
  return ahead
}

/** One broad field to press, the same for thumb, mouse and space bar. */
function Call({ seat, now, act }: { seat: Seat; now: number; act: Act }) {
  const { visit = '' } = useParams()
  const call = seat.clocks.call
  const mine = seat.mine.clocks
  const say = seatWords()
  const opens = Date.parse(call?.opens ?? '')
  const ahead = useAhead(visit)
  const here = ahead === null ? now : Date.now() + ahead
  const isOpen = useOpen(opens, here)
  if (!call) return null
  const pressed = mine?.pressed ?? false
  const said = !call.mayPress
    ? say.youLookOn
    : pressed
      ? mine?.before === 0
        ? say.youHaveWord
        : mine?.before === undefined
          ? say.youHadWord
          : say.youPressed(mine.before)
      : isOpen
        ? say.pressNow
        : say.waitNow
  return (
    <Box
      as="section"
      aria-label={say.firstToAnswer}
      px={{ base: '14px', md: '22px' }}
      py="12px"
      bg="sheet"
      borderBottom="3px double"
      borderColor="ink"
    >
      <chakra.h2 fontSize="22px">{call.task || say.whoIsFirst}</chakra.h2>
      {call.turn && (
        <chakra.p role="status" fontSize="17px">
          <strong>{call.turn}</strong> {say.hasTheWord}
        </chakra.p>
      )}
      {call.mayPress && !pressed ? (
        <chakra.button
          type="button"
          disabled={!isOpen}
          onClick={() => act({ do: 'press' })}
          mt="8px"
          w="100%"
          maxW="560px"
          minH={{ base: '110px', md: '84px' }}
          fontSize="26px"
          fontWeight="700"
          border="2px solid"
          borderColor="ink"
          bg={isOpen ? 'mark' : 'paper'}
          color={isOpen ? 'onMark' : 'ink3'}
          cursor={isOpen ? 'pointer' : 'default'}
        >
          {isOpen ? say.iKnow : say.opensIn(Math.max(1, Math.ceil((opens - here) / 1000)))}
        </chakra.button>
      ) : (
        <chakra.p role="status" mt="6px" fontSize="17px">
          {said}
        </chakra.p>
      )}
    </Box>
  )
}

/** At the moment itself, not at the next full second. */
function useOpen(opens: number, now: number): boolean {
  const [open, setOpen] = useState(now >= opens)
  useEffect(() => {
    if (open) return
    const timer = setTimeout(() => setOpen(true), Math.max(0, opens - now))
    return () => clearTimeout(timer)
  }, [open, opens, now])
  return open
}
