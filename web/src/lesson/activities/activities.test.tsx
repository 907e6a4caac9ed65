import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, aPupil, at, aTable } from '../testing'
import { MeritMaker } from '../merits/Merits'
import { Activities, Launcher, type Activity } from './Activities'

const NO_SETS = { ofClass: 'tidal-navigation-8', title: 'Tidal', editable: true, sets: [] }

describe('the one place where anything is started', () => {
  it('has a key for each, and goes from one to the other', async () => {
    const onShow = vi.fn()
    show(<Launcher onShow={onShow} />)
    for (const name of [/Question Q/, /Clock T/, /First F/, /Slates E/, /Merits X/, /Announce U/, /Board P/]) {
      await userEvent.click(screen.getByRole('button', { name }))
    }
    expect(onShow.mock.calls.flat()).toEqual(['question', 'clock', 'first', 'slates', 'merits', 'notice', 'board'])
  })

  it('closes when something was started, and stays open while merits are given', async () => {
    serve({
      'GET /api/classes/tidal-navigation-8/question-sets': NO_SETS,
      'GET /api/classes/tidal-navigation-8/merits': { never: [], pupils: [] },
    })
    const give = vi.fn<(order: Order) => void>()
    const onOpen = vi.fn<(activity: Activity | null) => void>()
    const desk = aDesk()
    const { unmount } = show(<Activities desk={desk} open="question" onOpen={onOpen} give={give} />)
    expect(await screen.findByText(/Nothing is prepared for this class/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: /True or false/ }))
    expect(give.mock.lastCall?.[0]).toMatchObject({ do: 'ask' })
    expect(onOpen).toHaveBeenLastCalledWith(null)
    await userEvent.click(screen.getByRole('button', { name: /Slates/ }))
    expect(onOpen).toHaveBeenLastCalledWith('slates')
    unmount()

    onOpen.mockClear()
    show(<Activities desk={desk} open="merits" onOpen={onOpen} give={give} />)
    await userEvent.click(await screen.findByLabelText('Ines Carrow'))
    await userEvent.click(screen.getByRole('button', { name: 'for helping others' }))
    expect(give.mock.lastCall?.[0]).toEqual({ do: 'merit', people: ['ines-carrow'], reason: 'helping others' })
    expect(onOpen).not.toHaveBeenCalled()
  })

  it.each([
    ['clock', 'What to do meanwhile'],
    ['first', 'What is asked'],
    ['slates', 'What to draw or write'],
    ['notice', 'Announcement'],
  ] as const)('opens %s with its box', async (activity, label) => {
    show(<Activities desk={aDesk()} open={activity} onOpen={() => {}} give={() => {}} />)
    expect(await screen.findByLabelText(label)).toBeTruthy()
  })
})

describe('giving merits', () => {
  const pupils = [aPupil('Ines Carrow'), aPupil('Jory Pell'), aPupil('Bo Lindqvar', { whereabouts: 'MISSING' })]

  it('to all who are in, to a group, and for a reason of one’s own', async () => {
    const give = vi.fn<(order: Order) => void>()
    const groups = { out: { since: at('10:10:00'), invited: [] }, tables: [aTable('g1', 'Reef', ['Jory Pell', 'Bo Lindqvar'])] }
    show(<MeritMaker desk={aDesk({ pupils, groups: groups as never })} give={give} classId={undefined} />)
    expect(screen.queryByLabelText('Bo Lindqvar')).toBeNull()
    expect(screen.getByRole('button', { name: 'for good work' }).hasAttribute('disabled')).toBe(true)
    await userEvent.click(screen.getByRole('button', { name: 'All 2' }))
    await userEvent.click(screen.getByRole('button', { name: 'for good work' }))
    await userEvent.click(screen.getByRole('button', { name: 'Reef' }))
    await userEvent.type(screen.getByLabelText('For something else'), 'a fair word{Enter}')
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'merit', people: ['ines-carrow', 'jory-pell'], reason: 'good work' },
      { do: 'merit', people: ['jory-pell'], reason: 'a fair word' },
    ])
  })

  it('is taken back for some minutes, and whom nobody praises is told quietly', async () => {
    serve({
      'GET /api/classes/c1/merits': {
        weeks: 6,
        never: ['Jory Pell'],
        pupils: [
          { person: 'jory-pell', name: 'Jory Pell', count: 0, byWeek: [] },
          { person: 'ines-carrow', name: 'Ines Carrow', count: 1, byWeek: [] },
        ],
      },
    })
    const give = vi.fn<(order: Order) => void>()
    const line = { person: 'ines-carrow', name: 'Ines Carrow', reason: 'good work' }
    const latestMerits = [
      { ...line, number: 9, until: at('10:20:00') },
      { ...line, number: 4, until: at('10:10:00') },
    ]
    show(<MeritMaker desk={aDesk({ pupils, latestMerits })} give={give} classId="c1" />)
    await userEvent.click(screen.getByRole('button', { name: 'Take it back' }))
    expect(give).toHaveBeenCalledWith({ do: 'take-merit-back', number: 9 })
    expect(await screen.findByText(/Without a merit in the last 6 weeks: Jory Pell/)).toBeTruthy()
  })
})
