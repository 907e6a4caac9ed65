import { fireEvent, screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { WeakSpot } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import InspectionScreen from './InspectionScreen'

function spot(key: string, more: Partial<WeakSpot> = {}): WeakSpot {
  return {
    key,
    kind: 'IN_A_HOLIDAY',
    severity: 'WEAK_SPOT',
    heading: 'In a holiday',
    classId: 'tidal',
    title: `Tidal Navigation ${key}`,
    lesson: key,
    starts: '2026-09-24T09:00:00Z',
    ends: '2026-09-24T09:50:00Z',
    sentence: 'There is no school on this day.',
    why: 'Pupils may wait at a door that nobody opens.',
    mend: 'Cancel this lesson',
    ...more,
  }
}

const danger = spot('9', {
  kind: 'ADULT_TWICE',
  severity: 'DANGER',
  heading: 'An adult in two lessons at once',
  otherTitle: 'Weather Lab 8',
  otherStarts: '2026-09-24T09:40:00Z',
  otherEnds: '2026-09-24T10:30:00Z',
  mend: undefined,
})

function served(position: 'LEAD' | 'TEACHER', more: Record<string, unknown> = {}) {
  const asked = serve({
    'GET /api/standing': standingOf(position),
    'GET /api/inspection': { lessons: 340, open: [danger, spot('7'), spot('8')], accepted: [], trend: [] },
    ...more,
  })
  show(<InspectionScreen />)
  return asked
}

describe('the inspection', () => {
  it('shows the gravest first, with its evidence, why it matters, and that it needs a decision', async () => {
    served('TEACHER')
    const shown = await screen.findByRole('region', { name: 'Weak spot' })
    expect(within(shown).getByText('An adult in two lessons at once')).toBeTruthy()
    expect(within(shown).getByTitle('Weather Lab 8, 09:40 to 10:30')).toBeTruthy()
    expect(shown.textContent).toContain('This one needs a decision')
    expect(within(shown).queryByRole('button', { name: 'Accept it…' })).toBeNull()
    expect(screen.getAllByRole('heading', { level: 2 })[0]?.textContent).toBe('An adult in two lessons at once')
  })

  it('mends all of a kind only after the preview, and exactly what the preview showed', async () => {
    const asked = served('LEAD', {
      'POST /api/inspection/preview': {
        fingerprint: 'f1',
        mends: ['Cancel this lesson', 'Cancel this lesson'],
        gone: [spot('7'), spot('8')],
        appearing: [spot('5', { heading: 'No more lessons planned', starts: undefined, ends: undefined })],
      },
      'POST /api/inspection/mend': { change: 'c1', mends: 2 },
      'POST /api/timetable/changes/c1/undo': {},
    })
    fireEvent.click(await screen.findByRole('button', { name: 'Mend all 2' }))
    expect(await screen.findByText('2 weak spots would be gone')).toBeTruthy()
    expect(screen.getByText('1 would appear')).toBeTruthy()
    expect(screen.getByText(/Cancel this lesson \(2 times\)/)).toBeTruthy()
    expect(asked.some((one) => one.path === '/api/inspection/mend')).toBe(false)
    fireEvent.click(screen.getByRole('button', { name: 'Carry it out' }))
    expect(await screen.findByText('2 mends carried out.')).toBeTruthy()
    expect(asked.find((one) => one.path === '/api/inspection/mend')?.body).toEqual({ keys: ['7', '8'], fingerprint: 'f1' })
    fireEvent.click(screen.getByRole('button', { name: 'Undo' }))
    await screen.findByRole('button', { name: 'Mend all 2' })
  })

  it('lets the lead answer for a weak spot with a reason and an end', async () => {
    const asked = served('LEAD', { 'POST /api/inspection/accept': {} })
    fireEvent.click(await screen.findByRole('button', { name: 'Accept it…' }))
    fireEvent.change(screen.getByLabelText('Why it may stay'), { target: { value: 'Agreed' } })
    fireEvent.change(screen.getByLabelText('Until'), { target: { value: '2026-09-30' } })
    fireEvent.click(screen.getByRole('button', { name: 'I answer for it' }))
    await screen.findByRole('button', { name: 'Accept it…' })
    expect(asked.find((one) => one.path === '/api/inspection/accept')?.body).toEqual({
      key: '9',
      why: 'Agreed',
      until: '2026-09-30',
    })
  })

  it('says so when all is well', async () => {
    served('LEAD', { 'GET /api/inspection': { lessons: 12, open: [], accepted: [], trend: [] } })
    expect(await screen.findByText('No weak spot is open. What is planned keeps the rules.')).toBeTruthy()
  })
})
