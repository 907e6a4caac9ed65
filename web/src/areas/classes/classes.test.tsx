import { fireEvent, screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { ClassPage, Joining as JoiningPage, RosterPreview, WordCheck } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import { Adults } from './Adults'
import ClassScreen from './ClassScreen'
import { Joining } from './Joining'
import NewClassScreen, { guess } from './NewClassScreen'
import { JoinWord } from './JoinWord'
import { RosterImport } from './RosterImport'
import { ScheduleForm } from '../../shared/schedule/ScheduleForm'

const PREVIEW: RosterPreview = {
  fingerprint: 'f1',
  heading: ['name', 'year'],
  columns: { name: 0, first: -1, last: -1, number: -1, year: 1 },
  moved: [],
  asked: [],
  encoding: 'windows-1252',
  encodingGuessed: true,
  added: ['Ines Carrow'],
  created: ['Nobody Known'],
  renamed: [{ from: 'Jory Pell', to: 'Jory Pell-Marr' }],
  dropped: ['Bo Lindqvar'],
  staying: 3,
  wrong: [{ line: 4, message: 'The name is missing.' }],
}

const file = new File(['name\nInes'], 'roster.csv', { type: 'text/csv' })

/** The address with what a person has said of the file. */
const said = (add: boolean, columns = '', answers: Record<number, string> = {}) =>
  `?${new URLSearchParams({ add: String(add), columns, answers: JSON.stringify(answers) })}`

describe('importing a roster', () => {
  it('asks whom a row means, lets columns be said, and takes nothing before', async () => {
    const row = { line: 3, says: 'Ines Carrow, year 9', known: 'Ines Carrow, year 8, number 1001', why: 'OTHER_YEAR' as const }
    const moved = [{ from: 'Ines Carrow, year 8, number 1001', to: 'year 9' }]
    const asked = serve({
      [`POST /api/classes/c/roster/preview${said(false)}`]: { ...PREVIEW, asked: [row] },
      [`POST /api/classes/c/roster/preview${said(false, '', { 3: 'SAME' })}`]: { ...PREVIEW, moved },
      [`POST /api/classes/c/roster/preview${said(false, '0,-1,-1,-1,-1', { 3: 'SAME' })}`]: PREVIEW,
    })
    show(<RosterImport id="c" />)
    await userEvent.upload(screen.getByLabelText('Roster file'), file)

    const group = await screen.findByRole('group', { name: 'Line 3' })
    expect(group.textContent).toMatch(/Ines Carrow, year 9.*in another year.*Is it Ines Carrow, year 8, number 1001/)
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take this roster' }).disabled).toBe(true)
    await userEvent.click(screen.getByRole('button', { name: 'The same' }))
    expect(await screen.findByText(/1001 becomes year 9/)).toBeTruthy()
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take this roster' }).disabled).toBe(false)
    await userEvent.selectOptions(screen.getByLabelText('Years'), '-1')
    await waitFor(() => expect(asked).toHaveLength(3))
  })

  it('shows everything it would change before it changes anything, and takes exactly that', async () => {
    const asked = serve({
      [`POST /api/classes/c/roster/preview${said(false)}`]: PREVIEW,
      [`POST /api/classes/c/roster${said(false)}`]: PREVIEW,
    })
    show(<RosterImport id="c" />)

    await userEvent.upload(screen.getByLabelText('Roster file'), file)

    expect((await screen.findByRole('region', { name: 'What the file would change' })).textContent).toMatch(
      /Read as windows-1252.*1 join the class: Ines Carrow.*1 are new.*Jory Pell becomes Jory Pell-Marr.*leave the class: Bo Lindqvar.*3 stay.*Line 4: The name is missing/,
    )
    expect(asked).toHaveLength(1)
    await userEvent.click(screen.getByRole('button', { name: 'Take this roster' }))

    await waitFor(() => expect(asked).toHaveLength(2))
    expect((asked[1]!.body as FormData).get('fingerprint')).toBe('f1')
    expect(await screen.findByText('The roster is taken: 2 came, 1 went.')).toBeTruthy()
  })

  it('takes a pasted list as one that adds and leaves everybody else in the class', async () => {
    const asked = serve({ [`POST /api/classes/c/roster/preview${said(true)}`]: { ...PREVIEW, dropped: [] } })
    show(<RosterImport id="c" />)

    await userEvent.type(screen.getByLabelText('Or paste a list of names'), 'Ines Carrow{enter}Jory Pell')
    await userEvent.click(screen.getByRole('button', { name: 'Show what it would add' }))

    expect((await screen.findByRole('region', { name: 'What the file would change' })).textContent).not.toContain(
      'leave the class',
    )
    const sent = (asked[0]!.body as FormData).get('file') as File
    // jsdom's files cannot be read as text by themselves.
    const text = await new Promise((read) => {
      const reader = new FileReader()
      reader.onload = () => read(reader.result)
      reader.readAsText(sent)
    })
    expect(text).toBe('name\nInes Carrow\nJory Pell')
  })

  it('has nothing to take from a file in which nobody stands', async () => {
    const nobody = { ...PREVIEW, added: [], created: [], renamed: [], staying: 0, dropped: ['Bo Lindqvar'] }
    serve({ [`POST /api/classes/c/roster/preview${said(false)}`]: nobody })
    show(<RosterImport id="c" />)

    await userEvent.upload(screen.getByLabelText('Roster file'), file)

    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Nothing to take' })).disabled).toBe(true)
  })
})

const say = (label: string, value: string) => {
  fireEvent.change(screen.getByLabelText(label), { target: { value } })
  return Promise.resolve()
}

describe('scheduling', () => {
  it('sends the days that are pressed and tells what was planned and what was left out', async () => {
    const asked = serve({
      'POST /api/classes/c/series': {
        change: 'ch',
        what: '',
        added: 5,
        left: 1,
        holidays: 2,
        appearing: ['Orla Venn has another lesson then.'],
      },
      'POST /api/timetable/changes/ch/undo': {},
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/classes/c/joining': { link: 'http://school.example/join/abc', forPupils: { text: 'note', html: '' } },
    })
    show(<ScheduleForm id="c" />)

    await userEvent.click(screen.getByRole('button', { name: 'Mon' }))
    await say('First date', '2026-09-14')
    await say('Last date', '2026-10-01')
    await userEvent.click(screen.getByRole('button', { name: 'Tue' }))
    await userEvent.click(screen.getByRole('button', { name: 'Tue' }))
    await userEvent.click(screen.getByRole('button', { name: 'Schedule' }))

    expect(await screen.findByText(/5 lessons are planned. 1 left out: .* 2 left out: they fall in holidays/)).toBeTruthy()
    expect(await screen.findByText('http://school.example/join/abc')).toBeTruthy()
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
      first: '2026-09-14',
      until: '2026-10-01',
      days: ['MONDAY'],
      start: '10:00',
      minutes: 50,
      everyWeeks: 1,
      helpHour: false,
    })
    expect(screen.getByRole('alert').textContent).toContain('Orla Venn has another lesson then.')
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }))
    expect(await screen.findByText('Taken back: none of these lessons is held.')).toBeTruthy()
  })

  it('is one lesson where no day is chosen, and shows each field that is wrong', async () => {
    const wrong = [{ field: 'minutes', message: 'A lesson lasts 5 to 480 minutes' }]
    const problem = {
      type: '',
      title: 'This cannot be scheduled',
      status: 400,
      detail: 'Nothing was stored.',
      whatToDo: '',
      wrong,
    }
    const asked = serve({ 'GET /api/standing': standingOf('TEACHER'), 'POST /api/classes/c/series': { problem } })
    show(<ScheduleForm id="c" />)

    expect(screen.queryByLabelText('Last date')).toBeNull()
    await say('On', '2026-09-15')
    await userEvent.click(screen.getByRole('button', { name: 'Schedule' }))

    expect((await screen.findByRole('alert')).textContent).toContain('A lesson lasts 5 to 480 minutes')
    expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ first: '2026-09-15', until: null, days: [] })
  })
})

