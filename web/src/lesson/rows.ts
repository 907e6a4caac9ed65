import type { Desk } from '../shared/api/types'
import type { Mark, Tick } from './part'
import { PAGES } from './parts'

type AtDoor = Desk['door']['pupils'][number]
type Rights = NonNullable<Desk['rights']['pupils'][string]>

/** One pupil with what each part knows of them. */
export type PupilRow = AtDoor &
  Rights & { marks: Mark[]; ticks: Tick[]; handSince?: string; sign?: NonNullable<Desk['signals']['of'][string]> }

const NOTHING: Rights = { microphone: false, camera: false, screen: false, timesSpoken: 0, cells: [], help: [] }

/** The class list, put together. Where no part has news of a pupil, the row is what it was. */
export function rows(desk: Desk): PupilRow[] {
  const hands = new Map(desk.signals.hands.map((one) => [one.person, one.since]))
  return desk.door.pupils.map((pupil) => ({
    ...pupil,
    ...(desk.rights.pupils[pupil.id] ?? NOTHING),
    marks: PAGES.flatMap((page) => page.marks?.(desk, pupil.id) ?? []),
    ticks: PAGES.flatMap((page) => page.ticks?.(desk, pupil.id) ?? []),
    ...(hands.has(pupil.id) ? { handSince: hands.get(pupil.id) as string } : {}),
    ...(desk.signals.of[pupil.id] ? { sign: desk.signals.of[pupil.id] as NonNullable<PupilRow['sign']> } : {}),
  }))
}
