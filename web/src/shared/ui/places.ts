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
    name: 'Today',
    places: [
      { to: '/today', name: 'My day', also: /^\/lessons\/[^/]+\/desk$/ },
      { to: '/corridor', name: 'Corridor', for: ['LEAD'] },
      { to: '/stand-in', name: 'Stand-in', demo: true },
    ],
  },
  {
    chapter: 'PLAN',
    name: 'Plan',
    places: [
      { to: '/timetable', name: 'Timetable' },
      { to: '/classes', name: 'Classes', also: /^\/classes\/[^/]+$/ },
      { to: '/inspection', name: 'Inspection' },
      { to: '/calendar', name: 'School calendar' },
      { to: '/outbox', name: 'Outbox' },
    ],
  },
  {
    chapter: 'RULES',
    name: 'Rules',
    places: [
      { to: '/charter', name: 'Charter', also: /^\/rules\// },
      { to: '/sets', name: 'Sets' },
      { to: '/ladder', name: 'Ladder' },
      { to: '/try', name: 'Tried on past lessons' },
    ],
  },
  {
    chapter: 'AFTERWARDS',
    name: 'Afterwards',
    places: [
      {
        to: '/attendance',
        name: 'Attendance',
        also: /\/attendance(\/lessons)?$|^\/lessons\/[^/]+\/(register|results|replay|afterwards)$/,
      },
      { to: '/casebook', name: 'Casebook', also: /^\/casebook\// },
      { to: '/recordings', name: 'Recordings', also: /^\/recordings\// },
      { to: '/keeping', name: 'How rules are kept' },
    ],
  },
  {
    chapter: 'SCHOOL',
    name: 'School',
    places: [
      { to: '/people', name: 'People', for: ['LEAD'] },
      { to: '/consents', name: 'Consents' },
      { to: '/attendance/settings', name: 'Register codes', for: ['LEAD'] },
      { to: '/kept', name: 'Kept data', for: ['LEAD'] },
      { to: '/upkeep', name: 'Upkeep', for: ['LEAD'] },
      { to: '/account', name: 'My account' },
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
