import { Box, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Handouts } from './Handouts'

/** What was handed out, for latecomers too. */
export function HandedOut({ seat }: { seat: Seat }) {
  const say = seatWords()
  if (seat.material.handouts.length === 0) return null
  return (
    <Box as="section" aria-label={say.handedOut} bg="sheet" border="1px solid" borderColor="lineStrong" px="14px" py="8px">
      <chakra.h2 fontSize="17px">{say.handedOut}</chakra.h2>
      <Handouts of={seat.material.handouts} />
    </Box>
  )
}

/** Captions, for who switches them on. */
export function Captions({ seat }: { seat: Seat }) {
  const [on, setOn] = useState(false)
  const say = seatWords()
  return (
    <Box>
      {seat.material.serviceListens && (
        <chakra.p fontSize="13px" mb="4px">
          {say.serviceListens}
        </chakra.p>
      )}
      <Button size="small" aria-pressed={on} onClick={() => setOn(!on)}>
        {on ? say.captionsOff : say.captionsOn}
      </Button>
      {on && (
        <Box role="log" aria-label={say.captions} bg="ink" color="sheet" px="12px" py="6px" mt="6px" fontSize="18px">
          {seat.material.captions.length === 0 && (seat.material.serviceListens ? say.listens : say.noCaptions)}
          {seat.material.captions.map((one) => (
            <Box key={one.number}>
              {one.heard && `${one.by}: `}
              {one.text}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  )
}
