import type { PupilRow } from './rows'
import type { Desk, Need, Waiting } from '../shared/api/types'

/** Quarter past ten, twelve minutes into the lesson. */
export const at = (clock: string) => `2026-09-14T${clock}Z`
export const NOW = Date.parse(at('10:17:00'))

export function aPupil(name: string, more: Partial<PupilRow> = {}): PupilRow {
  return {
    id: name.toLowerCase().replace(' ', '-'),
    name,
    whereabouts: 'IN',
    stays: [{ from: at('10:05:00'), until: at('10:17:00') }],
    waits: [],
    microphone: false,
    camera: false,
    screen: false,
    timesSpoken: 0,
    marks: [],
    ticks: [],
    cells: [{ rule: 'voice.speak', value: 'on-request', bound: false, loan: 'NONE' }],
    help: [],
    ...more,
  }
}

type Adult = Desk['door']['adults'][number] & { help: Desk['rights']['helpers'][string] }

/** What a test wants to be otherwise than on a usual desk, whichever part it belongs to. */
export interface Otherwise {
  starts?: string
  phase?: Desk['door']['phase']
  dismissedAt?: string
  door?: { value: string; bound: boolean }
  pupils?: PupilRow[]
  adults?: Adult[]
  waiting?: Waiting[]
  refused?: Desk['door']['refused']
  observers?: string[]
  columns?: Desk['rights']['columns']
  rights?: Partial<Desk['rights']>
  course?: Partial<Desk['course']>
  signs?: Desk['signals']['signs']
  focus?: string
  weak?: Desk['lines']['weak']
  held?: Desk['chat']['held']
  handouts?: Desk['material']['handouts']
  captions?: Desk['material']['captions']
  listens?: boolean
  supervision?: Partial<Desk['supervision']>
  ending?: Partial<Desk['ending']>
  merits?: Desk['merits']['of']
  latestMerits?: Desk['merits']['latest']
  question?: NonNullable<Desk['questions']['now']>
  clocks?: Desk['clocks']
  slates?: NonNullable<Desk['slates']['now']>
  notices?: Partial<Desk['notices']>
  conduct?: Partial<Desk['conduct']>
  worriesForMe?: Desk['mine']['conduct']['worries']
  recording?: Partial<Desk['recording']>
  mayRecord?: Partial<Desk['mine']['recording']>
  groups?: Partial<Desk['groups']>
  mineInGroups?: Desk['mine']['groups']
  needs?: Need[]
  me?: string
  mine?: Partial<Desk['mine']['door']>
  mayTakeCharge?: boolean
  words?: Desk['words']
}

const ORLA: Adult = { id: 'orla', name: 'Orla Venn', role: 'LEAD_ADULT', in: true, leads: true, help: [] }

