import type { Desk } from '../../shared/api/types'
import type { OrderOf } from '../send'
import { UnderHead } from './DeskClocks'
import { clocksOrders } from './orders'

type Give = (order: OrderOf<typeof clocksOrders>) => void

/** T starts a clock, pauses it, lets it go on, and takes away one that has run out; F calls for the first to answer, then for the next in the row. */
function keys(desk: Desk, give: Give, open: (what: 'clock' | 'first') => void): Record<string, () => void> {
  const { clock, call } = desk.clocks
  return {
    t: () => {
      if (!clock) open('clock')
      else if (clock.over) give({ do: 'end-clock' })
      else give({ do: clock.running ? 'pause-clock' : 'clock-on' })
    },
    f: () => (call ? call.passed < call.row.length && give({ do: 'next-in-row' }) : open('first')),
  }
}

export const clocks = {
  orders: clocksOrders,
  page: { UnderHead, keys, hurries: (desk: Desk) => !!desk.clocks.clock?.running },
}
