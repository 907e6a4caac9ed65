import { screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { KeepingPage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import KeepingScreen from './KeepingScreen'

const sum = (lessons: number, departed: number, times = departed) => ({
  lessons,
  departed,
  times,
  minutes: 5 * times,
  aloneMinutes: 4,
  lessonsAlone: 1,
})

const page: KeepingPage = {
  from: '2026-08-17',
  until: '2026-09-14',
  all: sum(6, 3, 4),
  habits: [{ id: 'chat.class', name: 'Class chat', sum: sum(6, 3, 4) }],
  rules: [{ id: 'chat.class', name: 'Class chat', sum: sum(6, 3, 4) }],
  adults: [{ id: 'orla', name: 'Orla Venn', sum: sum(6, 3, 4) }],
  classes: [{ id: 'c', name: 'Harbour Law 9', sum: sum(6, 3, 4) }],
  lessons: [
    {
      lesson: 'l1',
      title: 'Harbour Law 9',
      starts: '2026-09-14T08:05:00Z',
      aloneMinutes: 4,
      departures: [
        { kind: 'LIVE_ORDER', title: 'Class chat', value: 'closed', by: 'Orla Venn', minutes: 12 },
        { kind: 'PASS', title: 'Share a screen', of: 'Ines Carrow', by: 'Orla Venn', minutes: 3 },
      ],
    },
  ],
  driftedInAll: 1,
}

describe('how lessons kept to their plan', () => {
  it('says how many did, what is a habit, and leads from each sum to its lessons', async () => {
    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/keeping?from=&until=&rule=&ofClass=': page })
    show(<KeepingScreen />, '/keeping')

    expect(await screen.findByText('3 of 6')).toBeTruthy()
    expect(within(screen.getByRole('note')).getByText(/Class chat \(3 of 6\)/)).toBeTruthy()
    const lesson = within(screen.getByRole('main')).getByRole('listitem')
    expect(lesson.textContent).toMatch(/4 min without an adult.*Class chat set to closed, by Orla Venn, for 12 min/)
    expect(lesson.textContent).toMatch(/Share a screen lent to Ines Carrow/)
    expect(within(lesson).getByRole('link').getAttribute('href')).toBe('/lessons/l1/replay')
    expect(screen.getByRole('link', { name: 'Class chat' }).getAttribute('href')).toBe(
      '/keeping?from=2026-08-17&until=2026-09-14&rule=chat.class',
    )
  })

  it('says so when nothing was held', async () => {
    const nothing = { ...page, all: sum(0, 0), habits: [], rules: [], adults: [], classes: [], lessons: [], driftedInAll: 0 }
    serve({ 'GET /api/standing': standingOf('LEAD'), 'GET /api/keeping?from=&until=&rule=&ofClass=': nothing })
    show(<KeepingScreen />, '/keeping')
    expect(await screen.findByText('No lesson was held between these days.')).toBeTruthy()
  })
})
