import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { LessonBox, TimetablePage, TimetablePreview } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import { Exchange } from './parts/Exchange'
import { axis, monday, plusDays, rows } from './rows'
import TimetableScreen from './TimetableScreen'

const WEEK = '2126-09-16' // a Monday, far ahead: nothing in it has begun

function box(title: string, day: number, clock: string, more: Partial<LessonBox> = {}): LessonBox {
  const date = plusDays(WEEK, day)
  const starts = `${date}T${clock}:00.000Z`
  return {
    id: `${title} ${day}`,
    classId: title,
    title,
    year: 8,
    date,
    minute: Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3)),
    minutes: 50,
    starts,
    ends: new Date(Date.parse(starts) + 50 * 60_000).toISOString(),
    state: 'PLANNED',
    adults: [{ id: 'orla', name: 'Orla Venn' }],
    covered: false,
    mine: true,
    pupils: 30,
    findings: [],
    ...more,
  }
}

function page(lessons: LessonBox[]): TimetablePage {
  return {
    from: WEEK,
    days: [0, 1, 2, 3, 4, 5, 6].map((day) => ({ date: plusDays(WEEK, day), school: day < 5, free: day === 3 ? 'Net day' : '' })),
    lessons,
    changes: [],
  }
}

function served(position: 'LEAD' | 'TEACHER', lessons: LessonBox[], more: Record<string, unknown> = {}) {
  const asked = serve({
    'GET /api/standing': standingOf(position),
    [`GET /api/timetable?from=${WEEK}&days=7`]: page(lessons),
    ...more,
  })
  show(<TimetableScreen />, `/timetable?from=${WEEK}`)
  return asked
}

