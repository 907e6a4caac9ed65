import { screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { Corridor, CorridorLine } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import CorridorScreen from './CorridorScreen'

function line(title: string, more: Partial<CorridorLine> = {}): CorridorLine {
  return {
    lesson: title,
    title,
    starts: '2026-09-14T10:00:00Z',
    ends: '2026-09-14T10:50:00Z',
    phase: 'OPEN',
    adults: ['Orla Venn'],
    adultsIn: ['Orla Venn'],
    present: 26,
    expected: 30,
    waiting: 0,
    door: 'knock',
    alerts: [],
    ...more,
  }
}

function corridor(lessons: CorridorLine[]): Corridor {
  return { now: '2026-09-14T10:17:00Z', live: lessons.length, calm: 0, pupils: 26, lessons }
}

const ALONE = {
  kind: 'NO_ADULT',
  since: '2026-09-14T10:15:00Z',
  text: 'No adult in the room.',
  grave: true,
  mine: false,
} as const

describe('the corridor', () => {
  it('says what is wrong in words, how many need someone, and leads into the room without an adult', async () => {
    serve({
      'GET /api/standing': standingOf('LEAD', 'Maren Oddlund'),
      'GET /api/corridor': corridor([line('Knotwork', { adultsIn: [], alerts: [ALONE] }), line('Tidal')]),
    })
    show(<CorridorScreen />)

    expect((await screen.findByText('needs someone now')).textContent).toContain('1')
    const rows = screen.getAllByRole('row').slice(1)
    expect(within(rows[0]!).getByRole('link', { name: 'Step in' }).getAttribute('href')).toBe('/lessons/Knotwork/desk')
    expect(within(rows[1]!).getByText('all is well')).toBeTruthy()
    expect(within(rows[1]!).getByRole('link', { name: 'Look in' })).toBeTruthy()
  })

  it('lets one person see to it, and is quiet then', async () => {
    serve({
      'GET /api/standing': standingOf('LEAD', 'Maren Oddlund'),
      'GET /api/corridor': corridor([line('Knotwork', { adultsIn: [], alerts: [ALONE] })]),
      'POST /api/corridor/Knotwork/NO_ADULT/take-over': corridor([
        line('Knotwork', { adultsIn: [], alerts: [{ ...ALONE, takenBy: 'Maren Oddlund', mine: true }] }),
      ]),
    })
    show(<CorridorScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'I see to it' }))

    expect(await screen.findByText(/You see to it/)).toBeTruthy()
    expect(screen.getByText('need someone now').textContent).toContain('0')
  })

  it('says when the next lesson starts where none is live', async () => {
    serve({
      'GET /api/standing': standingOf('LEAD', 'Maren Oddlund'),
      'GET /api/corridor': { ...corridor([]), next: '2026-09-14T10:30:00Z' },
    })
    show(<CorridorScreen />)

    expect(await screen.findByText('No lesson is live; the next one starts at 10:30.')).toBeTruthy()
  })
})
