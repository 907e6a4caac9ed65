import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Seat } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import type { Act, Sign } from '../api'

/** What is happening, in one sentence; what concerns everybody's safety goes first. */
export function Now({ seat }: { seat: Seat }) {
  const grave = seat.quiet || seat.stopped
  return (
    <Box
      aria-live="polite"
      px={{ base: '14px', md: '22px' }}
      py="7px"
      bg={grave ? 'markSoft' : 'sheet'}
      borderBottom="1px solid"
      borderColor="line"
      fontWeight={grave ? 650 : 400}
    >
      {sentence(seat)}
    </Box>
  )
}

function sentence(seat: Seat): string {
  if (seat.quiet)
    return 'Your teacher is away for a moment. The room is quiet until an adult is back: you can still write to your teachers. You need not do anything.'
  if (seat.stopped)
    return 'Your teacher has stopped everything for a moment. You have done nothing wrong by being here. Please wait.'
  const parts = [
    seat.stance && `Now: ${seat.stance}`,
    seat.focus && (seat.focus === seat.name ? 'You are in focus for everyone' : `${seat.focus} is in focus`),
    seat.held > 0 &&
      (seat.held === 1 ? 'A message of yours waits for a teacher' : `${seat.held} messages of yours wait for a teacher`),
  ].filter(Boolean)
  return parts.length > 0 ? parts.join(' · ') : 'The lesson is on.'
}

const SIGNS: { sign: Sign; words: string }[] = [
  { sign: 'AGREE', words: 'I agree' },
  { sign: 'DISAGREE', words: 'I disagree' },
  { sign: 'SLOWER', words: 'Slower' },
  { sign: 'FASTER', words: 'Faster' },
  { sign: 'BREAK', words: 'I need a break' },
  { sign: 'CANNOT_HEAR', words: 'I cannot hear' },
]

/** Signals without a voice: one at a time, pressed again to take it back. Only the teachers see whose they are. */
export function Signals({ seat, act }: { seat: Seat; act: (act: Act) => void }) {
  return (
    <Box px="16px" pb="14px">
      <chakra.h2 fontSize="17px" pb="4px">
        Tell without speaking
      </chakra.h2>
      <Flex gap="6px" wrap="wrap">
        {SIGNS.map(({ sign, words }) => {
          const on = seat.sign === sign
          return (
            <Button
              key={sign}
              aria-pressed={on}
              look={on ? 'main' : 'plain'}
              onClick={() => act({ do: 'sign', sign: on ? null : sign })}
            >
              {words}
            </Button>
          )
        })}
      </Flex>
    </Box>
  )
}

/** What was handed out, for latecomers too. */
export function HandedOut({ seat }: { seat: Seat }) {
  if (seat.materials.length === 0) return null
  return (
    <Box as="section" aria-label="Handed out" bg="sheet" border="1px solid" borderColor="lineStrong" px="14px" py="8px">
      <chakra.h2 fontSize="17px">Handed out</chakra.h2>
      {seat.materials.map((one) => (
        <Box key={one.number} py="3px" overflowWrap="anywhere">
          <strong>{one.title}</strong>{' '}
          {/^https?:\/\//.test(one.body) ? (
            <chakra.a href={one.body} target="_blank" rel="noreferrer noopener" textDecoration="underline">
              {one.body}
            </chakra.a>
          ) : (
            one.body
          )}
        </Box>
      ))}
    </Box>
  )
}

/** Captions, for who switches them on. */
export function Captions({ seat }: { seat: Seat }) {
  const [on, setOn] = useState(false)
  return (
    <Box>
      <Button size="small" aria-pressed={on} onClick={() => setOn(!on)}>
        {on ? 'Captions off' : 'Captions on'}
      </Button>
      {on && (
        <Box role="log" aria-label="Captions" bg="ink" color="sheet" px="12px" py="6px" mt="6px" fontSize="18px">
          {seat.captions.length === 0 && 'Nobody writes captions at the moment.'}
          {seat.captions.map((one) => (
            <Box key={one.number}>{one.text}</Box>
          ))}
        </Box>
      )}
    </Box>
  )
}