describe('the timetable', () => {
  // jsdom lays nothing out; the grid asks how wide it may be.
  beforeEach(() => vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(1000))
  afterEach(() => vi.restoreAllMocks())

  it('says all of a lesson in words: when, with whom, cover and weak spots', async () => {
    served('TEACHER', [
      box('Tidal Navigation 8', 1, '09:05', { covered: true, severity: 'DANGER', findings: ['Nobody is there.'], adults: [] }),
    ])
    expect(
      await screen.findByRole('button', {
        name: 'Tidal Navigation 8, 09:05 to 09:55; planned; with nobody (cover); Nobody is there.',
      }),
    ).toBeTruthy()
  })

  it('moves a lesson by keyboard, asks for one or all following, and tells what the move brings', async () => {
    const asked = served('TEACHER', [box('Weather Lab 8', 1, '09:05')], {
      'POST /api/timetable/lessons/Weather Lab 8 1/change': {
        change: 'c1',
        what: 'Weather Lab 8 moved',
        lessons: 3,
        appearing: ['Orla Venn is also in charge of “Seabirds”.'],
      },
      'POST /api/timetable/changes/c1/undo': {},
    })
    const bar = await screen.findByRole('button', { name: /^Weather Lab 8, 09:05/ })
    fireEvent.keyDown(bar, { key: 'ArrowRight', shiftKey: true })
    fireEvent.keyDown(bar, { key: 'ArrowDown', shiftKey: true })
    const form = await screen.findByRole('form', { name: 'Move or resize' })
    expect(within(form).getByLabelText<HTMLInputElement>('Day').value).toBe(plusDays(WEEK, 2))
    expect(within(form).getByLabelText<HTMLInputElement>('Begins').value).toBe('09:10')
    const all = within(form).getByRole<HTMLButtonElement>('button', { name: 'This and all following' })
    expect(all.disabled).toBe(true)
    fireEvent.change(within(form).getByLabelText('Why'), { target: { value: 'Tides' } })
    fireEvent.click(all)
    expect(await screen.findByText('Orla Venn is also in charge of “Seabirds”.')).toBeTruthy()
    expect(asked.find((one) => one.path.endsWith('/change'))?.body).toEqual({
      from: `${plusDays(WEEK, 2)}T09:10`,
      minutes: 50,
      following: true,
      why: 'Tides',
    })
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }))
    await vi.waitFor(() => expect(asked.some((one) => one.path.endsWith('/c1/undo'))).toBe(true))
  })

  it('keeps what was typed when a change is refused', async () => {
    served('TEACHER', [box('Weather Lab 8', 1, '09:05')], {
      'POST /api/timetable/lessons/Weather Lab 8 1/change': {
        problem: { title: 'The plan could not be changed', status: 409, detail: 'Another lesson.', whatToDo: '', wrong: [] },
      },
    })
    fireEvent.click(await screen.findByRole('button', { name: /^Weather Lab 8, 09:05/ }))
    fireEvent.click(screen.getByRole('button', { name: 'Cancel it' }))
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'Gale' } })
    fireEvent.click(screen.getByRole('button', { name: 'Cancel only this lesson' }))
    expect((await screen.findByRole('alert')).textContent).toContain('Another lesson.')
    expect(screen.getByLabelText<HTMLInputElement>('Why').value).toBe('Gale')
  })

  it('arranges cover for a range with the adult of the class named', async () => {
    const asked = served('LEAD', [box('Weather Lab 8', 1, '09:05', { mine: false })], {
      'GET /api/adults': [
        { id: 'orla', name: 'Orla Venn' },
        { id: 'tam', name: 'Tam Birket' },
      ],
      'GET /api/classes/Weather Lab 8': { id: 'w', title: 'Weather Lab 8', adults: [], pupils: [], lessons: [] },
      'POST /api/timetable/lessons/Weather Lab 8 1/cover': { change: 'c', what: 'Cover', lessons: 1, appearing: [] },
    })
    fireEvent.click(await screen.findByRole('button', { name: /^Weather Lab 8, 09:05/ }))
    fireEvent.click(screen.getByRole('button', { name: 'Cover' }))
    await screen.findByRole('option', { name: 'Tam Birket' })
    expect(within(screen.getByLabelText('Who comes')).queryByRole('option', { name: 'Orla Venn' })).toBeNull()
    fireEvent.change(screen.getByLabelText('Who comes'), { target: { value: 'tam' } })
    fireEvent.change(screen.getByLabelText('Why'), { target: { value: 'Dentist' } })
    fireEvent.click(screen.getByRole('button', { name: 'Arrange cover' }))
    expect(await screen.findByText('It brings no new weak spot.')).toBeTruthy()
    expect(asked.find((one) => one.path.endsWith('/cover'))?.body).toEqual({ adult: 'tam', insteadOf: 'orla', why: 'Dentist' })
  })

  it('puts lessons at once in lanes, two adults in two lines, and nobody in a line of its own', () => {
    const both = [
      { id: 'orla', name: 'Orla Venn' },
      { id: 'tam', name: 'Tam Birket' },
    ]
    const lessons = [
      box('A', 0, '09:00', { adults: both }),
      box('B', 0, '09:30'),
      box('C', 0, '09:50'),
      box('D', 1, '08:10', { adults: [] }),
    ]
    const found = rows(lessons, 'adult', [], (day) => day)
    expect(found.map((row) => [row.label, row.lanes])).toEqual([
      ['Nobody', 1],
      ['Orla Venn', 2],
      ['Tam Birket', 1],
    ])
    expect(found[1]?.lessons.map(({ box: one, lane }) => [one.title, lane])).toEqual([
      ['A', 0],
      ['B', 1],
      ['C', 0],
    ])
    expect(axis(lessons)).toEqual({ from: 480, until: 660 })
    expect(monday('2026-11-29')).toBe('2026-11-23')
  })
})

