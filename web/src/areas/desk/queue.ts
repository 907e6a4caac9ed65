import type { Desk, DeskPupil, Waiting } from '../../shared/api/types'

/** One thing that needs an adult now. `since` orders the queue, oldest first. */
export type Need =
  | { kind: 'listed'; key: string; since: number; waiting: Waiting[] }
  | { kind: 'unsure'; key: string; since: number; waiting: Waiting }
  | { kind: 'hand'; key: string; since: number; pupil: DeskPupil }
  | {
      kind: 'ending'
      key: string
      since: number
      until: number
      pupil: DeskPupil
      rule: string
      title: string
    }
  | { kind: 'held'; key: string; since: number; held: Desk['held'][number] }
  | { kind: 'stance'; key: string; since: number; id: string; name: string }
  | { kind: 'sign'; key: string; since: number; pupil: DeskPupil; says: string }
  | { kind: 'lost'; key: string; since: number; pupil: DeskPupil }

const ENDS_SOON_MS = 60_000

/** Signals that ask an adult to do something; the others are only counted. */
const ASKING: Record<string, string> = { CANNOT_HEAR: 'cannot hear', BREAK: 'needs a break' }

/** The one queue that asks for attention, oldest first. */
export function needs(desk: Desk, now: number): Need[] {
  const found: Need[] = []
  const here = desk.waiting.filter((one) => one.connected)
  const listed = here.filter((one) => one.listed)
  if (listed.length > 0) {
    found.push({
      kind: 'listed',
      key: 'listed',
      since: Math.min(...listed.map((one) => Date.parse(one.since))),
      waiting: listed,
    })
  }
  for (const waiting of here.filter((one) => !one.listed)) {
    found.push({ kind: 'unsure', key: waiting.visit, since: Date.parse(waiting.since), waiting })
  }
  for (const held of desk.held) {
    found.push({ kind: 'held', key: `held ${held.number}`, since: Date.parse(held.at), held })
  }
  const due = desk.steering.stances.find((stance) => stance.id === desk.steering.due)
  if (due) {
    const step = desk.steering.order.find((one) => one.stance === due.id && Date.parse(one.until) > now)
    found.push({
      kind: 'stance',
      key: `stance ${due.id}`,
      since: step ? Math.min(Date.parse(step.from), now) : now,
      id: due.id,
      name: due.name,
    })
  }
  for (const pupil of desk.pupils) {
    const says = pupil.sign && ASKING[pupil.sign]
    if (says) found.push({ kind: 'sign', key: `sign ${pupil.id} ${pupil.sign}`, since: now, pupil, says })
    if (pupil.handSince) {
      found.push({ kind: 'hand', key: `hand ${pupil.id}`, since: Date.parse(pupil.handSince), pupil })
    }
    const lastSeen = pupil.stays.at(-1)?.until
    if (pupil.whereabouts === 'CONNECTION_LOST' && lastSeen) {
      found.push({ kind: 'lost', key: `lost ${pupil.id}`, since: Date.parse(lastSeen), pupil })
    }
    for (const cell of pupil.cells) {
      const until = cell.until && cell.loan === 'PASS' ? Date.parse(cell.until) : Infinity
      if (until - now <= ENDS_SOON_MS) {
        const title = desk.columns.find((column) => column.rule === cell.rule)?.title ?? cell.rule
        found.push({
          kind: 'ending',
          key: `ending ${pupil.id} ${cell.rule}`,
          since: until - ENDS_SOON_MS,
          until,
          pupil,
          rule: cell.rule,
          title,
        })
      }
    }
  }
  return found.sort((a, b) => a.since - b.since)
}
