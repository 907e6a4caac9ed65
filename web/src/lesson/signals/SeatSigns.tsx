import { Box, chakra, Flex } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'
import type { Sign } from './orders'

const SIGNS: Sign[] = ['AGREE', 'DISAGREE', 'SLOWER', 'FASTER', 'BREAK', 'CANNOT_HEAR']

/** Signals without a voice: one at a time, pressed again to take it back. Only the teachers see whose they are. */
export function Signals({ seat, act }: { seat: Seat; act: (act: Act) => void }) {
  const say = seatWords()
  return (
    <Box px="16px" pb="14px">
      <chakra.h2 fontSize="17px" pb="4px">
        {say.withoutSpeaking}
      </chakra.h2>
      <Flex gap="6px" wrap="wrap">
        {SIGNS.map((sign) => {
          const on = seat.mine.signals?.sign === sign
          return (
            <Button
              key={sign}
              aria-pressed={on}
              look={on ? 'main' : 'plain'}
              onClick={() => act({ do: 'sign', sign: on ? null : sign })}
            >
              {say.signs[sign]}
            </Button>
          )
        })}
      </Flex>
    </Box>
  )
}
