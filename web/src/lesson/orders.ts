import { useMutation } from '@tanstack/react-query'
import { PARTS } from './parts'
import { sender, type OrderOf, type Sends } from './send'

type Orders<P> = P extends { orders: infer S extends Sends } ? OrderOf<S> : never

/** What a teacher can order from the desk. The desk itself changes when the stream says so. */
export type Order = Orders<(typeof PARTS)[number]>

export type Give = (order: Order) => void

// Asked for when it is used: parts have pages of their own that give orders.
const order = (to: string, one: Order) => sender<Order>(PARTS.map((part) => part.orders))(to, one)

/** Gives orders to one lesson. */
export function useOrders(lesson: string) {
  return useMutation({ mutationFn: (one: Order) => order(lesson, one) })
}
