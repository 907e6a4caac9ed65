import { Box } from '@chakra-ui/react'
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
  if (seat.supervision.quiet)
    return 'Your teacher is away for a moment. The room is quiet until an adult is back: you can still write to your teachers. You need not do anything.'
  if (seat.supervision.stopped)
    return 'Your teacher has stopped everything for a moment. You have done nothing wrong by being here. Please wait.'
  const held = seat.mine.chat?.held ?? 0
  const parts = [
    seat.rights.stance && `Now: ${seat.rights.stance}`,
    seat.signals.focus &&
      (seat.signals.focus === seat.mine.door.name ? 'You are in focus for everyone' : `${seat.signals.focus} is in focus`),
    held > 0 && (held === 1 ? 'A message of yours waits for a teacher' : `${held} messages of yours wait for a teacher`),
  ].filter(Boolean)
  return parts.length > 0 ? parts.join(' · ') : 'The lesson is on.'
}
