import type { Desk } from '../../shared/api/types'
import type { Mark } from '../part'
import { GroupBanner } from './AtSeat'
import { groupsNeeds } from './needs'
import { groupsActs, groupsOrders } from './orders'

/** Beside the name while the class is apart: in which group. */
function marks(desk: Desk, person: string): Mark[] {
  if (!desk.groups.out) return []
  const table = desk.groups.tables.find((one) => one.mates.some((mate) => mate.id === person && mate.where === 'IN'))
  return table ? [{ short: table.name, words: `in ${table.name}`, quiet: true }] : []
}

export const groups = { orders: groupsOrders, acts: groupsActs, page: { cards: groupsNeeds, marks, Banner: GroupBanner } }
