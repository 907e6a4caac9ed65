import { act, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { ClockShown, Desk, DeskCall, Seat } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, at, NOW } from '../testing'
import { shownMs } from './ClockFace'
import { clocks } from './clocks'
import { CallMaker, ClockMaker } from './DeskClocks'
import { Banner } from './SeatClocks'

const clock = (more: Partial<ClockShown> = {}): ClockShown => ({
  number: 3,
  task: 'Read page 4',
  seconds: 120,
  tone: false,
  ranMs: 0,
  running: at('10:16:30'),
  over: false,
  ...more,
})

describe('a clock', () => {
  it('counts down, counts up, stands still while it is paused, and never below nothing', () => {
    expect(shownMs(clock(), NOW)).toBe(90_000)
    expect(shownMs(clock({ ranMs: 30_000 }), NOW)).toBe(60_000)
    expect(shownMs(clock({ seconds: undefined as never }), NOW)).toBe(30_000)
    const { running: _, ...paused } = clock({ ranMs: 40_000 })
    expect(shownMs(paused, NOW)).toBe(80_000)
    expect(shownMs(clock(), NOW + 600_000)).toBe(0)
    expect(shownMs(clock({ over: true }), NOW)).toBe(0)
  })

  it('is paused, lengthened and taken away from the desk, and its end is called out', async () => {
    const give = vi.fn<(order: Order) => void>()
    const { unmount } = show(<clocks.page.UnderHead desk={aDesk({ clocks: { clock: clock() } })} now={NOW} give={give} />)
    expect(screen.getByText('1:30')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /Pause/ }))
    await userEvent.click(screen.getByRole('button', { name: '1 min more' }))
    await userEvent.click(screen.getByRole('button', { name: 'Take it away' }))
    expect(give.mock.calls.map(([order]) => order.do)).toEqual(['pause-clock', 'longer-clock', 'end-clock'])
    unmount()
    show(<clocks.page.UnderHead desk={aDesk({ clocks: { clock: clock({ over: true }) } })} now={NOW} give={give} />)
    expect(screen.getByText('Time is up: Read page 4.')).toBeTruthy()
    expect(screen.queryByRole('button', { name: /Pause/ })).toBeNull()
  })

  it('starts by one press or key', async () => {
    const give = vi.fn()
    show(<ClockMaker give={give} />)
    await userEvent.keyboard('2')
    await userEvent.keyboard('7')
    await userEvent.type(screen.getByLabelText('What to do meanwhile'), 'Read 2')
    await userEvent.click(screen.getByRole('button', { name: /^5 min/ }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'clock', task: '', seconds: 60, tone: true },
      { do: 'clock', task: '', seconds: undefined, tone: true },
      { do: 'clock', task: 'Read 2', seconds: 300, tone: true },
    ])
  })

  it('has a key that pauses it, lets it go on, or starts one', () => {
    const give = vi.fn()
    const open = vi.fn()
    const press = (desk: Desk, key: string) => clocks.page.keys(desk, give, open)[key]?.()
    press(aDesk(), 't')
    press(aDesk(), 'f')
    expect(open.mock.calls).toEqual([['clock'], ['first']])
    press(aDesk({ clocks: { clock: clock() } }), 't')
    const { running: _, ...paused } = clock()
    press(aDesk({ clocks: { clock: paused } }), 't')
    press(aDesk({ clocks: { clock: clock({ over: true }) } }), 't')
    press(aDesk({ clocks: { call: call() } }), 'f')
    expect(give.mock.calls.map(([order]) => (order as Order).do)).toEqual(['pause-clock', 'clock-on', 'end-clock', 'next-in-row'])
  })
})

const call = (more: Partial<DeskCall> = {}): DeskCall => ({
  number: 5,
  task: 'The north pier',
  opens: at('10:16:55'),
  passed: 0,
  row: [
    { id: 'jory', name: 'Jory Pell', place: 1, tied: true, ms: 412, delayMs: 20, timesFirst: 0 },
    { id: 'ines', name: 'Ines Carrow', place: 1, tied: true, ms: 402, delayMs: 80, timesFirst: 2 },
  ],
  ...more,
})

describe('the first to answer', () => {
  it('says ties to be ties, and who was first how often', async () => {
    const give = vi.fn<(order: Order) => void>()
    show(<clocks.page.UnderHead desk={aDesk({ clocks: { call: call() } })} now={NOW} give={give} />)
    expect(screen.getAllByText(/\(a tie\)/)).toHaveLength(2)
    expect(screen.getByText(/first 2 times before/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /Next in the row/ }))
    await userEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(give.mock.calls.map(([order]) => order.do)).toEqual(['next-in-row', 'end-call'])
  })

  it('is called with a short count-down', async () => {
    const give = vi.fn()
    show(<CallMaker give={give} />)
    await userEvent.type(screen.getByLabelText('What is asked'), 'The north pier')
    await userEvent.click(screen.getByRole('button', { name: /Call/ }))
    expect(give).toHaveBeenCalledWith({ do: 'call-first', task: 'The north pier', seconds: 3 })
  })

  const sit = (more: Partial<NonNullable<Seat['clocks']['call']>>, mine?: { pressed: boolean; before?: number }) =>
    ({
      clocks: { call: { number: 5, task: 'The north pier', opens: at('10:16:59'), mayPress: true, ...more } },
      mine: mine ? { clocks: mine } : {},
    }) as unknown as Seat

  it('is pressed when it opens, while the line is measured', async () => {
    const asked = serve({ 'POST /api/seats/v1/echo': { word: 'w', now: at('10:17:00') } })
    const press = vi.fn()
    show(<Banner seat={sit({})} now={NOW} act={press} />, '/seat/v1', '/seat/:visit')
    await userEvent.click(await screen.findByRole('button', { name: 'I know it' }))
    expect(press).toHaveBeenCalledWith({ do: 'press' })
    await vi.waitFor(() => expect(asked.length).toBe(7))
    expect(asked[1]?.body).toEqual({ word: 'w' })
  })

  it('cannot be pressed before, and opens by itself at the moment', async () => {
    vi.useFakeTimers()
    try {
      serve({ 'POST /api/seats/v1/echo': { word: 'w', now: at('10:17:00') } })
      show(<Banner seat={sit({ opens: at('10:17:03') })} now={NOW} act={vi.fn()} />, '/seat/v1', '/seat/:visit')
      expect(screen.getByRole('button').hasAttribute('disabled')).toBe(true)
      await act(() => vi.advanceTimersByTimeAsync(3100))
      expect(screen.getByRole('button').hasAttribute('disabled')).toBe(false)
    } finally {
      vi.useRealTimers()
    }
  })

  it('says who has the word, and how many have it before', () => {
    serve({ 'POST /api/seats/v1/echo': { word: 'w', now: at('10:17:00') } })
    const { unmount } = show(
      <Banner seat={sit({ turn: 'Jory Pell' }, { pressed: true, before: 2 })} now={NOW} act={vi.fn()} />,
      '/seat/v1',
      '/seat/:visit',
    )
    expect(screen.getByText('Jory Pell')).toBeTruthy()
    expect(screen.getByText(/2 have the word before you/)).toBeTruthy()
    unmount()
    show(<Banner seat={sit({}, { pressed: true, before: 0 })} now={NOW} act={vi.fn()} />, '/seat/v1', '/seat/:visit')
    expect(screen.getByText('You have the word.')).toBeTruthy()
  })
})
