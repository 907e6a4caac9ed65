import { Box, chakra, Flex } from '@chakra-ui/react'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'
import type { Sign } from './orders'

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
          const on = seat.mine.signals?.sign === sign
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
