import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { ClassPage } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import { Roster } from './Roster'

function page(more: Partial<ClassPage> = {}): ClassPage {
  return {
    id: 'c',
    title: 'Knots',
    year: 8,
    subject: '',
    mine: true,
    leading: true,
    adults: [],
    pupils: [{ id: 'ines', name: 'Ines Carrow', role: 'PUPIL' }],
    monitors: [],
    lessons: [],
    ...more,
  }
}

describe('a roster', () => {
  it('takes a pupil of the school in by a part of the name, or one who is new', async () => {
    const asked = serve({
      'GET /api/classes/c/candidates?name=jo': [{ id: 'jory', name: 'Jory Pell', year: 8 }],
      'POST /api/classes/c/pupils': page(),
    })
    show(<Roster page={page()} />)

    await userEvent.type(within(screen.getByRole('region', { name: 'Add one pupil' })).getByLabelText('Name'), 'jo')
    await userEvent.click(await screen.findByRole('button', { name: 'Add Jory Pell, year 8' }))

    await waitFor(() => expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ person: 'jory' }))
  })

  it('takes one out with an undo, and trusts one to help until a day', async () => {
    const asked = serve({
      'PUT /api/classes/c/monitors/ines': page({ monitors: [{ person: 'ines', name: 'Ines Carrow', until: '2026-10-01' }] }),
      'DELETE /api/classes/c/pupils/ines': page({ pupils: [] }),
      'POST /api/classes/c/pupils': page(),
    })
    show(<Roster page={page()} />)

    await userEvent.click(screen.getByRole('button', { name: 'Ines Carrow' }))
    await userEvent.type(await screen.findByLabelText('Until the end of'), '2026-10-01')
    await userEvent.click(screen.getByRole('button', { name: 'Make class monitor' }))
    await waitFor(() => expect(asked[0]?.body).toEqual({ until: '2026-10-01', lesson: null }))
    await userEvent.click(screen.getByRole('button', { name: 'Take out of the class' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Undo' }))

    await waitFor(() => expect(asked.at(-1)?.body).toEqual({ person: 'ines' }))
  })
})
