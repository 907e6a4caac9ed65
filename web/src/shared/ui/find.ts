import { say } from '../../languages/en/staff/shared'
import type { FoundLine, Me } from '../api/types'
import { placesOf } from './places'

/** One line of what was found: what it says, and where it leads. A question leads nowhere: its answer is shown in place. */
export interface Hit {
  key: string
  says: string
  detail: string
  to?: string
  /** The path at which the answer to a question stands. */
  why?: string
}

const enc = encodeURIComponent

/** Where something that was found leads, for each act. */
export function hitOf(one: FoundLine, now: number): Hit {
  const key = [one.act, one.kind, one.id, one.rule].join(' ')
  const day = one.starts?.slice(0, 10) ?? ''
  const hit = (says: string, to: string): Hit => ({ key, says, detail: one.detail || say.kindsFound[one.kind], to })
  switch (one.act) {
    case 'WHY':
      return {
        key,
        says: say.whyOf(one.name, one.ruleTitle ?? ''),
        detail: one.detail,
        why: one.lesson ? `/api/lessons/${enc(one.lesson)}/why/${one.rule}?person=${enc(one.id)}` : undefined,
      }
    case 'COVER':
      return hit(say.coverOf(one.name), `/timetable?from=${day}&lesson=${enc(one.id)}&do=cover`)
    case 'DESK':
      return hit(say.toTheDesk(one.name), `/lessons/${enc(one.id)}/desk`)
    case 'RULES':
      return hit(say.rulesOf(one.name), `/rules/${one.kind === 'CLASS' ? 'class' : 'lesson'}:${enc(one.id)}`)
    case 'JOINING':
      return hit(say.joiningNoteOf(one.name), `/classes/${enc(one.id)}?part=Joining`)
    case 'REGISTER':
      return hit(
        one.kind === 'LESSON' ? say.registerOf(one.name) : say.attendanceOf(one.name),
        one.kind === 'LESSON'
          ? `/lessons/${enc(one.id)}/register`
          : `/${one.kind === 'CLASS' ? 'classes' : 'pupils'}/${enc(one.id)}/attendance`,
      )
    case 'SEE':
      return hit(one.name, seen(one, now))
  }
}

function seen(one: FoundLine, now: number): string {
  switch (one.kind) {
    case 'LESSON':
      return `/lessons/${enc(one.id)}/${one.ends && Date.parse(one.ends) < now ? 'register' : 'desk'}`
    case 'CLASS':
      return `/classes/${enc(one.id)}`
    case 'PUPIL':
      return `/pupils/${enc(one.id)}/attendance`
    case 'ADULT':
      return '/people'
    case 'RULE':
      return `/charter?find=${enc(one.name)}`
  }
}

/** Pages whose name begins so, or has a word that does. */
export function pagesFor(typed: string, me: Me, demo: boolean): Hit[] {
  const wanted = typed.trim().toLowerCase()
  if (wanted.length < 2) return []
  return placesOf(me, demo)
    .flatMap((chapter) => chapter.places)
    .filter((place) => ` ${place.name.toLowerCase()}`.includes(` ${wanted}`))
    .map((place) => ({ key: place.to, says: place.name, detail: 'page', to: place.to }))
}
