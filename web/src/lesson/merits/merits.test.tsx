import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it, vi } from 'vitest'
import { Score } from '../../areas/desk/parts/Score'
import type { Seat } from '../../shared/api/types'
import { show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, aPupil, NOW } from '../testing'
import { AtSeat } from './SeatMerits'

it('a merit is given from the row of a pupil in two presses, and the row says how many', async () => {
  const give = vi.fn<(order: Order) => void>()
  const desk = aDesk({ pupils: [aPupil('Ines Carrow'), aPupil('Jory Pell')], merits: { 'ines-carrow': 2 } })
  show(<Score desk={desk} now={NOW} give={give} onWhy={() => {}} onShow={() => {}} />)

  expect(screen.getByText('2 merits')).toBeTruthy()
  await userEvent.click(screen.getByRole('button', { name: 'More for Jory Pell' }))
  await userEvent.click(await screen.findByRole('menuitem', { name: 'Merit for helping others' }))

  expect(give).toHaveBeenCalledWith({ do: 'merit', people: ['jory-pell'], reason: 'helping others' })
})

it('the seat tells what its own merits are for', () => {
  const seat = { mine: { merits: { reasons: ['a good question', 'good work'] } } } as unknown as Seat
  show(<AtSeat seat={seat} />)

  expect(screen.getByRole('status', { name: 'Your merits' }).textContent).toContain('2 merits for a good question, good work')
})
