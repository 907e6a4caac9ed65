import { act, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, describe, expect, it, vi } from 'vitest'
import type { Waiting } from '../../shared/api/types'
import { show } from '../../shared/testing'
import { mayOrder } from '../../lesson/mayOrder'
import type { Order } from '../../lesson/orders'
import { DeskHead } from './parts/DeskHead'
import { Muted, passesToSpeak } from '../../lesson/rights/Muted'
import { NeedsYou } from './parts/NeedsYou'
import { RoomBanner } from '../../lesson/supervision/RoomBanner'
import { aNeed, aDesk, aPupil, NOW } from '../../lesson/testing'

afterEach(() => vi.useRealTimers())

describe('somebody on no list', () => {
  const waiting: Waiting = {
    visit: 'v',
    name: 'Runa',
    since: new Date(NOW - 60_000).toISOString(),
    connected: true,
    listed: false,
    reasons: [{ code: 'NOT_ON_LIST', text: 'No such name on the class list.', matters: true }],
  }

  it('is let in as a guest with a note to the lead, also when everyone on the list is here', async () => {
    const give = vi.fn<(order: Order) => void>()
    const desk = aDesk({ waiting: [waiting], needs: [aNeed('UNSURE', 'Somebody waits', { visits: ['v'] })] })
    show(<NeedsYou desk={desk} give={give} onWhy={() => {}} />)

    await userEvent.click(screen.getByRole('button', { name: 'Let in as…' }))
    expect(screen.getByText(/Everyone on the class list is here/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'As a guest…' }))
    await userEvent.type(screen.getByLabelText('Note to the safeguarding lead'), 'Cousin of Ines')
    await userEvent.click(screen.getByRole('button', { name: 'Let in for this lesson' }))

    expect(give).toHaveBeenCalledWith({ do: 'admit-guest', visit: 'v', name: 'Runa', note: 'Cousin of Ines' })
  })
})

describe('mute all', () => {
  it('says how many passes it ended while they can be given back', async () => {
    const give = vi.fn<(order: Order) => void>()
    const pass = { rule: 'voice.speak', value: 'open', bound: false, loan: 'PASS' } as const
    expect(passesToSpeak(aDesk({ pupils: [aPupil('Ines Carrow', { cells: [pass] }), aPupil('Jory Pell')] }))).toBe(1)
    show(<Muted passes={1} give={give} onOver={() => {}} />)

    await userEvent.click(screen.getByRole('button', { name: 'Give it back' }))

    expect(give).toHaveBeenCalledWith({ do: 'undo-mute-all' })
  })

  it('goes after some seconds', () => {
    vi.useFakeTimers()
    const over = vi.fn()
    show(<Muted passes={2} give={() => {}} onOver={over} />)
    act(() => void vi.advanceTimersByTime(13_000))
    expect(over).not.toHaveBeenCalled()
    act(() => void vi.advanceTimersByTime(2_000))
    expect(over).toHaveBeenCalled()
  })
})

describe('a safeguarding lead', () => {
  const mine = { in: false, leading: false, observing: true, overseeing: true }

  it('may stop and dismiss without being in', async () => {
    const give = vi.fn<(order: Order) => void>()
    const desk = aDesk({ me: 'maren', mine })
    expect(mayOrder(desk)).toBe(true)
    expect(mayOrder(aDesk({ me: 'maren', mine: { ...mine, overseeing: false } }))).toBe(false)
    show(<DeskHead desk={desk} now={NOW} connected give={give} busy={false} onWhy={() => {}} />)

    await userEvent.click(screen.getByRole('button', { name: /Stop everything/ }))

    expect(give).toHaveBeenCalledWith({ do: 'stop', why: '' })
    expect(screen.getByRole('button', { name: 'Look in' })).toBeTruthy()
  })

  it('is seen by the adults while looking on', () => {
    show(<RoomBanner desk={aDesk({ observers: ['Maren Oddlund'] })} give={() => {}} />)
    expect(screen.getByText('Maren Oddlund looks on.')).toBeTruthy()
  })
})

describe('the arrow back', () => {
  it('does not leave a live room without a word', async () => {
    show(<DeskHead desk={aDesk()} now={NOW} connected give={() => {}} busy={false} onWhy={() => {}} />)

    await userEvent.click(screen.getByRole('link', { name: /Back to today/ }))

    expect((await screen.findByRole('dialog')).textContent).toContain('the pupils are alone')
  })
})
