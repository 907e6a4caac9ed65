import { useMutation } from '@tanstack/react-query'
import { SEAT_PARTS } from './seatParts'
import { sender, type OrderOf, type Sends } from './send'

type Acts<P> = P extends { acts: infer S extends Sends } ? OrderOf<S> : never

/** What a pupil can do at the own seat. The seat itself changes when the stream says so. */
export type Act = Acts<(typeof SEAT_PARTS)[number]>

// Asked for when it is used: parts have pages of their own that act.
const act = (to: string, one: Act) => sender<Act>(SEAT_PARTS.map((part) => part.acts))(to, one)

/** Acts at one seat. */
export function useActs(visit: string) {
  return useMutation({ mutationFn: (one: Act) => act(visit, one) })
}
