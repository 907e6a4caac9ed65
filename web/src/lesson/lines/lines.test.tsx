import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { NeedsYou } from '../../areas/desk/parts/NeedsYou'
import type { Seat } from '../../shared/api/types'
import { Lateness } from '../../shared/live/lateness'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, aNeed, aPupil, at } from '../testing'
import { lines } from './lines'
import { Banner } from './SeatLine'
import { useTellLine } from './useTellLine'

describe('how late news comes', () => {
  const hear = (lateness: Lateness, ways: number[]) =>
    ways.map((way) => (lateness.heard(1_000_000, 1_000_000 + way), lateness.weak))

  it('makes a line weak when three of five come late, whatever one’s own clock says, and good again when five come in time', () => {
    const lateness = new Lateness()
    // A clock that is an hour fast.
    const fast = [0, 120, 40, 2000, 90, 1900, 60, 2500].map((way) => 3_600_000 + way)
    expect(hear(lateness, fast)).toEqual([false, false, false, false, false, false, false, true])
    expect(hear(lateness, [3_600_100, 3_600_300, 3_600_200, 3_600_100])).toEqual([true, true, true, true])
    expect(hear(lateness, [3_600_050])).toEqual([false])
  })

  it('says nothing by one late piece of news, or by what was before the device slept', () => {
    const lateness = new Lateness()
    hear(lateness, [0, 0, 9000, 0, 0])
    expect(lateness.weak).toBe(false)
    lateness.forget()
    hear(lateness, [90_000, 90_000, 90_000, 90_000])
    expect(lateness.weak).toBe(false)
  })
})

describe('a weak line', () => {
  it('is told by the seat once, and not while nothing is heard at all', async () => {
    const asked = serve({ 'PUT /api/seats/v1/line': { number: 3 } })
    function Telling({ weak }: { weak: boolean | undefined }) {
      useTellLine('v1', weak, false)
      return null
    }
    show(
      <>
        <Telling weak={undefined} />
        <Telling weak={false} />
        <Telling weak />
      </>,
    )
    await vi.waitFor(() => expect(asked.map((one) => one.body)).toEqual([{ weak: true }]))
  })

  it('is said to the pupil with what helps', () => {
    const seat = (mine: object) => ({ mine: { rights: { camera: true }, ...mine } }) as unknown as Seat
    const { unmount } = show(<Banner seat={seat({ line: {} })} />)
    expect(screen.queryByRole('status')).toBeNull()
    unmount()
    show(<Banner seat={seat({ line: { weakSince: at('10:16:00') } })} />)
    expect(screen.getByRole('status').textContent).toContain('Your line is weak since 10:16. What helps: switch your camera off,')
  })

  it('stands in the row, and a light lesson is proposed when several have one', async () => {
    const pupils = [aPupil('Ines Carrow'), aPupil('Jory Pell'), aPupil('Wen Ostrander')]
    const weak = { 'ines-carrow': at('10:16:00'), 'jory-pell': at('10:16:10') }
    const desk = { ...aDesk({ pupils, weak }), needs: [aNeed('LINES_WEAK', '2 have a weak line', { number: 2 })] }
    expect(lines.page.marks(desk, 'ines-carrow')).toEqual([{ short: 'weak line', words: 'has a weak line', quiet: true }])
    expect(lines.page.marks(desk, 'wen-ostrander')).toEqual([])
    const give = vi.fn<(order: Order) => void>()
    show(<NeedsYou desk={desk} give={give} onWhy={() => {}} />)
    expect(screen.getByText(/^Ines Carrow, Jory Pell\. A light lesson/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Light lesson' }))
    await userEvent.click(screen.getByRole('button', { name: 'Leave it as it is' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([{ do: 'light', on: true }, { do: 'leave-weak-lines' }])
  })
})
