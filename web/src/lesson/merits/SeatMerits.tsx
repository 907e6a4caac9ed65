import { Box } from '@chakra-ui/react'
import type { Seat } from '../../shared/api/types'

/** At one's own seat: what they were for; of others only where the rules show merits to the class. */
export function AtSeat({ seat }: { seat: Seat }) {
  const reasons = seat.mine.merits?.reasons ?? []
  const all = seat.merits?.all ?? []
  return (
    <>
      {reasons.length > 0 && (
        <Box role="status" aria-label="Your merits" mx="16px" mb="14px" px="12px" py="8px" bg="verdict.inSoft">
          <strong>{reasons.length === 1 ? 'You got a merit' : `You got ${reasons.length} merits`}</strong> for{' '}
          {reasons.join(', ')}.
        </Box>
      )}
      {all.length > 0 && (
        <Box aria-label="Merits of the class" role="group" mx="16px" mb="14px" fontSize="14px">
          {all.slice(-5).map((one, place) => (
            <p key={place}>
              ✦ <strong>{one.name}</strong> for {one.reason}
            </p>
          ))}
        </Box>
      )}
    </>
  )
}
