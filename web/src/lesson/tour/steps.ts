import { say as staffSays } from '../../languages/en/desk/tour'
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
  { id: 'open', say: staffSays.openTheLesson, done: live },
  { id: 'in', say: staffSays.comeInWithoutAnAdult, done: (now) => now.in },
  {
    id: 'admit',
    say: staffSays.someWaitWhoseNames,
    possible: (now) => now.waiting > 0,
    waits: staffSays.inAMomentSomebody,
    done: (now, before) => now.here > before.here,
  },
  {
    id: 'hand',
    say: staffSays.aHandIsUpPress,
    possible: (now) => now.hands > 0,
    waits: staffSays.inAMomentAH,
    done: (now, before) => now.passes > before.passes,
  },
  { id: 'write', say: staffSays.writeToAllPressW, done: (now, before) => now.mine > before.mine },
  {
    id: 'stance',
    say: staffSays.changeManyRightsAtOnce,
    done: (now, before) => now.stance !== before.stance,
  },
  {
    id: 'curb',
    say: staffSays.closeOneRight,
    possible: (now) => now.here > 0,
    waits: staffSays.somebodyHasToBeInFirst,
    done: (now, before) => now.curbs > before.curbs,
  },
  {
    id: 'stop',
    say: staffSays.whenItGetsOut,
    done: (now) => now.stopped,
  },
  { id: 'resume', say: staffSays.bringBack, done: (now) => !now.stopped },
  { id: 'dismiss', say: staffSays.dismissTheClassNobody, done: (now) => now.phase === 'OVER' },
]

/** From a step on, the first that is not done already before it began: a lesson that is open needs no opening. */
export function firstFrom(place: number, now: Facts): number {
  const already = ['open', 'in']
  let next = place
  for (let step = STEPS[next]; step && already.includes(step.id) && step.done(now, now); step = STEPS[next]) next += 1
  return next
}
