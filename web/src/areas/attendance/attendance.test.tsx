import { screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { AttentionPage, ClassGrid, PupilPage, Rate } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import AttendanceScreen from './AttendanceScreen'
import ClassGridScreen from './ClassGridScreen'
import PupilScreen from './PupilScreen'

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
        { id: 'l1', starts: '2026-09-07T08:05:00Z', minutes: 50, rate: rate(100, 2) },
        { id: 'l2', starts: '2026-09-14T08:05:00Z', minutes: 50, rate: rate(50, 2) },
      ],
      pupils: [
        {
          person: 'ines',
          name: 'Ines Carrow',
          rate: rate(50, 2),
          cells: [
            { mark: 'LATE', lateMinutes: 7, minutes: 40, corrected: false },
            { mark: 'ABSENT', lateMinutes: 0, minutes: 0, corrected: true },
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
    expect(within(ines).getByText('50 %')).toBeTruthy()
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
      weeks: [],
      weekdays: [],
      lessons: [
        {
          lesson: 'l1',
          title: 'Tidal Navigation 8',
          starts: '2026-09-07T08:05:00Z',
          mark: 'LATE',
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
    expect(screen.getByText('late by 7 min')).toBeTruthy()
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
      classes: [],
      weekdays: [],
    }
    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/attendance': page })
    const shown = show(<AttendanceScreen />)
    const jory = (await screen.findByRole('link', { name: 'Jory Pell' })).closest('li')!
    expect(jory.textContent).toMatch(/Absent from the last 4 lessons.*Late 5 times.*70 %.*before: 95 %/)
    shown.unmount()

    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/attendance': { ...page, pupils: [] } })
    show(<AttendanceScreen />)
    expect(await screen.findByText('Nobody. Everybody comes as usual.')).toBeTruthy()
  })
})
