import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { Desk, Seat } from '../../shared/api/types'
import { show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, at } from '../testing'
import { help } from './help'
import { Sign } from './SeatHelp'

const { UnderHead } = help.page
const HOUR: NonNullable<Desk['help']> = {
  until: at('11:15:00'),
  stayed: true,
  places: 3,
  came: 2,
  row: [
    { name: 'Ines Carrow', minutes: 3 },
    { name: 'Jory Pell', minutes: 8 },
  ],
}

describe('a help hour on the desk', () => {
  it('is begun by one press near the end of a lesson, and not before', async () => {
    const give = vi.fn<(order: Order) => void>()
    const { rerender } = show(<UnderHead desk={aDesk()} now={Date.parse(at('10:40:00'))} give={give} />)
    expect(screen.queryByRole('button')).toBeNull()
    rerender(<></>)
    show(<UnderHead desk={aDesk()} now={Date.parse(at('10:46:00'))} give={give} />)
    await userEvent.click(screen.getByRole('button', { name: 'Stay for questions' }))
    expect(give).toHaveBeenCalledWith({ do: 'stay-for-questions', minutes: 20 })
    await userEvent.selectOptions(screen.getByLabelText('How long you stay'), '45 min')
    await userEvent.click(screen.getByRole('button', { name: 'Stay for questions' }))
    expect(give).toHaveBeenLastCalledWith({ do: 'stay-for-questions', minutes: 45 })
  })

  it('says until when, who stands in the row, and that it ends with the adult', () => {
    show(<UnderHead desk={{ ...aDesk(), help: HOUR }} now={0} give={() => {}} />)
    expect(screen.getByText('Help hour until 11:15')).toBeTruthy()
    expect(screen.getByText(/In the row:/).textContent).toBe('In the row: Ines Carrow, Jory Pell')
    expect(screen.getByText('It ends when you go.')).toBeTruthy()
  })
})

describe('a help hour at the door', () => {
  const seat = (mine?: { place: number; minutes: number }) =>
    ({ help: { until: at('11:15:00') }, mine: { help: mine } }) as unknown as Seat

  it('tells the own place in the row and how long it may take', () => {
    show(<Sign seat={seat({ place: 2, minutes: 8 })} />)
    expect(screen.getByRole('status').textContent).toBe('Help hour until 11:15. You are second in the row, about 8 min.')
  })

  it('tells no place to who is in, and nothing where there is no help hour', () => {
    const { container } = show(<Sign seat={seat()} />)
    expect(screen.getByRole('status').textContent).toBe('Help hour until 11:15. ')
    show(<Sign seat={{ mine: {} } as unknown as Seat} />)
    expect(container.querySelectorAll('[role=status]')).toHaveLength(1)
  })
})
