import { act, screen, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { AllSlates, Desk, MarkLine, Seat } from '../../shared/api/types'
import { Strokes, StrokesOf } from '../../shared/live/strokes'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk } from '../testing'
import { Banner } from './SeatSlate'
import { SlatesMaker } from './SlatesMaker'
import { Wall } from './Wall'

const mark = (number: number, author: string): MarkLine => ({
  number,
  author,
  authorName: '',
  shape: 'LINE',
  ink: 'INK',
  width: 2,
  points: [1, 1, 9, 9],
  text: '',
})

const OUT: NonNullable<Desk['slates']['now']> = {
  number: 4,
  task: 'A wave',
  ground: 'AXES',
  collected: false,
  shown: [],
  named: false,
  people: [
    { id: 'ines', name: 'Ines Carrow', present: true, marks: 1, isIn: true },
    { id: 'jory', name: 'Jory Pell', present: true, marks: 0, isIn: false },
    { id: 'edda', name: 'Edda Quillan', present: false, marks: 0, isIn: false },
  ],
}

function wall(more: Partial<typeof OUT> = {}) {
  const all: AllSlates = { number: 6, slates: [{ person: 'ines', sheet: 'slate ines', marks: [mark(5, 'ines')] }] }
  serve({ 'GET /api/lessons/tidal/slates': all })
  const strokes = new Strokes()
  const give = vi.fn<(order: Order) => void>()
  const onList = vi.fn()
  show(
    <StrokesOf.Provider value={{ strokes, line: 1 }}>
      <Wall desk={aDesk({ slates: { ...OUT, ...more } })} lesson="tidal" give={give} onList={onList} onShow={() => {}} />
    </StrokesOf.Provider>,
  )
  return { strokes, give, onList }
}

describe('the wall of slates', () => {
  it('shows everybody who is there, with a word for how far they are, and what is drawn as it is drawn', async () => {
    const { strokes } = wall()
    expect(await screen.findByRole('img', { name: 'The slate of Ines Carrow, 1 marks' })).toBeTruthy()
    const all = within(screen.getByRole('list', { name: 'All slates' }))
    expect(all.getAllByRole('listitem')).toHaveLength(2)
    expect(all.getByText('in')).toBeTruthy()
    expect(all.getByText('empty')).toBeTruthy()
    act(() => strokes.tell([{ number: 7, sheet: 'slate jory', came: [mark(7, 'jory')], gone: [] }]))
    await userEvent.keyboard('{ArrowRight}')
    expect(await screen.findByRole('img', { name: 'The slate of Jory Pell, 1 marks' })).toBeTruthy()
    act(() => strokes.tell([{ number: 8, sheet: 'slate jory', came: [], gone: [7] }]))
    expect(await screen.findByRole('img', { name: 'The slate of Jory Pell, 0 marks' })).toBeTruthy()
  })

  it('is gone through, shown, given back and collected by keys and by hand', async () => {
    const { give, onList } = wall({ shown: ['jory'] })
    await userEvent.keyboard('v')
    await userEvent.keyboard('c')
    await userEvent.click(screen.getByRole('button', { name: 'without the name' }))
    await userEvent.click(screen.getByRole('button', { name: 'beside those shown' }))
    await userEvent.click(screen.getByRole('button', { name: 'Show none' }))
    await userEvent.click(screen.getByRole('button', { name: 'Give back' }))
    await userEvent.click(screen.getByRole('button', { name: 'Wipe and begin again…' }))
    await userEvent.click(await screen.findByRole('button', { name: 'Wipe and begin again' }))
    await userEvent.click(screen.getByRole('button', { name: 'Put slates away' }))
    await userEvent.click(screen.getByRole('button', { name: /Class list/ }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'show-slates', people: ['ines'], named: true },
      { do: 'collect-slates' },
      { do: 'show-slates', people: ['ines'], named: false },
      { do: 'show-slates', people: ['jory', 'ines'], named: false },
      { do: 'hide-slates' },
      { do: 'give-back', person: 'ines' },
      { do: 'give-slates', task: 'A wave', ground: 'AXES' },
      { do: 'take-slates' },
    ])
    expect(onList).toHaveBeenCalled()
  })

  it('is given out by one press or key', async () => {
    const give = vi.fn()
    show(<SlatesMaker give={give} />)
    await userEvent.keyboard('5')
    await userEvent.type(screen.getByLabelText('What to draw or write'), 'A wave')
    await userEvent.click(screen.getByRole('button', { name: /squared/ }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'give-slates', task: '', ground: 'NUMBER_LINE' },
      { do: 'give-slates', task: 'A wave', ground: 'SQUARED' },
    ])
  })
})

describe('at the seat', () => {
  const sit = (seat: Partial<Seat['slates']>, frozen = false) => {
    const asked = serve({
      'GET /api/seats/v1/slate': { number: 3, slates: [{ person: 'ines', sheet: 'slate ines', marks: [mark(2, 'ines')] }] },
      'POST /api/seats/v1/slate/hand-in': { number: 4 },
      'POST /api/seats/v1/slate/wipe': { number: 5 },
    })
    const whole = { slates: { shown: [], ...seat }, mine: { slate: { sheet: 'slate ines', frozen } } } as unknown as Seat
    show(<Banner seat={whole} />, '/seat/v1', '/seat/:visit')
    return asked
  }
  const out = { number: 4, task: 'A wave', ground: 'AXES' as const, mayDraw: true }

  it('is one’s own slate to draw on, wipe and hand in', async () => {
    const asked = sit({ out })
    expect(await screen.findByRole('img', { name: 'Your slate, 1 mark' })).toBeTruthy()
    expect(screen.getByText('Only you and your teachers see it.')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Wipe all' }))
    await userEvent.click(screen.getByRole('button', { name: 'Hand it in' }))
    expect(asked.slice(1).map((one) => [one.path, one.body])).toEqual([
      ['/api/seats/v1/slate/wipe', { marks: [] }],
      ['/api/seats/v1/slate/hand-in', undefined],
    ])
  })

  it('cannot be drawn on once it is in, and those that all see are told by name only where that is wanted', async () => {
    sit(
      {
        out,
        shown: [
          { ground: 'BLANK', marks: [mark(1, '')] },
          { name: 'Jory Pell', ground: 'BLANK', marks: [] },
        ],
      },
      true,
    )
    expect(await screen.findByText('It is handed in.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Hand it in' })).toBeNull()
    expect(screen.getByText('One of the slates')).toBeTruthy()
    expect(screen.getByRole('img', { name: 'The slate of Jory Pell' })).toBeTruthy()
  })
})
