import { client } from '../send'

export type Appliance = 'MICROPHONE' | 'CAMERA' | 'SCREEN' | 'WHOLE_SCREEN' | 'BACKGROUND' | 'PASSING_ON'

interface Loan {
  person: string
  rule: string
  minutes: number
}

/** What adults switch off, order for all, lend and close. Nothing here switches anything of somebody else's on. */
export const rightsOrders = {
  'mute-all': (lesson: string, { keepMuted }: { keepMuted: boolean }) =>
    client.POST('/api/lessons/{lesson}/mute-all', { params: { path: { lesson } }, body: { keepMuted } }),
  'undo-mute-all': (lesson: string) => client.POST('/api/lessons/{lesson}/mute-all/undo', { params: { path: { lesson } } }),
  'turn-off': (lesson: string, { person, what }: { person: string; what: Appliance }) =>
    client.POST('/api/lessons/{lesson}/people/{person}/off/{what}', { params: { path: { lesson, person, what } } }),
  set: (lesson: string, { rule, value, minutes }: { rule: string; value: string; minutes?: number }) =>
    client.PUT('/api/lessons/{lesson}/live-setting', {
      params: { path: { lesson } },
      body: { rule, value, ...(minutes ? { minutes } : {}) },
    }),
  pass: (lesson: string, { person, rule, minutes }: Loan) =>
    client.POST('/api/lessons/{lesson}/passes', { params: { path: { lesson } }, body: { person, rule, minutes } }),
  curb: (lesson: string, { person, rule, minutes }: Loan) =>
    client.POST('/api/lessons/{lesson}/curbs', { params: { path: { lesson } }, body: { person, rule, minutes } }),
  'end-loan': (lesson: string, { person, rule }: { person: string; rule: string }) =>
    client.DELETE('/api/lessons/{lesson}/people/{person}/loans/{rule}', { params: { path: { lesson, person, rule } } }),
  stance: (lesson: string, { stance, keepLive }: { stance: string; keepLive: boolean }) =>
    client.POST('/api/lessons/{lesson}/stance', { params: { path: { lesson } }, body: { stance, keepLive } }),
  'running-order': (
    lesson: string,
    { steps, byTheClock }: { steps: { stance: string; minutes: number; groups?: string }[]; byTheClock: boolean },
  ) => client.PUT('/api/lessons/{lesson}/running-order', { params: { path: { lesson } }, body: { steps, byTheClock } }),
  light: (lesson: string, { on }: { on: boolean }) =>
    client.PUT('/api/lessons/{lesson}/light', { params: { path: { lesson } }, body: { on } }),
  'pass-on': (lesson: string) =>
    client.POST('/api/lessons/{lesson}/own/{what}', { params: { path: { lesson, what: 'PASSING_ON' } } }),
  show: (lesson: string) => client.POST('/api/lessons/{lesson}/own/{what}', { params: { path: { lesson, what: 'SCREEN' } } }),
  'show-all': (lesson: string) =>
    client.POST('/api/lessons/{lesson}/own/{what}', { params: { path: { lesson, what: 'WHOLE_SCREEN' } } }),
  'stop-showing': (lesson: string) =>
    client.DELETE('/api/lessons/{lesson}/own/{what}', { params: { path: { lesson, what: 'SCREEN' } } }),
}
