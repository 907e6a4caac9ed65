import { say } from '../../languages/en/staff/shared'
import type { Chapter, Me } from '../api/types'

type Position = Me['position']

export interface Place {
  to: string
  name: string
  /** Pages that belong to it besides its own address. */
  also?: RegExp
  for?: Position[]
  demo?: boolean
}

const STAFF: Position[] = ['LEAD', 'TEACHER']

/** All there is, by the part of the working day in which it is needed. */
const CHAPTERS: { chapter: Chapter; name: string; places: Place[] }[] = [
  {
    chapter: 'TODAY',
    name: say.today,
    places: [
      { to: '/today', name: say.myDay, also: /^\/lessons\/[^/]+\/desk$/ },
      { to: '/corridor', name: say.corridor, for: ['LEAD'] },
      { to: '/stand-in', name: say.standIn, demo: true },
    ],
  },
  {
    chapter: 'PLAN',
    name: say.plan,
    places: [
      { to: '/timetable', name: say.timetable },
      { to: '/classes', name: say.classes, also: /^\/classes\/[^/]+$/ },
      { to: '/inspection', name: say.inspection },
      { to: '/calendar', name: say.schoolCalendar },
      { to: '/outbox', name: say.outbox },
    ],
  },
  {
    chapter: 'RULES',
    name: say.rules,
    places: [
      { to: '/charter', name: say.charter, also: /^\/rules\// },
      { to: '/sets', name: say.sets },
      { to: '/ladder', name: say.ladder },
      { to: '/try', name: say.triedOnPastLessons },
    ],
  },
  {
    chapter: 'AFTERWARDS',
    name: say.afterwards,
    places: [
      {
        to: '/attendance',
        name: say.attendance,
        also: /\/attendance(\/lessons)?$|^\/lessons\/[^/]+\/(register|results|replay|afterwards)$/,
      },
      { to: '/casebook', name: say.casebook, also: /^\/casebook\// },
      { to: '/recordings', name: say.recordings, also: /^\/recordings\// },
      { to: '/keeping', name: say.howRulesAreKept },
    ],
  },
  {
    chapter: 'SCHOOL',
    name: say.school,
    places: [
      { to: '/people', name: say.people, for: ['LEAD'] },
      { to: '/consents', name: say.consents },
      { to: '/attendance/settings', name: say.registerCodes, for: ['LEAD'] },
      { to: '/kept', name: say.keptData, for: ['LEAD'] },
      { to: '/upkeep', name: say.upkeep, for: ['LEAD'] },
      { to: '/account', name: say.myAccount },
    ],
  },
]

export function placeOf(path: string) {
  for (const { chapter, places } of CHAPTERS) {
    for (const place of places) if (place.to === path) return { chapter, place }
  }
  for (const { chapter, places } of CHAPTERS) {
    for (const place of places) if (place.also?.test(path)) return { chapter, place }
  }
  return undefined
}

/** The places that somebody may open, by the part of the day. */
export function placesOf(me: Me, demo: boolean) {
  return CHAPTERS.map((one) => ({
    ...one,
    places: one.places.filter((place) => (place.for ?? STAFF).includes(me.position) && (!place.demo || demo)),
  })).filter((one) => one.places.length > 0)
}
