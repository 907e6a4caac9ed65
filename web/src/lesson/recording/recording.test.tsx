import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { NeedsYou } from '../../areas/desk/parts/NeedsYou'
import type { Desk, Seat } from '../../shared/api/types'
import { show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, aNeed, at, NOW } from '../testing'
import { penOf } from './DeskRecording'
import { recording } from './recording'
import { AtSeat, Sign } from './SeatRecording'

const { UnderHead, InMore } = recording.page

const ON: Partial<Desk['recording']> = {
  mode: 'REQUIRED',
  phase: 'ON',
  required: true,
  isRecording: true,
  recordedSeconds: 60,
  runningSince: at('10:06:00'),
}
const PAUSED = {
  reason: 'CONFIDES' as const,
  says: 'somebody confides',
  since: at('10:15:00'),
  by: 'Orla Venn',
  asksAfterMinutes: 5,
}

describe('the line of the recording on the desk', () => {
  it('tells how long it has run, and for whom and why voices are closed', async () => {
    const give = vi.fn<(order: Order) => void>()
    const desk = aDesk({
      recording: { ...ON, unheard: [{ person: 'jory-pell', name: 'Jory Pell', what: 'CLOSED', standing: 'REFUSED' }] },
    })
    show(<UnderHead desk={desk} now={NOW} give={give} />)

    expect(screen.getByText('12 min')).toBeTruthy()
    expect(screen.getByText(/Not recorded: Jory Pell \(refused\); their voice and camera are closed/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /Recording 12 min/ }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Pause: health or family' }))
    expect(give).toHaveBeenCalledWith({ do: 'pause-recording', reason: 'HEALTH_OR_FAMILY' })
  })

  it('offers no end where the rules let nobody here end it', async () => {
    show(<UnderHead desk={aDesk({ recording: ON, mayRecord: { mayEnd: false } })} now={NOW} give={() => {}} />)
    await userEvent.click(screen.getByRole('button', { name: /Recording/ }))

    expect(await screen.findByText(/let nobody here end it before the lesson/)).toBeTruthy()
    expect(screen.queryByRole('menuitem', { name: 'End the recording' })).toBeNull()
  })

  it('a pause tells why, by whom, and can go on now or by itself', async () => {
    const give = vi.fn<(order: Order) => void>()
    const desk = aDesk({ recording: { ...ON, isRecording: false, runningSince: undefined, paused: PAUSED } })
    show(<UnderHead desk={desk} now={NOW} give={give} />)

    expect(screen.getByText('for 2:00')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'by itself in 5 min' }))
    expect(give).toHaveBeenCalledWith({ do: 'pause-recording', reason: 'CONFIDES', minutes: 5 })
    await userEvent.click(screen.getByRole('button', { name: /Go on recording/ }))
    expect(give).toHaveBeenCalledWith({ do: 'recording-on' })
  })

  it('counts down before it begins, and can be called off', async () => {
    const give = vi.fn<(order: Order) => void>()
    const desk = aDesk({ recording: { phase: 'ANNOUNCED', starts: at('10:17:08') } })
    show(<UnderHead desk={desk} now={NOW} give={give} />)

    expect(screen.getByText('Begins in 8 s.')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Call it off' }))
    expect(give).toHaveBeenCalledWith({ do: 'end-recording' })
  })

  it('is not there while nothing is recorded, and nothing can be started where it is forbidden', () => {
    const { container } = show(<UnderHead desk={aDesk()} now={NOW} give={() => {}} />)
    expect(container.querySelector('[role=status]')).toBeNull()
    expect(InMore({ desk: aDesk({ recording: { mode: 'FORBIDDEN' } }), give: () => {} })).toBeNull()
    expect(penOf({ ...aDesk().recording, phase: 'FAILED' })).toBe('failed')
  })
})

it('a recorder that fails and a pause that lasts ask the adult', async () => {
  const give = vi.fn<(order: Order) => void>()
  const desk = aDesk({
    recording: { ...ON, phase: 'FAILED', isRecording: false, paused: PAUSED },
    needs: [
      aNeed('RECORDING_PAUSED', 'The recording has been paused for long', { number: 2 }),
      aNeed('RECORDING_FAILS', 'The recorder does not record: its disk is full'),
    ],
  })
  show(<NeedsYou desk={desk} give={give} onWhy={() => {}} />)

  await userEvent.click(screen.getByRole('button', { name: 'Try again now' }))
  expect(give).toHaveBeenCalledWith({ do: 'record' })
  await userEvent.click(screen.getByRole('button', { name: '5 min more' }))
  expect(give).toHaveBeenCalledWith({ do: 'pause-recording', reason: 'CONFIDES', minutes: 5 })
})

function seat(shown: Seat['recording']['shown'], now: 'ALL' | 'CLOSED' | 'NOTHING' = 'ALL'): Seat {
  return {
    recording: { shown, announced: true, watch: ['LEAD_ADULT'], ask: ['PUPIL'], keptDays: 42 },
    mine: { recording: { now } },
  } as unknown as Seat
}

describe('the mark at a seat', () => {
  it('is there all the time and tells what is recorded and who may see it later', async () => {
    show(<Sign seat={seat('ON')} now={NOW} />)
    await userEvent.click(screen.getByRole('button', { name: 'This lesson is recorded' }))

    expect(await screen.findByText(/may be watched by your teacher; pupils of the class may ask to/)).toBeTruthy()
    expect(screen.getByText(/deleted after 42 days/)).toBeTruthy()
  })

  it('says aloud when it begins, pauses and ends', async () => {
    function Changing() {
      const [shown, setShown] = useState<Seat['recording']['shown']>('NOT')
      return (
        <>
          <Sign seat={seat(shown)} now={NOW} />
          <button onClick={() => setShown(shown === 'NOT' ? 'ON' : shown === 'ON' ? 'PAUSED' : 'NOT')}>next</button>
        </>
      )
    }
    show(<Changing />)
    expect(screen.getByRole('status').textContent).toBe('')
    for (const said of ['The recording has begun.', 'The recording is paused.', 'The recording has ended.']) {
      await userEvent.click(screen.getByRole('button', { name: 'next' }))
      expect(screen.getByRole('status').textContent).toContain(said)
    }
  })

  it('is kind to who is not recorded, and says nothing to others', () => {
    const { unmount } = show(<AtSeat seat={seat('ON', 'CLOSED')} />)
    expect(screen.getByRole('status').textContent).toContain('You are not recorded.')
    unmount()
    show(<AtSeat seat={seat('ON', 'ALL')} />)
    expect(screen.queryByRole('status')).toBeNull()
  })
})
