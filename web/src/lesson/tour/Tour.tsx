import { chakra, Flex } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { useSearchParams } from 'react-router'
import { say } from '../../languages/en/desk/tour'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TOUR } from './asked'
import { factsOf, firstFrom, STEPS, type Facts } from './steps'

interface Standing {
  place: number
  /** How things stood when this step came up. */
  before: Facts
}

/**
 * Shows around in a lesson in which nothing can be spoilt: each step says one act and waits until it was really done at the desk.
 * It stands in a line of its own, so that it covers nothing one may need.
 */
export function Tour({ desk }: { desk: Desk }) {
  const [address, setAddress] = useSearchParams()
  const end = () => {
    address.delete(TOUR)
    setAddress(address, { replace: true })
  }
  return address.has(TOUR) ? <Steps desk={desk} onEnd={end} /> : null
}

function Steps({ desk, onEnd }: { desk: Desk; onEnd: () => void }) {
  const now = factsOf(desk)
  const [{ place, before }, setStanding] = useState<Standing>(() => ({ place: firstFrom(0, now), before: now }))
  const step = STEPS[place]
  const goOn = () => setStanding({ place: firstFrom(place + 1, now), before: now })
  const done = step?.done(now, before) ?? false
  useEffect(() => {
    if (done) goOn()
  })
  const possible = step?.possible?.(now) ?? true
  return (
    <Flex
      role="region"
      aria-label={say.shownAround}
      align="center"
      gap="6px 14px"
      wrap="wrap"
      px="14px"
      py="7px"
      bg="ink"
      color="sheet"
      fontSize="15px"
      flexShrink={0}
    >
      {step ? (
        <>
          <chakra.span fontFamily="mono" fontSize="13px">
            {say.of(place + 1, STEPS.length)}
          </chakra.span>
          <chakra.span role="status" flex="1 1 320px">
            {possible ? step.say : step.waits}
          </chakra.span>
          <Button size="small" onClick={goOn}>
            {say.skipThis}
          </Button>
        </>
      ) : (
        <chakra.span role="status" flex="1 1 320px">
          {say.thatWasAWholeLesson}
        </chakra.span>
      )}
      <Button size="small" onClick={onEnd}>
        {step ? say.endTheTour : say.close}
      </Button>
    </Flex>
  )
}
