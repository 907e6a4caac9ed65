import { Box } from '@chakra-ui/react'
import type { Desk, Seat } from '../../shared/api/types'
import { Choice } from '../DeskMenu'
import type { Mark } from '../part'
import { meritsOrders } from './orders'

const REASONS = ['a good question', 'helping others', 'good work']

type Give = (order: { do: 'merit'; person: string; reason: string }) => void

/** In the menu of a pupil: one press gives a merit for what most are given for. */
function InRowMenu({ pupil, give }: { pupil: { id: string }; give: Give }) {
  return REASONS.map((reason) => (
    <Choice key={reason} value={reason} onSelect={() => give({ do: 'merit', person: pupil.id, reason })}>
      Merit for {reason}
    </Choice>
  ))
}

/** Beside the name: how many they got. */
function marks(desk: Desk, person: string): Mark[] {
  const count = desk.merits.of[person] ?? 0
  return count === 0
    ? []
    : [{ short: count === 1 ? '✦' : `✦${count}`, words: count === 1 ? '1 merit' : `${count} merits`, quiet: true }]
}

/** At one's own seat: what they were for. Nobody else's are seen. */
function AtSeat({ seat }: { seat: Seat }) {
  const reasons = seat.mine.merits?.reasons ?? []
  if (reasons.length === 0) return null
  return (
    <Box role="status" aria-label="Your merits" mx="16px" mb="14px" px="12px" py="8px" bg="verdict.inSoft">
      <strong>{reasons.length === 1 ? 'You got a merit' : `You got ${reasons.length} merits`}</strong> for {reasons.join(', ')}.
    </Box>
  )
}

export const merits = { orders: meritsOrders, acts: {}, page: { marks, InRowMenu, AtSeat } }
