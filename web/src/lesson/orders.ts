import { useMutation } from '@tanstack/react-query'
import type { Desk } from '../shared/api/types'
import { boardActs, boardOrders } from './board/orders'
import { chatActs, chatOrders } from './chat/orders'
import { doorActs, doorOrders } from './door/orders'
import { endingOrders } from './ending/orders'
import { materialOrders } from './material/orders'
import { rightsActs, rightsOrders } from './rights/orders'
import { sender, type OrderOf } from './send'
import { signalsActs, signalsOrders } from './signals/orders'
import { supervisionOrders } from './supervision/orders'

const ORDERS = {
  ...doorOrders,
  ...rightsOrders,
  ...signalsOrders,
  ...chatOrders,
  ...boardOrders,
  ...materialOrders,
  ...supervisionOrders,
  ...endingOrders,
}

const ACTS = { ...doorActs, ...rightsActs, ...signalsActs, ...chatActs, ...boardActs }

/** What a teacher can order from the desk. The desk itself changes when the stream says so. */
export type Order = OrderOf<typeof ORDERS>

export type Give = (order: Order) => void

/** What a pupil can do at the own seat. */
export type Act = OrderOf<typeof ACTS>

const order = sender(ORDERS)
const act = sender(ACTS)

/** Gives orders to one lesson. */
export function useOrders(lesson: string) {
  return useMutation({ mutationFn: (one: Order) => order(lesson, one) })
}

/** Acts at one seat. */
export function useActs(visit: string) {
  return useMutation({ mutationFn: (one: Act) => act(visit, one) })
}

/** Whether the asking person may give orders: an adult who is in, or a safeguarding lead from anywhere. */
export function mayOrder(desk: Desk): boolean {
  const { overseeing, in: isIn, observing } = desk.mine.door
  return overseeing || (isIn && !observing)
}
