import type { Desk, DeskPupil } from '../../shared/api/types'

/** Quarter past ten, twelve minutes into the lesson. */
export const at = (clock: string) => `2026-09-14T${clock}Z`
export const NOW = Date.parse(at('10:17:00'))

export function aPupil(name: string, more: Partial<DeskPupil> = {}): DeskPupil {
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
    cells: [{ rule: 'voice.speak', value: 'on-request', bound: false, loan: 'NONE' }],
    help: [],
    ...more,
  }
}

export function aDesk(more: Partial<Desk> = {}): Desk {
  return {
    number: 9,
    now: at('10:17:00'),
    lesson: 'tidal',
    title: 'Tidal Navigation 8',
    starts: at('10:05:00'),
    ends: at('10:55:00'),
    phase: 'OPEN',
    me: 'orla',
    iAmIn: true,
    door: { value: 'knock', bound: false },
    columns: [{ rule: 'voice.speak', title: 'Speak', value: 'on-request', bound: true }],
    adults: [{ id: 'orla', name: 'Orla Venn', role: 'LEAD_ADULT', in: true, leads: true, help: [] }],
    pupils: [aPupil('Ines Carrow'), aPupil('Jory Pell')],
    waiting: [],
    refused: [],
    steering: {
      leading: true,
      observing: false,
      overseeing: false,
      observers: [],
      mayTakeCharge: false,
      stances: [
        { id: 'explaining', name: 'Explaining' },
        { id: 'discussion', name: 'Discussion' },
      ],
      order: [],
      written: [],
      byTheClock: false,
      liveOrders: 0,
      quiet: false,
      light: false,
      board: 0,
    },
    held: [],
    materials: [],
    signs: [],
    captions: [],
    help: [
      { rule: 'help.door', title: 'Help at the door', value: '', bound: false },
      { rule: 'help.dismiss', title: 'End the lesson for everyone', value: '', bound: false },
    ],
    ending: { leaving: [], closing: [] },
    words: [],
    ...more,
  }
}
