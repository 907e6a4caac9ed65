import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { SchoolCalendar } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import CalendarScreen from './CalendarScreen'

const KNOWN: SchoolCalendar = {
  terms: [{ name: 'Autumn', first: '2026-09-01', last: '2026-12-18' }],
  holidays: [],
  days: ['MONDAY', 'TUESDAY'],
  opens: '08:00',
  closes: '16:00',
}

describe("the school's calendar", () => {
  it('keeps terms, holidays and days as the lead writes them', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/calendar': KNOWN,
      'PUT /api/calendar': { ...KNOWN, days: ['TUESDAY', 'SUNDAY'] },
    })
    show(<CalendarScreen />)

    const keep = await screen.findByRole<HTMLButtonElement>('button', { name: 'Keep this calendar' })
    expect(keep.disabled).toBe(true)
    await userEvent.click(screen.getByLabelText('Monday'))
    await userEvent.click(screen.getByLabelText('Sunday'))
    await userEvent.click(screen.getByRole('button', { name: 'Add a holiday' }))
    await userEvent.type(screen.getByLabelText('Holidays, 1: name'), 'Storm days')
    await userEvent.click(screen.getByRole('button', { name: 'Remove Autumn' }))
    await userEvent.click(keep)
    await waitFor(() =>
      expect(asked.at(-1)?.body).toMatchObject({
        terms: [],
        holidays: [{ name: 'Storm days' }],
        days: ['TUESDAY', 'SUNDAY'],
      }),
    )
  })

  it('is to be read and not to be changed by others', async () => {
    serve({ 'GET /api/standing': standingOf('TEACHER'), 'GET /api/calendar': KNOWN })
    show(<CalendarScreen />)

    expect(await screen.findByText('The safeguarding lead keeps it.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Keep this calendar' })).toBeNull()
  })
})
