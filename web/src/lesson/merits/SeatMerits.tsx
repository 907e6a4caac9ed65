import { Box } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'

/** At one's own seat: what they were for; of others only where the rules show merits to the class. */
export function AtSeat({ seat }: { seat: Seat }) {
  const reasons = seat.mine.merits?.reasons ?? []
  const all = seat.merits?.all ?? []
  const say = seatWords()
  return (
    <>
      {reasons.length > 0 && (
        <Box role="status" aria-label={say.yourMerits} mx="16px" mb="14px" px="12px" py="8px" bg="verdict.inSoft">
          <strong>{say.gotMerits(reasons.length)}</strong> {say.meritFor(reasons.join(', '))}.
        </Box>
      )}
      {all.length > 0 && (
        <Box aria-label={say.meritsOfClass} role="group" mx="16px" mb="14px" fontSize="14px">
          {all.slice(-5).map((one, place) => (
            <p key={place}>
              ✦ <strong>{one.name}</strong> {say.meritFor(one.reason)}
            </p>
          ))}
        </Box>
      )}
    </>
  )
}
