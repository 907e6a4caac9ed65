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
  it('takes holidays and terms from the whole days of a calendar file, one by one', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/calendar': KNOWN,
      'POST /api/calendar/days': {
        days: [
          { name: 'Midwinter', first: '2026-12-21', last: '2027-01-03' },
          { name: 'Spring', first: '2027-01-04', last: '2027-03-26' },
        ],
        told: [{ line: 0, message: '3 entries are not for whole days, and are left out.' }],
      },
      'PUT /api/calendar': KNOWN,
    })
    show(<CalendarScreen />)

    await userEvent.upload(await screen.findByLabelText('Days of a calendar file'), new File(['x'], 'a.ics'))
    expect((await screen.findByRole('region', { name: 'What is not taken' })).textContent).toContain('3 entries')
    await userEvent.click(screen.getAllByRole('button', { name: 'A holiday' })[0]!)
    await userEvent.click(screen.getByRole('button', { name: 'A term' }))
    expect(screen.getByText('No day of it is left to choose.')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Keep this calendar' }))
    await waitFor(() =>
      expect(asked.at(-1)?.body).toMatchObject({
        terms: [{ name: 'Autumn' }, { name: 'Spring' }],
        holidays: [{ name: 'Midwinter', last: '2027-01-03' }],
      }),
    )
  })

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
