import type { Desk } from '../../shared/api/types'
import { rows } from '../rows'

/** What a step looks at: counted when it begins, and again with all that happens. */
export interface Facts {
  phase: Desk['door']['phase']
  in: boolean
  here: number
  waiting: number
  hands: number
  passes: number
  curbs: number
  mine: number
  stance: string
  stopped: boolean
}

export function factsOf(desk: Desk): Facts {
  const pupils = rows(desk)
  const cells = pupils.flatMap((one) => one.cells)
  return {
    phase: desk.door.phase,
    in: desk.mine.door.in,
    here: pupils.filter((one) => one.whereabouts === 'IN').length,
    waiting: desk.needs.filter((one) => one.kind === 'LISTED').length,
    hands: desk.signals.hands.length,
    passes: cells.filter((one) => one.loan === 'PASS').length,
    curbs: cells.filter((one) => one.loan === 'CURB').length,
    mine: desk.words.filter((one) => one.from === desk.mine.me).length,
    stance: desk.course.stance ?? '',
    stopped: desk.supervision.stoppedAt !== undefined,
  }
}

/** One act of the tour. It goes on when the act was really done, and not before. */
export interface TourStep {
  id: string
  say: string
  /** Whether there is something to do it with; until then it is waited for. */
  possible?: (now: Facts) => boolean
  waits?: string
  done: (now: Facts, before: Facts) => boolean
}

const live = (now: Facts) => now.phase === 'OPEN'

/** The acts of nearly every lesson, in the order in which they come. */
export const STEPS: TourStep[] = [
  { id: 'open', say: 'Open the lesson. You are in first; pupils come after you.', done: live },
  { id: 'in', say: 'Come in. Without an adult in it a room goes quiet by itself.', done: (now) => now.in },
  {
    id: 'admit',
    say: 'Some wait whose names are surely on the class list. Let them in: press A, or the black button under “Needs you”.',
    possible: (now) => now.waiting > 0,
    waits: 'In a moment somebody of the class knocks.',
    done: (now, before) => now.here > before.here,
  },
  {
    id: 'hand',
    say: 'A hand is up. Press S: its owner may speak for two minutes, and then the right is taken back by itself.',
    possible: (now) => now.hands > 0,
    waits: 'In a moment a hand goes up.',
    done: (now, before) => now.passes > before.passes,
  },
  { id: 'write', say: 'Write to all: press W, some words, and Enter.', done: (now, before) => now.mine > before.mine },
  {
    id: 'stance',
    say: 'Change many rights at once: choose another stance, at the top or with N where one is due.',
    done: (now, before) => now.stance !== before.stance,
  },
  {
    id: 'curb',
    say: 'Close one right for one pupil: hold the sign in their row, or choose the pupil under the list, then “close for”.',
    possible: (now) => now.here > 0,
    waits: 'Somebody has to be in first.',
    done: (now, before) => now.curbs > before.curbs,
  },
  {
    id: 'stop',
    say: 'When it gets out of hand: press Esc twice. Everything is closed at once, and everybody stays.',
    done: (now) => now.stopped,
  },
  { id: 'resume', say: 'Bring back what was before, with the button in the red line.', done: (now) => !now.stopped },
  { id: 'dismiss', say: 'Dismiss the class. Nobody is left behind without an adult.', done: (now) => now.phase === 'OVER' },
]

/** From a step on, the first that is not done already before it began: a lesson that is open needs no opening. */
export function firstFrom(place: number, now: Facts): number {
  const already = ['open', 'in']
  let next = place
  for (let step = STEPS[next]; step && already.includes(step.id) && step.done(now, now); step = STEPS[next]) next += 1
  return next
}