describe('a new class', () => {
  const line = { id: 'c9', title: 'Harbour Law 9', year: 9, pupils: 0, adults: ['Orla Venn'] }
  const answers = {
    'GET /api/standing': standingOf('TEACHER'),
    'GET /api/adults': [{ id: 'tam', name: 'Tam Birket' }],
    'GET /api/sets': [{ id: 'calm', name: 'Calm start' }],
    'POST /api/classes': line,
    'PUT /api/classes/c9/sets/calm': {},
    'GET /api/classes/c9/joining': { link: 'http://school.example/join/c9', forPupils: { text: 'note', html: '' } },
  }

  it('is made with its rules and lessons by one press, with year and subject from its title', async () => {
    const planned = { change: 'x', what: '', added: 12, left: 0, holidays: 0, appearing: [] }
    const asked = serve({ ...answers, 'POST /api/classes/c9/series': planned })
    show(<NewClassScreen />)
    await userEvent.type(await screen.findByLabelText('Title'), 'Harbour Law 9')
    await userEvent.selectOptions(screen.getByLabelText('Rules'), await screen.findByText('Calm start'))
    await userEvent.click(screen.getByRole('button', { name: 'Tue' }))
    await userEvent.click(screen.getByRole('button', { name: 'Make the class and its lessons' }))

    expect(await screen.findByText('http://school.example/join/c9')).toBeTruthy()
    expect(screen.getByText('12 lessons are planned.')).toBeTruthy()
    const sent = asked.filter((one) => one.method !== 'GET')
    expect(sent.map((one) => one.path)).toEqual(['/api/classes', '/api/classes/c9/sets/calm', '/api/classes/c9/series'])
    expect(sent[0]?.body).toEqual({ title: 'Harbour Law 9', subject: 'Harbour Law', year: 9, secondAdult: '' })
    expect(sent[2]?.body).toMatchObject({ days: ['TUESDAY'], minutes: 50 })
  })

  it('stays made when its lessons are refused, and goes on from there', async () => {
    const problem = {
      type: '',
      title: 'This cannot be scheduled',
      status: 400,
      detail: 'Nothing was stored.',
      whatToDo: '',
      wrong: [],
    }
    const asked = serve({ ...answers, 'POST /api/classes/c9/series': { problem } })
    show(<NewClassScreen />)
    await userEvent.type(await screen.findByLabelText('Title'), 'Harbour Law 9')
    const press = screen.getByRole('button', { name: 'Make the class and its lessons' })
    await userEvent.click(press)
    expect(await screen.findByText(/The class “Harbour Law 9” is made/)).toBeTruthy()
    await userEvent.click(press)
    expect((await screen.findByRole('alert')).textContent).toContain('This cannot be scheduled')
    expect(asked.filter((one) => one.path === '/api/classes')).toHaveLength(1)
  })

  it('takes no year from a title that says none', () => {
    expect(guess('Choir')).toEqual({ subject: 'Choir', year: undefined })
    expect(guess('Weather Lab 14')).toEqual({ subject: 'Weather Lab 14', year: undefined })
    expect(guess('Signal Mathematics 10b')).toEqual({ subject: 'Signal Mathematics', year: 10 })
  })
})

