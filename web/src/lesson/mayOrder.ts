import type { Desk } from '../shared/api/types'

/** Whether the asking person may give orders: an adult who is in, or a safeguarding lead from anywhere. */
export function mayOrder(desk: Desk): boolean {
  const { overseeing, in: isIn, observing } = desk.mine.door
  return overseeing || (isIn && !observing)
}
