import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { CasebookPage, FairnessPage, IncidentPage, LadderPage, PackChecked, PatternsPage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import LadderScreen from '../charter/LadderScreen'
import CasebookScreen from './CasebookScreen'
import EvidenceScreen from './EvidenceScreen'
import FairnessScreen from './FairnessScreen'
import IncidentScreen from './IncidentScreen'
import PatternsScreen from './PatternsScreen'

const TODO = {
  incident: 38,
  title: 'Insults',
  number: 7,
  who: 'maren',
  whoName: 'Maren Oddlund',
  what: 'Call home',
  until: '2026-09-13',
  late: true,
}

const LIST: CasebookPage = {
  lines: [
    {
      number: 38,
      title: 'Insults',
      act: 'Insults',
      severity: 'MIDDLE',
      origin: 'STEP',
      leadOnly: false,
      classTitle: 'Tidal Navigation 8',
      moment: '2026-09-14T10:11:00Z',
      open: true,
      highest: 4,
      did: ['Zeb Corran'],
      suffered: ['Mira Solberg'],
    },
  ],
  more: false,
  todos: [TODO],
  open: 1,
  acts: [{ id: 'insult', name: 'Insults', severity: 'MIDDLE', from: 2 }],
}

const line = { number: 0, lessonEvent: 0, leadOnly: false, corrects: 0, at: '2026-09-14T10:11:40Z' }

const INCIDENT: IncidentPage = {
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
    { id: 'orla', name: 'Orla Venn', part: 'ACTED' },
  ],
  lines: [
    { ...line, kind: 'ACT', text: 'Zeb Corran wrote', quote: 'you are all losers' },
    { ...line, number: 3, kind: 'STEP', text: 'Step 4, back to the door, for Zeb Corran by Orla Venn; proposed was step 3.' },
    { ...line, number: 5, kind: 'NOTE', text: 'Maren Oddlund: he joins alone', leadOnly: true, corrects: 3 },
  ],
  followUps: [TODO],
  links: [{ number: 29, title: 'Drawing' }],
  out: [{ id: 'zeb', name: 'Zeb Corran' }],
  proof: { events: 47, own: 6, first: 118, last: 164 },
  looks: [{ name: 'Orla Venn', at: '2026-09-14T10:52:00Z', tookAway: true }],
  may: ['NOTE', 'NOTE_FOR_LEADS', 'SAY_WHO', 'FOLLOW_UP', 'TALK', 'CLOSE', 'PACK', 'JOIN'],
  acts: LIST.acts,
  staff: [{ id: 'maren', name: 'Maren Oddlund' }],
  pupils: [{ id: 'mira', name: 'Mira Solberg' }],
}

const LEAD = { 'GET /api/standing': standingOf('LEAD', 'Maren Oddlund') }
const ALL = 'GET /api/casebook?find=&open=false&before=2147483647'

describe('the casebook', () => {
  it('is a working list with what is due, and is searched by words', async () => {
    const asked = serve({
      ...LEAD,
      [ALL]: LIST,
      'GET /api/casebook?find=barnacle&open=false&before=2147483647': { ...LIST, lines: [] },
    })
    show(<CasebookScreen />, '/casebook')
    expect((await screen.findByRole('row', { name: /Insults/ })).textContent).toContain('Zeb Corran to Mira Solberg')
    expect(screen.getByRole('complementary', { name: 'To do' }).textContent).toContain('was due')

    await userEvent.type(screen.getByRole('textbox', { name: /Find by names/ }), 'barnacle')
    await userEvent.click(screen.getByRole('button', { name: 'Find' }))
    expect(await screen.findByText(/Nothing was found that you may read/)).toBeTruthy()
    expect(asked.at(-1)?.path).toContain('find=barnacle')
  })
})