describe('joining', () => {
  const JOINING: JoiningPage = {
    link: 'http://school.example/join/aaaaaaaaaaaaaaaa',
    staffLink: 'http://school.example/join/bbbb',
    word: 'calm-otter-21',
    bits: 22,
    shown: true,
    shownMinutes: 30,
    shownBound: false,
    renewal: 'The link stays the same for the whole series.',
    forPupils: { text: 'Tidal Navigation 8\nJoin word: calm-otter-21\n', html: '<p>short</p>' },
    inFull: { text: 'Tidal Navigation 8\nRecording: not recorded\n', html: '<p>full</p>' },
  }
  const WORD: WordCheck = { word: 'calm-otter-21', bits: 22, wantedBits: 18, neighbours: [] }
  const PAGE: ClassPage = {
    id: 'c',
    title: 'Tidal Navigation 8',
    year: 8,
    subject: 'Harbour Law',
    mine: true,
    leading: true,
    monitors: [],
    adults: [],
    pupils: [],
    lessons: [],
  }
  const answers = {
    'GET /api/classes/c/joining?language=en': JOINING,
    'GET /api/classes/c/word': WORD,
    'GET /api/classes/c/feed': { address: 'http://school.example/feeds/x.ics' },
    'GET /api/classes/c/word/suggestions': [{ ...WORD, word: 'brisk-gull-40' }],
  }

  it('has a short note for pupils and a full one, copied as text and as rich text', async () => {
    serve(answers)
    const written: unknown[] = []
    vi.stubGlobal(
      'ClipboardItem',
      class {
        constructor(readonly parts: Record<string, Blob>) {}
      },
    )
    const clipboard = {
      writeText: (text: string) => Promise.resolve(written.push(text)),
      write: (all: unknown[]) => Promise.resolve(written.push(...all)),
    }
    Object.defineProperty(navigator, 'clipboard', { value: clipboard, configurable: true })
    show(<Joining page={PAGE} />)

    expect(await screen.findByText(/Join word: calm-otter-21/)).toBeTruthy()
    expect(screen.getByRole('img', { name: 'QR code of the link of Tidal Navigation 8' })).toBeTruthy()
    screen.getByRole('button', { name: 'Copy as text' }).click()
    screen.getByRole('button', { name: 'For parents and visitors' }).click()
    expect(await screen.findByText(/Recording: not recorded/)).toBeTruthy()
    screen.getByRole('button', { name: 'Copy as rich text' }).click()
    await waitFor(() => expect(written).toHaveLength(2))
    expect(written[0]).toBe(JOINING.forPupils.text)
    expect(Object.keys((written[1] as { parts: object }).parts)).toEqual(['text/plain', 'text/html'])
  })

  it('has a note in each language, to be copied like the others', async () => {
    const german = { ...JOINING, forPupils: { text: 'Tidal Navigation 8\nKennwort: calm-otter-21\n', html: '<p>kurz</p>' } }
    serve({ ...answers, 'GET /api/classes/c/joining?language=de': german })
    show(<Joining page={PAGE} />)
    await userEvent.selectOptions(await screen.findByRole('combobox', { name: 'Language of the note' }), 'Deutsch')
    expect((await screen.findByText(/Kennwort: calm-otter-21/)).lang).toBe('de')
  })

  it('renews only after asking, and hides the link from pupils', async () => {
    const asked = serve({
      ...answers,
      'POST /api/classes/c/link/renew': PAGE,
      'PUT /api/classes/c/link/shown?language=en': { ...JOINING, shown: false },
    })
    show(<Joining page={PAGE} />)

    await userEvent.click(await screen.findByRole('button', { name: /Renew\s+the link for pupils/ }))
    expect(await screen.findByText(/who comes with it is told so, kindly/)).toBeTruthy()
    expect(asked.some((one) => one.method === 'POST')).toBe(false)
    await userEvent.click(screen.getByRole('button', { name: 'Renew it' }))
    await waitFor(() => expect(asked.some((one) => one.path.endsWith('/link/renew'))).toBe(true))
    await userEvent.click(await screen.findByRole('button', { name: 'Hide the link from pupils' }))
    expect(await screen.findByText(/hidden from pupils/)).toBeTruthy()
  })

  it('shows what is wrong with a word before it can be taken', async () => {
    const weak = {
      word: 'calm-odder-21',
      bits: 22,
      wantedBits: 18,
      neighbours: [{ ofClass: 'Harbour Law', word: 'calm-adder-21', letters: 1, soundsAlike: false }],
      fault: 'This word is too near to that of another class',
    }
    const asked = serve({
      ...answers,
      'GET /api/classes/c/word?of=calm-odder-21': weak,
      'GET /api/classes/c/word?of=brisk-gull-40': { ...WORD, word: 'brisk-gull-40' },
      'PUT /api/classes/c/word': WORD,
    })
    show(<JoinWord path="/api/classes/c" mine onChanged={() => {}} />)

    await userEvent.click(await screen.findByRole('button', { name: 'Choose another word…' }))
    await userEvent.click(screen.getByLabelText('Another join word'))
    await userEvent.paste('calm-odder-21')
    expect(await screen.findByText(/Nearest: calm-adder-21 \(Harbour Law, 1 letters apart\)/)).toBeTruthy()
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take this word' }).disabled).toBe(true)
    await userEvent.click(await screen.findByRole('button', { name: 'brisk-gull-40' }))
    await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take this word' }).disabled).toBe(false))
    await userEvent.click(screen.getByRole('button', { name: 'Take this word' }))
    await waitFor(() => expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ word: 'brisk-gull-40' }))
  })
})

