import type { Desk } from '../../shared/api/types'
import { slatesOrders } from './orders'

/** E gives slates to everybody, or shows the wall of those that are out. */
function keys(desk: Desk, _give: unknown, open: (what: 'slates' | 'wall') => void): Record<string, () => void> {
  return { e: () => open(desk.slates.now ? 'wall' : 'slates') }
}

export const slates = { orders: slatesOrders, page: { keys } }