describe('an incident', () => {
  async function opened(more: Partial<IncidentPage> = {}, answers = {}) {
    const asked = serve({ ...LEAD, 'GET /api/casebook/38': { ...INCIDENT, ...more }, ...answers })
    show(<IncidentScreen />, '/casebook/38', '/casebook/:number')
    await screen.findByRole('heading', { name: 'Insults' })
    return asked
  }

  it('reads from top to bottom, told apart by shape, with what is proven and who looked', async () => {
    await opened()
    const told = within(screen.getByRole('list', { name: /What happened/ })).getAllByRole('listitem')
    expect(told.map((one) => within(one).getByRole('img').getAttribute('aria-label'))).toEqual([
      'what happened',
      'a step',
      'a note',
    ])
    expect(told[0]?.textContent).toContain('you are all losers')
    expect(told[1]?.textContent).toContain('A correction stands below')
    expect(told[2]?.textContent).toContain('Read by leads only')
    expect(screen.getByText(/Nothing is missing between event 118 and event 164/)).toBeTruthy()
    expect(screen.getByText(/Orla Venn, .*taken away/)).toBeTruthy()
    expect(screen.getByRole('link', { name: /a copy for the parents of Zeb Corran/ }).getAttribute('href')).toBe(
      '/api/casebook/38/pack?cover=zeb',
    )
  })

  it('gets a note by one key, a follow-up done, and lets somebody in again', async () => {
    const asked = await opened(
      {},
      {
        'POST /api/casebook/38/notes': INCIDENT,
        'POST /api/casebook/38/follow-ups/7/done': { ...INCIDENT, followUps: [] },
        'POST /api/casebook/38/talks': { ...INCIDENT, out: [] },
      },
    )
    await userEvent.keyboard('n')
    await userEvent.type(await screen.findByRole('textbox', { name: 'In your words' }), 'spoke with her')
    await userEvent.click(screen.getByRole('checkbox', { name: /leads alone/ }))
    await userEvent.click(screen.getByRole('button', { name: 'Write it' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Done…' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Done' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Somebody has talked…' }))
    await userEvent.type(await screen.findByRole('textbox', { name: /talked about with Zeb/ }), 'he will mend it')
    await userEvent.click(screen.getByRole('button', { name: 'Let in again' }))
    await screen.findByRole('button', { name: /Write a note/ })

    const sent = asked.filter((one) => one.method === 'POST')
    expect(sent.map((one) => one.path)).toEqual([
      '/api/casebook/38/notes',
      '/api/casebook/38/follow-ups/7/done',
      '/api/casebook/38/talks',
    ])
    expect(sent[0]?.body).toMatchObject({ text: 'spoke with her', leadOnly: true })
  })

  it('offers nothing that the caller may not do', async () => {
    await opened({ may: ['NOTE'], out: [], followUps: [], looks: undefined })
    expect(screen.queryByRole('button', { name: 'Close it…' })).toBeNull()
    expect(screen.queryByText('Evidence pack')).toBeNull()
    expect(screen.queryByRole('combobox')).toBeNull()
  })

  it('says why something was not done', async () => {
    await opened(
      {},
      {
        'POST /api/casebook/38/close': {
          problem: {
            type: 'x',
            title: 'Something is still to be done',
            status: 409,
            detail: '',
            whatToDo: 'Finish it.',
            wrong: [],
          },
        },
      },
    )
    await userEvent.click(screen.getByRole('button', { name: 'Close it…' }))
    await userEvent.type(await screen.findByRole('textbox', { name: 'How it ended' }), 'well')
    await userEvent.click(screen.getByRole('button', { name: 'Close the incident' }))
    expect(await screen.findByText(/Something is still to be done/)).toBeTruthy()
  })
})

describe('across classes', () => {
  it('patterns say what they rest on, and that few are few', async () => {
    const page: PatternsPage = {
      from: '2026-09-01',
      until: '2026-09-14',
      incidents: 9,
      patterns: [
        {
          kind: 'SAME_PAIR',
          says: 'Zeb Corran to Mira Solberg, 2 times (of 3 of theirs)',
          few: true,
          rests: [{ number: 38, title: 'Insults', moment: '2026-09-10T10:00:00Z', classTitle: 'Tidal Navigation 8' }],
        },
      ],
    }
    serve({ ...LEAD, 'GET /api/casebook/patterns?from=&until=': page })
    show(<PatternsScreen />, '/casebook/patterns')
    const found = await screen.findByRole('region', { name: /Zeb Corran to Mira/ })
    expect(found.textContent).toContain('few: it may well be chance')
    expect(within(found).getByRole('link').getAttribute('href')).toBe('/casebook/38')
  })

  it('fairness says how sure it is and what it cannot know', async () => {
    const one = { outside: 3, of: 3, low: 0.44, high: 1, levels: [0, 0, 0, 0, 3], few: true, apart: true }
    const it38 = {
      number: 38,
      lesson: 'l1',
      pupil: 'Zeb Corran',
      classTitle: 'Tidal 8',
      moment: '2026-09-10T10:00:00Z',
      level: 2,
    }
    const page: FairnessPage = {
      from: '2026-09-01',
      until: '2026-09-14',
      by: 'ADULT',
      steps: ['A word', 'A reminder', 'A curb', 'Door', 'Out'],
      acts: [
        {
          ...one,
          act: 'Insults',
          of: 6,
          groups: [{ ...one, name: 'Greta Lomond' }],
          unlike: [{ proposed: 2, mild: it38, hard: { ...it38, number: 0, level: 5, lesson: 'l2' } }],
        },
      ],
    }
    serve({ ...LEAD, 'GET /api/casebook/fairness?by=ADULT&from=&until=': page })
    show(<FairnessScreen />, '/casebook/fairness')
    expect((await screen.findByRole('row', { name: /Greta Lomond/ })).textContent).toContain('3 of 3 44 % to 100 % apart few')
    expect(screen.getByText(/What this page cannot know/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'the lesson' }).getAttribute('href')).toBe('/lessons/l2/replay')
  })
})

describe('an evidence pack', () => {
  it('that is not whole is said to be so, and which part', async () => {
    const checked: PackChecked = {
      whole: false,
      ours: true,
      school: 'Halvorn Reach School',
      incident: 38,
      title: 'Insults',
      made: '2026-09-14T10:00:00Z',
      by: 'Maren Oddlund',
      coveredFor: '',
      fingerprint: 'ab12 cd34 ef56 7890',
      coveredParts: 0,
      wrong: ['record.json, event 119: its words were altered'],
      files: [{ name: 'record.json', about: 'the record', lines: 47, shown: true }],
    }
    serve({
      ...LEAD,
      'GET /api/evidence/key': { key: 'MCow', fingerprint: 'ab12 cd34 ef56 7890' },
      'POST /api/evidence/check': checked,
    })
    show(<EvidenceScreen />, '/casebook/evidence')
    expect(await screen.findByText('ab12 cd34 ef56 7890')).toBeTruthy()
    await userEvent.upload(screen.getByLabelText('A pack to be checked'), new File(['x'], 'pack.zip'))
    const found = await screen.findByRole('status', { name: 'What was found' })
    expect(found.textContent).toContain('It is not whole.')
    expect(found.textContent).toContain('event 119: its words were altered')
  })
})

describe('the ladder', () => {
  const page: LadderPage = {
    ladder: {
      steps: [
        {
          id: 'word',
          name: 'A word',
          measure: 'WORD',
          who: 'ANY_ADULT',
          halfDays: 14,
          minutes: 0,
          parents: false,
          opensIncident: false,
        },
        {
          id: 'out',
          name: 'Out',
          measure: 'OUT_OF_LESSON',
          who: 'ANY_ADULT',
          halfDays: 45,
          minutes: 0,
          parents: true,
          opensIncident: true,
        },
      ],
      acts: [{ id: 'other', name: 'Something else', severity: 'MIDDLE', from: 1 }],
      heavier: [],
    },
    years: [{ year: 8, own: { steps: {}, from: {} }, heads: [] }],
    staff: [{ id: 'orla', name: 'Orla Venn' }],
  }

  it('is changed by the lead as a whole, with heads of years at once', async () => {
    const asked = serve({
      ...LEAD,
      'GET /api/ladder': page,
      'PUT /api/ladder': page,
      'PUT /api/ladder/years/8/heads': page,
    })
    show(<LadderScreen />, '/ladder')
    await userEvent.click(await screen.findByRole('button', { name: 'Step 1 one down' }))
    await userEvent.click(screen.getByRole('button', { name: 'Put in force' }))
    await userEvent.selectOptions(screen.getByRole('combobox', { name: 'Another head of year 8' }), 'orla')
    await screen.findByRole('button', { name: 'Step 1 one down' })

    const sent = asked.filter((one) => one.method === 'PUT')
    expect((sent.at(0) as { body: LadderPage['ladder'] }).body.steps.map((one) => one.id)).toEqual(['out', 'word'])
    expect(sent[1]?.body).toEqual({ people: ['orla'] })
  })

  it('is read by teachers, who change nothing of it', async () => {
    serve({ 'GET /api/standing': standingOf('TEACHER'), 'GET /api/ladder': page })
    show(<LadderScreen />, '/ladder')
    expect(await screen.findByText('Something else')).toBeTruthy()
    expect(screen.queryByRole('textbox')).toBeNull()
    expect(screen.queryByRole('button', { name: 'Another kind of act' })).toBeNull()
  })
})
