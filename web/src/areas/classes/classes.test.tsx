import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { RosterPreview } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import { RosterImport } from './RosterImport'
import { ScheduleForm } from './ScheduleForm'

const PREVIEW: RosterPreview = {
  fingerprint: 'f1',
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

describe('importing a roster', () => {
  it('shows everything it would change before it changes anything, and takes exactly that', async () => {
    const asked = serve({ 'POST /api/classes/c/roster/preview': PREVIEW, 'POST /api/classes/c/roster': PREVIEW })
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

  it('has nothing to take from a file in which nobody stands', async () => {
    const nobody = { ...PREVIEW, added: [], created: [], renamed: [], staying: 0, dropped: ['Bo Lindqvar'] }
    serve({ 'POST /api/classes/c/roster/preview': nobody })
    show(<RosterImport id="c" />)

    await userEvent.upload(screen.getByLabelText('Roster file'), file)

    expect((await screen.findByRole<HTMLButtonElement>('button', { name: 'Nothing to take' })).disabled).toBe(true)
  })
})

describe('scheduling', () => {
  it('sends the days that are pressed and tells what was planned and what was left out', async () => {
    const asked = serve({ 'POST /api/classes/c/series': { added: 5, left: 1 } })
    show(<ScheduleForm id="c" />)

    await userEvent.type(screen.getByLabelText('First date'), '2026-09-14')
    await userEvent.type(screen.getByLabelText('Last date'), '2026-10-01')
    await userEvent.click(screen.getByRole('button', { name: 'Mon' }))
    await userEvent.click(screen.getByRole('button', { name: 'Tue' }))
    await userEvent.click(screen.getByRole('button', { name: 'Tue' }))
    await userEvent.click(screen.getByRole('button', { name: 'Schedule' }))

    expect(await screen.findByText(/5 lessons are planned. 1 were left out/)).toBeTruthy()
    expect(asked[0]?.body).toEqual({ first: '2026-09-14', until: '2026-10-01', days: ['MONDAY'], start: '10:00', minutes: 50 })
  })

  it('shows each field that is wrong', async () => {
    const wrong = [{ field: 'days', message: 'Choose at least one day of the week' }]
    serve({
      'POST /api/classes/c/series': {
        problem: {
          type: '/problems/not-readable',
          title: 'This cannot be scheduled',
          status: 400,
          detail: 'Nothing was stored.',
          whatToDo: 'Mend what is marked.',
          wrong,
        },
      },
    })
    show(<ScheduleForm id="c" />)

    await userEvent.type(screen.getByLabelText('First date'), '2026-09-14')
    await userEvent.type(screen.getByLabelText('Last date'), '2026-10-01')
    await userEvent.click(screen.getByRole('button', { name: 'Schedule' }))

    expect((await screen.findByRole('alert')).textContent).toContain('Choose at least one day of the week')
  })
})