describe('the subject of a class', () => {
  it('is shown, and changed by a few words', async () => {
    const page: ClassPage = {
      id: 'c',
      title: 'Knotwork',
      year: 8,
      subject: '',
      mine: true,
      leading: true,
      monitors: [],
      adults: [],
      pupils: [],
      lessons: [],
    }
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/adults': [],
      'GET /api/classes/c': page,
      'PUT /api/classes/c/subject': { ...page, subject: 'Rope craft' },
    })
    show(<ClassScreen />, '/classes/c', '/classes/:id')

    await userEvent.click(await screen.findByRole('button', { name: 'Change the subject…' }))
    await userEvent.type(await screen.findByLabelText('Subject'), 'Rope craft')
    await userEvent.click(screen.getByRole('button', { name: 'Keep the subject' }))
    expect(await screen.findByText(/Rope craft/)).toBeTruthy()
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ subject: 'Rope craft' })
  })
})

describe('the adults of a class', () => {
  const page = (adults: ClassPage['adults']): ClassPage => ({
    id: 'c',
    title: 'Knotwork',
    year: 8,
    subject: 'Harbour Law',
    mine: true,
    leading: true,
    monitors: [],
    adults,
    pupils: [],
    lessons: [],
  })

  it('lets others help, lead or go, and never removes who leads', async () => {
    const asked = serve({
      'GET /api/adults': [
        { id: 'orla', name: 'Orla Venn' },
        { id: 'tam', name: 'Tam Birket' },
        { id: 'idris', name: 'Idris Fallow' },
      ],
      'PUT /api/classes/c/adults/idris': page([]),
      'POST /api/classes/c/adults/tam/lead': page([]),
      'DELETE /api/classes/c/adults/tam': page([]),
    })
    show(
      <Adults
        page={page([
          { id: 'orla', name: 'Orla Venn', role: 'LEAD_ADULT' },
          { id: 'tam', name: 'Tam Birket', role: 'SECOND_ADULT' },
        ])}
      />,
    )

    expect(screen.queryByRole('button', { name: /Remove\s+Orla Venn/ })).toBeNull()
    await userEvent.selectOptions(await screen.findByLabelText('Another adult'), await screen.findByText('Idris Fallow'))
    await userEvent.click(screen.getByRole('button', { name: 'Add as second adult' }))
    await userEvent.click(screen.getByRole('button', { name: /Remove\s+Tam Birket/ }))
    await userEvent.click(screen.getByRole('button', { name: /Lead from now on.*Tam Birket/ }))
    await userEvent.type(await screen.findByLabelText('Why'), 'Leave until summer')
    await userEvent.click(screen.getByRole('button', { name: 'Hand the class over' }))
    await waitFor(() => expect(asked.filter((one) => one.method !== 'GET')).toHaveLength(3))
    expect(asked.at(-1)?.body).toEqual({ why: 'Leave until summer' })
  })
})