describe('making lessons', () => {
  beforeEach(() => vi.spyOn(HTMLElement.prototype, 'clientWidth', 'get').mockReturnValue(1000))
  afterEach(() => vi.restoreAllMocks())

  it("begins with one key, asks whose and when, and is the teacher's", async () => {
    const asked = served('TEACHER', [], {
      'GET /api/classes': [{ id: 'knots', title: 'Knotwork 8' }],
      'POST /api/classes/knots/series': { change: 'ch', what: '', added: 1, left: 0, holidays: 0, appearing: [] },
    })
    await screen.findByText(/Nothing is planned/)
    fireEvent.keyDown(document.body, { key: 'n' })
    await screen.findByText('Knotwork 8')
    fireEvent.change(screen.getByLabelText('Class'), { target: { value: 'knots' } })
    fireEvent.click(await screen.findByRole('button', { name: 'Mon' }))
    fireEvent.change(screen.getByLabelText('First date'), { target: { value: WEEK } })
    fireEvent.change(screen.getByLabelText('Last date'), { target: { value: WEEK } })
    fireEvent.change(screen.getByLabelText('Every … weeks'), { target: { value: '2' } })
    fireEvent.click(screen.getByRole('button', { name: 'Schedule' }))
    expect(await screen.findByText(/1 lesson is planned\./)).toBeTruthy()
    expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ days: ['MONDAY'], everyWeeks: 2 })
  })
})

describe('bringing in a timetable', () => {
  const preview = (more: Partial<TimetablePreview> = {}): TimetablePreview => ({
    fingerprint: 'f1',
    classes: [{ classId: 'c', title: 'Weather Lab', added: 3, changed: 1, missing: 2, lines: ['Monday, 10:15 to 11:05 is new'] }],
    unknown: [{ title: 'Tidal Nav', lessons: 12 }],
    notYours: 4,
    same: 7,
    past: 1,
    wrong: [
      { line: 40, message: 'How it repeats is not understood', taken: false },
      { line: 9, message: 'It repeats without an end', taken: true },
    ],
    notTaken: 5,
    wrongInAll: 6,
    ...more,
  })
  const file = new File(['BEGIN:VCALENDAR'], 'autumn.ics', { type: 'text/calendar' })

  it('shows what it would change, asks which class is meant, and takes exactly that', async () => {
    const meant = encodeURIComponent('{"Tidal Nav":"tides"}')
    const known = preview({ unknown: [], fingerprint: 'f2' })
    const asked = serve({
      'POST /api/timetable/import/preview?meant=%7B%7D': preview(),
      [`POST /api/timetable/import/preview?meant=${meant}`]: known,
      'GET /api/classes': [{ id: 'tides', title: 'Tidal Navigation 8' }],
      'GET /api/feed': { address: 'http://school.example/feeds/x.ics' },
      [`POST /api/timetable/import?${new URLSearchParams({ meant: '{"Tidal Nav":"tides"}', callOff: 'true', fingerprint: 'f2', name: 'autumn.ics' })}`]:
        {
          change: 'x',
          added: 3,
          changed: 1,
          calledOff: 2,
        },
    })
    const taken = vi.fn()
    show(<Exchange me={standingOf('TEACHER').me} from={WEEK} onTaken={taken} />)

    fireEvent.change(screen.getByLabelText('Timetable file'), { target: { files: [file] } })
    const region = await screen.findByRole('region', { name: 'What the file would change' })
    expect(region.textContent).toMatch(
      /Weather Lab: 3 new, 1 changed, 2 in the file no more.*7 are as they are.*4 changes are of classes of others.*5 things are not taken.*Line 40.*and 4 more.*Taken, but know this.*Line 9/,
    )
    fireEvent.change(await screen.findByLabelText('Class meant by Tidal Nav'), { target: { value: 'tides' } })
    await waitFor(() => expect(screen.queryByLabelText('Class meant by Tidal Nav')).toBeNull())
    fireEvent.click(await screen.findByLabelText(/Cancel the 2 lessons/))
    fireEvent.click(screen.getByRole('button', { name: 'Take this timetable' }))

    await waitFor(() =>
      expect(taken).toHaveBeenCalledWith(
        expect.objectContaining({ what: 'Timetable taken: 3 new, 1 changed, 2 cancelled', lessons: 6 }),
      ),
    )
    expect(asked.filter((one) => one.path.includes('/import?'))).toHaveLength(1)
    expect(screen.getByRole('link', { name: 'This week' }).getAttribute('href')).toContain(`from=${WEEK}&until=`)
  })
})
