import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { CasebookPage, IncidentPage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import CasebookScreen from './CasebookScreen'
import IncidentScreen from './IncidentScreen'

const ACTS: IncidentPage['acts'] = [
  { id: 'insult', name: 'Insults', severity: 'MIDDLE', from: 2 },
  { id: 'threat', name: 'Threats and hounding', severity: 'GRAVE', from: 5 },
]

const PAGE: IncidentPage = {
  number: 38,
  title: 'Insults',
  act: 'insult',
  actName: 'Insults',
  severity: 'MIDDLE',
  origin: 'STEP',
  leadOnly: false,
  lesson: 'tidal-monday',
  classTitle: 'Tidal Navigation 8',
  moment: '2026-09-14T10:11:00Z',
  open: true,
  people: [
    { id: 'zeb', name: 'Zeb Corran', part: 'DID' },
    { id: 'mira', name: 'Mira Solberg', part: 'SUFFERED' },
    { id: 'orla', name: 'Orla Venn', part: 'ACTED' },
  ],
  lines: [
    {
      number: 3,
      lessonEvent: 0,
      leadOnly: false,
      corrects: 0,
      at: '2026-09-14T10:11:40Z',
      kind: 'NOTE',
      text: 'Orla Venn: he was alone',
    },
  ],
  followUps: [
    {
      incident: 38,
      title: 'Insults',
      number: 7,
      who: 'maren',
      whoName: 'Maren Oddlund',
      what: 'Call home',
      until: '2026-09-16',
      late: false,
    },
  ],
  links: [],
  out: [],
  proof: { events: 5, own: 3, first: 59, last: 63 },
  may: ['NOTE', 'SAY_WHO', 'CLASSIFY', 'FOLLOW_UP', 'DECIDE', 'WRITE_PARENTS', 'CLOSE', 'JOIN'],
  acts: ACTS,
  staff: [
    { id: 'maren', name: 'Maren Oddlund' },
    { id: 'orla', name: 'Orla Venn' },
  ],
  pupils: [{ id: 'jory', name: 'Jory Pell' }],
}

const LEAD = { 'GET /api/standing': standingOf('LEAD', 'Maren Oddlund') }

const press = (name: string | RegExp) => userEvent.click(screen.getByRole('button', { name }))
const choose = (name: string, value: string) => userEvent.selectOptions(screen.getByRole('combobox', { name }), value)

async function write(name: RegExp | string, words: string) {
  const field = await screen.findByLabelText(name)
  await userEvent.clear(field)
  await userEvent.type(field, words)
}

interface Deed {
  /** What the lead presses, fills and presses again. */
  does: () => Promise<unknown>
  sends: string
  body: object
}

const DEEDS: Record<string, Deed> = {
  'asks somebody to do something until a day': {
    does: async () => {
      await press('Follow up…')
      await write(/What is to be done/, 'Talk with both')
      await choose('By whom', 'orla')
      await write('Until', '2026-09-21')
      await press('Ask for it')
    },
    sends: 'POST /api/casebook/38/follow-ups',
    body: { what: 'Talk with both', who: 'orla', until: '2026-09-21' },
  },
  'moves what was asked for, and says why': {
    does: async () => {
      await press('Later…')
      await write('Until', '2026-09-25')
      await write('Why', 'she is ill')
      await press('Move it')
    },
    sends: 'POST /api/casebook/38/follow-ups/7/later',
    body: { text: 'she is ill', until: '2026-09-25' },
  },
  'writes what is decided': {
    does: async () => {
      await press('Decide…')
      await write('In your words', 'They sit apart.')
      await press('Write it')
    },
    sends: 'POST /api/casebook/38/decisions',
    body: { text: 'They sit apart.' },
  },
  'says that it is of another kind, and graver': {
    does: async () => {
      await press('Kind and severity…')
      await choose('Kind', 'threat')
      await choose('How grave', 'GRAVE')
      await press('Say so')
    },
    sends: 'PUT /api/casebook/38/kind',
    body: { act: 'threat', severity: 'GRAVE' },
  },
  'writes to the parents of a pupil, never of an adult': {
    does: async () => {
      await press('Write to parents…')
      const whose = await screen.findByRole('combobox', { name: 'Of whom' })
      expect(within(whose).queryByRole('option', { name: 'Orla Venn' })).toBeNull()
      await choose('Of whom', 'mira')
      await write(/What they read/, 'We have talked with her.')
      await press('Send it')
    },
    sends: 'POST /api/casebook/38/parents',
    body: { pupil: 'mira', text: 'We have talked with her.' },
  },
  'links it with another one': {
    does: async () => {
      await press('Link…')
      await write('No.', '29')
      await write('How they belong together', 'the same three')
      await press('Link the two')
    },
    sends: 'POST /api/casebook/38/links',
    body: { other: 29, how: 'the same three' },
  },
  'closes it with a word on how it ended': {
    does: async () => {
      await press('Close it…')
      expect(await screen.findByText(/held for some time more/)).toBeTruthy()
      await write(/How it ended/, 'They made up.')
      await press('Close the incident')
    },
    sends: 'POST /api/casebook/38/close',
    body: { text: 'They made up.' },
  },
  'corrects a line, which stays': {
    does: async () => {
      await press('correct')
      expect(await screen.findByText(/What stands there stays/)).toBeTruthy()
      await write('In your words', 'he was with Jory')
      await press('Write it')
    },
    sends: 'POST /api/casebook/38/notes',
    body: { text: 'he was with Jory', corrects: 3 },
  },
  'gives somebody another part': {
    does: () => choose('What Mira Solberg had to do with it', 'SAW'),
    sends: 'PUT /api/casebook/38/people',
    body: { person: 'mira', part: 'SAW' },
  },
  'says that somebody had no part in it after all': {
    does: () => choose('What Mira Solberg had to do with it', ''),
    sends: 'PUT /api/casebook/38/people',
    body: { person: 'mira', part: null },
  },
  'names one more': {
    does: () => choose('Somebody else had a part in it', 'jory'),
    sends: 'PUT /api/casebook/38/people',
    body: { person: 'jory', part: 'SAW' },
  },
}

async function opened(page: IncidentPage, answers: object = {}) {
  const asked = serve({ ...LEAD, 'GET /api/casebook/38': page, ...answers })
  show(<IncidentScreen />, '/casebook/38', '/casebook/:number')
  await screen.findByRole('heading', { name: 'Insults' })
  return asked
}

describe('whoever works on an incident', () => {
  it.each(Object.entries(DEEDS))('%s', async (_, deed) => {
    const asked = await opened(PAGE, { [deed.sends]: PAGE })
    await deed.does()
    await screen.findByRole('heading', { name: 'Insults' })

    const sent = asked.filter((one) => one.method !== 'GET')
    expect(sent.map((one) => `${one.method} ${one.path}`)).toEqual([deed.sends])
    expect(sent.at(0)?.body).toMatchObject(deed.body)
  })

  it('sends a number only, and no incident is joined with words', async () => {
    const asked = await opened(PAGE)
    await press('It is the same as…')
    expect(await screen.findByText(/cannot be taken back/)).toBeTruthy()
    await write('No.', 'the other')
    await press('Make them one')
    expect(asked.filter((one) => one.method !== 'GET')).toEqual([])
  })

  it('makes two of one by choosing who goes into the new one', async () => {
    const asked = await opened(PAGE, { 'POST /api/casebook/38/split': { incident: 39 }, 'GET /api/casebook/39': PAGE })
    await press('It is two…')
    await userEvent.click(await screen.findByRole('checkbox', { name: 'Mira Solberg' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'Zeb Corran' }))
    await userEvent.click(screen.getByRole('checkbox', { name: 'Zeb Corran' }))
    await write(/What the new one is/, 'Hers')
    await press('Make them two')
    await screen.findByRole('heading', { name: 'Insults' })
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ people: ['mira'], title: 'Hers' })
  })

  it('opens a closed one again, and is offered nothing else but a note', async () => {
    const asked = await opened({ ...PAGE, open: false, followUps: [] }, { 'POST /api/casebook/38/reopen': PAGE })
    expect(screen.queryByRole('button', { name: 'Decide…' })).toBeNull()
    expect(screen.queryByRole('combobox')).toBeNull()
    expect(screen.getByRole('button', { name: /Write a note/ })).toBeTruthy()
    await press(/Open it again…/)
    await write('Why', 'it happened again')
    await press('Open it again')
    expect(await screen.findByRole('button', { name: 'Close it…' })).toBeTruthy()
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ text: 'it happened again' })
  })
})

