import type { Desk } from '../shared/api/types'

type AtDoor = Desk['door']['pupils'][number]
type Rights = NonNullable<Desk['rights']['pupils'][string]>

/** One pupil with what each part knows of them. */
export type PupilRow = AtDoor & Rights & { handSince?: string; sign?: NonNullable<Desk['signals']['of'][string]> }

const NOTHING: Rights = { microphone: false, camera: false, screen: false, timesSpoken: 0, cells: [], help: [] }

/** The class list, put together. Where no part has news of a pupil, the row is what it was. */
export function rows(desk: Pick<Desk, 'door' | 'rights' | 'signals'>): PupilRow[] {
  const hands = new Map(desk.signals.hands.map((one) => [one.person, one.since]))
  return desk.door.pupils.map((pupil) => ({
    ...pupil,
    ...(desk.rights.pupils[pupil.id] ?? NOTHING),
    ...(hands.has(pupil.id) ? { handSince: hands.get(pupil.id) as string } : {}),
    ...(desk.signals.of[pupil.id] ? { sign: desk.signals.of[pupil.id] as NonNullable<PupilRow['sign']> } : {}),
  }))
}
