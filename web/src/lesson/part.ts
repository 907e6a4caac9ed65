import type { ReactNode } from 'react'
import type { Desk, Seat } from '../shared/api/types'
import type { Cards } from './cards'
import type { PupilRow } from './rows'

/** What is seen of a pupil in the class list beside the name. @param words for who does not see it */
export interface Mark {
  short: string
  words: string
  quiet?: boolean
}

/** Something that happened to a pupil, on the line of presence. @param words for who does not see it */
export interface Tick {
  at: string
  words: string
}

/** What one part of a lesson adds to the desk. Its orders stand in its `orders`. */
export interface PagePart {
  cards?: Cards
  /** Beside the name of a pupil. */
  marks?: (desk: Desk, person: string) => Mark[]
  /** On the pupil's line of presence. */
  ticks?: (desk: Desk, person: string) => Tick[]
  /** In the menu of a pupil who is in. */
  InRowMenu?: (props: { desk: Desk; pupil: PupilRow; give: (order: never) => void }) => ReactNode
  /** In the desk's menu of what is needed less often. */
  InMore?: (props: { desk: Desk; give: (order: never) => void }) => ReactNode
  /** Under the head of the desk, while something must not be overlooked. */
  UnderHead?: (props: { desk: Desk; now: number; give: (order: never) => void }) => ReactNode
  /** Whether each second matters on the desk now: a clock runs. Else what stands there rests. */
  hurries?: (desk: Desk) => boolean
  /** Keys of the desk, while nothing is being typed. @param open shows where something is started */
  keys?: (desk: Desk, give: (order: never) => void, open: (what: never) => void) => Record<string, () => void>
}

/** What one part of a lesson adds to a pupil's seat. Its acts stand in its `acts`. */
export interface SeatPart {
  /** In the head of a seat, and on the page of who waits at the door. */
  Sign?: (props: { seat: Seat; now: number }) => ReactNode
  /** Over everything else of a pupil's seat, while it is the one thing to see first. */
  Banner?: (props: { seat: Seat; now: number; act: (one: never) => void }) => ReactNode
  /** At a pupil's own seat, among what they may do. */
  AtSeat?: (props: { seat: Seat; act?: (one: never) => void }) => ReactNode
}
