import { Box } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'

/** What is happening, in one sentence; what concerns everybody's safety goes first. */
export function Now({ seat }: { seat: Seat }) {
  const grave = seat.supervision.quiet || seat.supervision.stopped
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
  const say = seatWords()
  if (seat.supervision.quiet) return say.quiet
  if (seat.supervision.stopped) return say.stopped
  const held = seat.mine.chat?.held ?? 0
  const parts = [
    seat.rights.stance && say.stance(seat.rights.stance),
    seat.signals.focus && (seat.signals.focus === seat.mine.door.name ? say.youInFocus : say.inFocus(seat.signals.focus)),
    held > 0 && say.held(held),
  ].filter(Boolean)
  return parts.length > 0 ? parts.join(' · ') : say.isOn
}
