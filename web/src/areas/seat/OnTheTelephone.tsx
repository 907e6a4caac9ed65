import { chakra, Flex } from '@chakra-ui/react'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Act } from '../../lesson/acts'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Quiet } from './Quiet'

/** Who rings in hears and speaks; there is nothing to see. */
export function OnTheTelephone({ seat, act }: { seat: Seat; act: (act: Act) => void }) {
  const speaking = !!seat.mine.rights?.microphone
  const mayLine = seat.rights.rights.find((right) => right.rule === 'voice.speak')?.line
  const handUp = !!seat.mine.signals?.handSince
  const say = seatWords()
  return (
    <Quiet title={say.onTheLine}>
      <chakra.p mb="10px">
        {say.lessonWith(seat.title, seat.adults.join(words().and))} {say.inAs(seat.mine.door.name ?? '')}
      </chakra.p>
      <chakra.p color="ink2" mb="14px">
        {mayLine}
      </chakra.p>
      <Flex gap="10px" wrap="wrap">
        <Button
          size="large"
          look={speaking ? 'main' : 'plain'}
          aria-pressed={speaking}
          onClick={() => act({ do: speaking ? 'off' : 'on', what: 'MICROPHONE' })}
        >
          {speaking ? say.muteMe : say.speak}
        </Button>
        <Button size="large" aria-pressed={handUp} onClick={() => act({ do: handUp ? 'lower-hand' : 'raise-hand' })}>
          {handUp ? say.handDown : say.handUp}
        </Button>
        <Button size="large" onClick={() => act({ do: 'leave' })}>
          {say.hangUp}
        </Button>
      </Flex>
    </Quiet>
  )
}