describe('an incident that somebody heard of afterwards', () => {
  const list: CasebookPage = { lines: [], more: false, todos: [], open: 0, acts: ACTS }
  const ALL = 'GET /api/casebook?find=&open=false&before=2147483647'

  it('is written down with who did it and who suffered it, found as one types', async () => {
    const asked = serve({
      ...LEAD,
      [ALL]: list,
      'GET /api/casebook/people?find=Ze': [{ id: 'zeb', name: 'Zeb Corran' }],
      'GET /api/casebook/people?find=So': [{ id: 'mira', name: 'Mira Solberg' }],
      'POST /api/casebook': { incident: 52 },
    })
    show(<CasebookScreen />, '/casebook')
    await userEvent.click(await screen.findByRole('button', { name: 'Write one down…' }))
    expect(screen.getByRole('button', { name: 'Open the incident' }).hasAttribute('disabled')).toBe(true)
    await write(/What happened/, 'Threats by phone')
    await choose('Kind', 'threat')
    const grave = screen.getByRole('combobox', { name: 'How grave' })
    expect(within(grave).getByRole<HTMLOptionElement>('option', { name: 'grave' }).selected).toBe(true)
    await userEvent.type(screen.getByLabelText('Who did it', { selector: 'input' }), 'Ze')
    await userEvent.click(await screen.findByRole('button', { name: '+ Zeb Corran' }))
    await userEvent.type(screen.getByLabelText('Who suffered it', { selector: 'input' }), 'So')
    await userEvent.click(await screen.findByRole('button', { name: '+ Mira Solberg' }))
    await press('Without Mira Solberg')
    await userEvent.click(screen.getByRole('checkbox', { name: /leads alone/ }))
    await press('Open the incident')
    await expect
      .poll(() => asked.find((one) => one.method === 'POST')?.body)
      .toMatchObject({
        title: 'Threats by phone',
        act: 'threat',
        severity: 'GRAVE',
        did: ['zeb'],
        suffered: [],
        leadOnly: true,
      })
  })

  it('is not offered to a teacher as one for leads alone', async () => {
    serve({ 'GET /api/standing': standingOf('TEACHER'), [ALL]: list })
    show(<CasebookScreen />, '/casebook')
    await userEvent.click(await screen.findByRole('button', { name: 'Write one down…' }))
    await screen.findByLabelText(/What happened/)
    expect(screen.queryByRole('checkbox', { name: /leads alone/ })).toBeNull()
  })
})
