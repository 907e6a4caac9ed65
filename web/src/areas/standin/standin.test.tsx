import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it } from 'vitest'
import type { Stage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import StandInScreen from './StandInScreen'

const STAGE: Stage = {
  speed: 1,
  now: '2026-09-14T10:17:00Z',
  lessons: [
    {
      lesson: 'tidal',
      title: 'Tidal Navigation 8',
      phase: 'OPEN',
      present: 25,
      next: [{ at: '2026-09-14T10:18:00Z', text: 'Una Castell loses connection' }],
    },
    { lesson: 'knots', title: 'Knotwork & Rigging 7', phase: 'PLANNED', present: 0, next: [] },
  ],
  scripts: [
    { script: 'SHOUTING', title: 'Shouting', about: 'One pupil speaks without being asked.' },
    { script: 'INTRUDER', title: 'An intruder', about: 'The same stranger tries every open lesson.' },
  ],
}

it('directs the cast: its speed, its next cue, and mischief in a lesson that is live', async () => {
  const asked = serve({
    'GET /api/standing': standingOf('TEACHER'),
    'GET /api/demo/stage': STAGE,
    'PUT /api/demo/stage/speed': { ...STAGE, speed: 4 },
    'POST /api/demo/stage/tidal/next': STAGE,
    'POST /api/demo/stage/tidal/mischief/INTRUDER': STAGE,
  })
  const press = userEvent.setup()
  show(<StandInScreen />)

  const tidal = within(await screen.findByRole('region', { name: 'Tidal Navigation 8' }))
  expect(tidal.getByText('Una Castell loses connection')).toBeTruthy()
  expect(screen.getByRole('button', { name: 'real time' }).getAttribute('aria-pressed')).toBe('true')
  await press.click(screen.getByRole('button', { name: '4 times' }))
  await press.click(tidal.getByRole('button', { name: /Play the next one now/ }))
  await press.selectOptions(tidal.getByLabelText('Mischief in Tidal Navigation 8'), 'INTRUDER')
  expect(tidal.getByText('The same stranger tries every open lesson.')).toBeTruthy()
  await press.click(tidal.getByRole('button', { name: /Let it happen/ }))
  await waitFor(() =>
    expect(asked.filter((one) => one.method !== 'GET').map((one) => `${one.path.replace('/api/demo/stage', '')}`)).toEqual([
      '/speed',
      '/tidal/next',
      '/tidal/mischief/INTRUDER',
    ]),
  )
  expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ speed: 4 })

  const planned = within(screen.getByRole('region', { name: 'Knotwork & Rigging 7' }))
  expect(planned.queryByLabelText(/Mischief/)).toBeNull()
  expect(planned.getByRole('button', { name: /Play the next one now/ }).hasAttribute('disabled')).toBe(true)
})
