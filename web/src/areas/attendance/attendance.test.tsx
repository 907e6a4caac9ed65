import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { AttentionPage, ClassGrid, LessonsBehind, PupilPage, Rate, RegisterSettings } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import AttendanceScreen from './AttendanceScreen'
import ClassGridScreen from './ClassGridScreen'
import LessonsBehindScreen from './LessonsBehindScreen'
import PupilScreen from './PupilScreen'
import RegisterSettingsScreen from './RegisterSettingsScreen'

const rate = (percent: number, expected: number): Rate => ({
  rate: percent,
  expected,
  attended: Math.round((expected * percent) / 100),
  absent: 0,
  late: 1,
  early: 0,
  partly: 0,
  excused: 0,
  small: expected < 8,
})

const PERIOD = { from: '2026-07-20', until: '2026-09-14' }

describe('attendance over time', () => {
  it('shows a class as a grid in which each box is told apart by its name', async () => {
    const grid: ClassGrid = {
      classId: 'c',
      title: 'Tidal Navigation 8',
      ...PERIOD,
      lessons: [
        { id: 'l1', starts: '2026-09-07T08:05:00Z', minutes: 50, calledOff: false, rate: rate(100, 2) },
        { id: 'l2', starts: '2026-09-14T08:05:00Z', minutes: 50, calledOff: false, rate: rate(50, 2) },
        { id: 'l3', starts: '2026-09-15T08:05:00Z', minutes: 50, calledOff: true, rate: rate(0, 0) },
      ],
      pupils: [
        {
          person: 'ines',
          name: 'Ines Carrow',
          rate: rate(50, 2),
          cells: [
            { mark: 'LATE', code: 'L', lateMinutes: 7, minutes: 40, corrected: false },
            { mark: 'ABSENT', code: '', lateMinutes: 0, minutes: 0, corrected: true },
            { mark: 'NOT_EXPECTED', code: '', lateMinutes: 0, minutes: 0, corrected: false, why: 'CALLED_OFF' },
          ],
        },
      ],
      whole: rate(75, 4),
    }
    serve({ 'GET /api/standing': standingOf('TEACHER'), 'GET /api/classes/c/attendance?from=&until=': grid })
    show(<ClassGridScreen />, '/classes/c/attendance', '/classes/:id/attendance')

    const ines = await screen.findByRole('row', { name: /Ines Carrow/ })
    expect(within(ines).getByRole('img', { name: 'late' })).toBeTruthy()
    expect(within(ines).getByRole('img', { name: 'absent' })).toBeTruthy()
    expect(within(ines).getByTitle('absent, 0 min there, corrected')).toBeTruthy()
    expect(within(ines).getByTitle('L: late by 7 min, 40 min there')).toBeTruthy()
    expect(within(ines).getByTitle('not expected: the lesson was called off')).toBeTruthy()
    expect(within(ines).getByText('50 %')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'As PDF' }).getAttribute('href')).toBe('/api/classes/c/attendance.pdf?from=&until=')
    expect(screen.getByRole('link', { name: 'Export as CSV' }).getAttribute('href')).toBe(
      '/api/classes/c/attendance.csv?from=&until=',
    )
  })

  it('shows a pupil with the reasons first, and says where a rate says little', async () => {
    const pupil: PupilPage = {
      person: 'ines',
      name: 'Ines Carrow',
      year: 8,
      ...PERIOD,
      whole: rate(60, 5),
      classes: [{ id: 'c', name: 'Tidal Navigation 8', rate: rate(60, 5) }],
      subjects: [],
      weeks: [],
      weekdays: [],
      hours: [{ id: '10', name: '10:00 to 10:59', rate: rate(60, 5) }],
      adults: [],
      lessons: [
        {
          lesson: 'l1',
          title: 'Tidal Navigation 8',
          starts: '2026-09-07T08:05:00Z',
          mark: 'LATE',
          code: 'L',
          lateMinutes: 7,
          minutes: 40,
          corrected: false,
        },
      ],
      reasons: ['Absent from the last 3 lessons'],
    }
    serve({ 'GET /api/standing': standingOf('TEACHER'), 'GET /api/pupils/ines/attendance?from=&until=': pupil })
    show(<PupilScreen />, '/pupils/ines/attendance', '/pupils/:id/attendance')

    expect(await screen.findByText('Absent from the last 3 lessons.')).toBeTruthy()
    expect(screen.getAllByText(/3 of 5 times, 1 late, so few say little/).length).toBeGreaterThan(0)
    expect(screen.getByText(/late by 7 min/)).toBeTruthy()
    expect(screen.getByRole('row', { name: /10:00 to 10:59/ })).toBeTruthy()
  })

  it('names who needs attention and why, and says so when it is nobody', async () => {
    const page: AttentionPage = {
      lookedAt: 186,
      pupils: [
        {
          person: 'jory',
          name: 'Jory Pell',
          year: 8,
          reasons: ['Absent from the last 4 lessons', 'Late 5 times in four weeks'],
          lately: rate(70, 20),
          before: rate(95, 20),
        },
      ],
      limits: { inARow: 4, belowPercent: 75, dropPoints: 20, lateTimes: 5 },
      classes: [],
      subjects: [{ id: 'Harbour Law', name: 'Harbour Law', rate: rate(90, 20) }],
      weekdays: [],
      hours: [],
      adults: [],
    }
    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/attendance': page })
    const shown = show(<AttendanceScreen />)
    const jory = (await screen.findByRole('link', { name: 'Jory Pell' })).closest('li')!
    expect(screen.getByText(/Absent from 4 lessons in a row, there in less than 75 %/)).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Harbour Law' }).getAttribute('href')).toBe(
      '/attendance/lessons?by=subject&of=Harbour+Law',
    )
    expect(jory.textContent).toMatch(/Absent from the last 4 lessons.*Late 5 times.*70 %.*before: 95 %/)
    shown.unmount()

    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/attendance': { ...page, pupils: [] } })
    show(<AttendanceScreen />)
    expect(await screen.findByText('Nobody. Everybody comes as usual.')).toBeTruthy()
  })

  it('opens a rate down to the registers it comes from', async () => {
    const behind: LessonsBehind = {
      title: 'Monday',
      whole: rate(75, 4),
      lessons: [
        { lesson: 'l1', title: 'Tidal Navigation 8', starts: '2026-09-07T08:05:00Z', adult: 'Orla Venn', rate: rate(75, 4) },
      ],
    }
    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/attendance/lessons?by=weekday&of=1': behind })
    show(<LessonsBehindScreen />, '/attendance/lessons?by=weekday&of=1', '/attendance/lessons')

    expect((await screen.findByRole('link', { name: 'Tidal Navigation 8' })).getAttribute('href')).toBe('/lessons/l1/register')
  })

  it('lets the lead keep codes and limits as a whole, and says what is wrong with them', async () => {
    const known: RegisterSettings = {
      codes: [{ code: 'V', meaning: 'voyage with the school', mark: 'EXCUSED' }],
      limits: { inARow: 3, belowPercent: 80, dropPoints: 15, lateTimes: 4 },
    }
    const next: RegisterSettings = {
      codes: [...known.codes, { code: 'S', meaning: 'sick', mark: 'EXCUSED' }],
      limits: { ...known.limits, belowPercent: 85 },
    }
    const asked = serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/register-settings': known,
      'PUT /api/register-settings': next,
    })
    show(<RegisterSettingsScreen />)
    fireEvent.click(await screen.findByRole('button', { name: 'Another code' }))
    const added = screen.getByRole('group', { name: 'Code 2' })
    fireEvent.change(within(added).getByRole('textbox', { name: 'Code' }), { target: { value: 'S' } })
    fireEvent.change(within(added).getByRole('textbox', { name: 'Meaning' }), { target: { value: 'sick' } })
    fireEvent.change(screen.getByRole('spinbutton', { name: 'There in less than' }), { target: { value: '85' } })
    fireEvent.click(screen.getByRole('button', { name: 'Keep codes and limits' }))

    expect(await screen.findByDisplayValue('sick')).toBeTruthy()
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual(next)
  })
})