/** A desk put together as the server does, a piece for each part. */
export function aDesk(more: Otherwise = {}): Desk {
  const pupils = more.pupils ?? [aPupil('Ines Carrow'), aPupil('Jory Pell')]
  const adults = more.adults ?? [ORLA]
  return {
    number: 9,
    now: at('10:17:00'),
    lesson: 'tidal',
    title: 'Tidal Navigation 8',
    starts: more.starts ?? at('10:05:00'),
    ends: at('10:55:00'),
    door: {
      phase: more.phase ?? 'OPEN',
      ...(more.dismissedAt ? { dismissedAt: more.dismissedAt } : {}),
      oneByOne: false,
      ...(more.door ?? { value: 'knock', bound: false }),
      adults: adults.map(({ id, name, role, in: isIn, leads }) => ({ id, name, role, in: isIn, leads })),
      observers: more.observers ?? [],
      pupils: pupils.map(({ id, name, shownName, whereabouts, backBy, stays, waits, agreed, removedWhy }) => ({
        id,
        name,
        whereabouts,
        stays,
        waits,
        ...(shownName ? { shownName } : {}),
        ...(backBy ? { backBy } : {}),
        ...(agreed !== undefined ? { agreed } : {}),
        ...(removedWhy ? { removedWhy } : {}),
      })),
      waiting: more.waiting ?? [],
      refused: more.refused ?? [],
    },
    rights: {
      columns: more.columns ?? [{ rule: 'voice.speak', title: 'Speak', value: 'on-request', bound: true, usualMinutes: 5 }],
      help: [
        { rule: 'help.door', title: 'Help at the door', value: '', bound: false, usualMinutes: 5 },
        { rule: 'help.dismiss', title: 'End the lesson for everyone', value: '', bound: false, usualMinutes: 5 },
      ],
      pupils: Object.fromEntries(
        pupils.map(({ id, microphone, camera, screen, timesSpoken, cells, help }) => [
          id,
          { microphone, camera, screen, timesSpoken, cells, help },
        ]),
      ),
      helpers: Object.fromEntries(adults.filter((one) => !one.leads).map((one) => [one.id, one.help])),
      liveOrders: 0,
      light: false,
      seen: [],
      passedOn: [],
      mayShowAll: false,
      mayPassOn: false,
      ...more.rights,
    },
    course: {
      stances: [
        { id: 'explaining', name: 'Explaining' },
        { id: 'discussion', name: 'Discussion' },
      ],
      order: [],
      written: [],
      byTheClock: false,
      ...more.course,
    },
    signals: {
      hands: pupils.flatMap((one) => (one.handSince ? [{ person: one.id, since: one.handSince }] : [])),
      signs: more.signs ?? [],
      of: Object.fromEntries(pupils.flatMap((one) => (one.sign ? [[one.id, one.sign]] : []))),
      ...(more.focus ? { focus: more.focus } : {}),
    },
    chat: { held: more.held ?? [] },
    board: { place: 'together', shown: 0, pages: [{ id: 0 }] },
    questions: more.question ? { now: more.question } : {},
    clocks: more.clocks ?? {},
    slates: more.slates ? { now: more.slates } : {},
    notices: { up: [], ...more.notices },
    strokes: [],
    ofClass: 'tidal-navigation-8',
    material: { handouts: more.handouts ?? [], captions: more.captions ?? [], serviceListens: more.listens ?? false },
    supervision: { quiet: false, ...more.supervision },
    ending: { leaving: [], closing: [], ...more.ending },
    merits: {
      of: more.merits ?? {},
      latest: more.latestMerits ?? [],
      reasons: ['a good question', 'helping others', 'good work'],
    },
    conduct: { steps: [], worries: [], latest: 0, ...more.conduct },
    lines: { weak: more.weak ?? {} },
    recording: {
      mode: 'OPTIONAL',
      phase: 'OFF',
      required: false,
      isRecording: false,
      recordedSeconds: 0,
      missingSeconds: 0,
      unheard: [],
      ...more.recording,
    },
    groups: { task: '', how: '', tables: [], together: 0, broken: [], late: [], ...more.groups },
    needs: more.needs ?? [],
    mine: {
      me: more.me ?? 'orla',
      door: { in: true, observing: false, leading: true, overseeing: false, ...more.mine },
      supervision: { mayTakeCharge: more.mayTakeCharge ?? false },
      groups: more.mineInGroups ?? {},
      recording: { mayStart: true, mayPause: true, mayEnd: true, ...more.mayRecord },
      conduct: { worries: more.worriesForMe ?? [] },
    },
    words: more.words ?? [],
  }
}

/** A group, with who is in it. */
export function aTable(id: string, name: string, mates: string[], more: Partial<Desk['groups']['tables'][number]> = {}) {
  return {
    id,
    name,
    locked: false,
    mates: mates.map((one) => ({ id: one.toLowerCase().replace(' ', '-'), name: one, where: 'IN' as const })),
    adults: [],
    looking: [],
    quiet: false,
    aloneSeconds: 0,
    seen: [],
    held: 0,
    marks: 0,
    board: 0,
    ...more,
  }
}

/** Something that asks for an adult, as the server tells it. */
export function aNeed(kind: Need['kind'], says: string, more: Partial<Need> = {}): Need {
  return { kind, key: `${kind} ${says}`, says, since: at('10:16:30'), visits: [], number: 0, ...more }
}
