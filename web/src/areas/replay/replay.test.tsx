import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { Replay } from '../../shared/api/types'
import { aDesk, aPupil } from '../../lesson/testing'
import { serve, show, standingOf } from '../../shared/testing'
import ReplayScreen from './ReplayScreen'

const REPLAY: Replay = {
  lesson: 'l',
  classId: 'c',
  title: 'Tidal Navigation 8',
  from: '2026-09-14T09:50:00Z',
  until: '2026-09-14T10:50:00Z',
  moments: [
    { number: 1, at: '2026-09-14T09:50:00Z', sentence: 'Orla Venn opened the lesson', weight: 2 },
    { number: 2, at: '2026-09-14T09:58:00Z', sentence: 'Ines Carrow knocked', weight: 0 },
    { number: 3, at: '2026-09-14T10:20:00Z', sentence: 'Everything was stopped (Orla Venn)', weight: 2 },
  ],
  alone: [{ from: '2026-09-14T10:30:00Z', until: '2026-09-14T10:33:00Z' }],
  departures: [
    {
      kind: 'PASS',
      title: 'Share a screen',
      of: 'Ines Carrow',
      by: 'Orla Venn',
      from: '2026-09-14T10:05:00Z',
      until: '2026-09-14T10:10:00Z',
    },
  ],
  groups: [],
  aloneInGroups: [],
  keptApart: [],
  keepers: [{ by: 'Orla Venn', orders: 1, minutes: 5 }],
}

const desk = (stopped: boolean) =>
  aDesk({
    door: { value: 'open', bound: false },
    columns: [{ rule: 'voice.speak', title: 'Speak', value: 'open', bound: false, usualMinutes: 5 }],
    pupils: [
      aPupil('Ines Carrow', {
        microphone: true,
        cells: [{ rule: 'voice.speak', value: stopped ? 'closed' : 'open', bound: false, loan: 'NONE' }],
      }),
    ],
    supervision: stopped ? { stoppedAt: '2026-09-14T10:20:00Z' } : {},
  })

describe('the replay', () => {
  it('shows the class and its rights as they were, scrubbed by keys, and what was against the plan', async () => {
    serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/lessons/l/replay': REPLAY,
      'GET /api/lessons/l/replay/at?moment=2026-09-14T09:50:00.000Z': desk(false),
      'GET /api/lessons/l/replay/at?moment=2026-09-14T09:51:00.000Z': desk(false),
      'GET /api/lessons/l/replay/at?moment=2026-09-14T10:20:00.000Z': desk(true),
    })
    show(<ReplayScreen />, '/lessons/l/replay', '/lessons/:id/replay')

    const line = await screen.findByRole('slider', { name: 'Moment of the lesson' })
    expect(within(await screen.findByRole('row', { name: /^Ines Carrow/ })).getByText('open')).toBeTruthy()
    fireEvent.keyDown(line, { key: 'ArrowRight' })
    expect(line.getAttribute('aria-valuetext')).toBe('09:51')
    fireEvent.keyDown(line, { key: ']' })
    expect(line.getAttribute('aria-valuetext')).toBe('10:20')
    await waitFor(() => expect(within(screen.getByRole('row', { name: /^Ines Carrow/ })).getByText('closed')).toBeTruthy())
    expect(screen.getByText(/everything stopped/)).toBeTruthy()
    expect(screen.queryByText('Ines Carrow knocked')).toBeNull()
    fireEvent.click(screen.getByLabelText('everything'))
    expect(screen.getByText('Ines Carrow knocked')).toBeTruthy()
    expect(screen.getByRole('region', { name: 'Against the plan' }).textContent).toMatch(
      /Orla Venn: 1 times, 5 min in all.*without an adult for 3 min.*Share a screen.*Ines Carrow/,
    )
  })

  it('says who was in which group, in the order of their numbers, and who is to stay apart and met', async () => {
    const inGroups = (person: string, group: string) => ({
      person,
      group,
      round: 1,
      from: '2026-09-14T10:02:00Z',
      until: '2026-09-14T10:12:00Z',
    })
    serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/lessons/l/replay': {
        ...REPLAY,
        alone: [],
        groups: [inGroups('Jory Pell', 'Group 10'), inGroups('Ines Carrow', 'Group 2')],
        aloneInGroups: [{ group: 'Group 10', seconds: 150 }],
        keptApart: [
          {
            one: 'Ines Carrow',
            other: 'Jory Pell',
            group: 'Group 2',
            from: '2026-09-14T10:09:00Z',
            until: '2026-09-14T10:12:00Z',
            reason: 'They finish each other’s work.',
          },
        ],
      } satisfies Replay,
      'GET /api/lessons/l/replay/at?moment=2026-09-14T09:50:00.000Z': desk(false),
    })
    show(<ReplayScreen />, '/lessons/l/replay', '/lessons/:id/replay')

    const groups = await screen.findByRole('region', { name: 'In groups' })
    expect(groups.textContent).toMatch(
      /kept apart \(They finish.*Group 2.*always seen by an adult.*Ines Carrow.*Group 10.*2:30 without an adult.*Jory Pell/,
    )
    // one adult was in the lesson, yet not in every group: neither sentence may deny the other
    expect(screen.getByRole('region', { name: 'Against the plan' }).textContent).toContain(
      'An adult was in the lesson all the time; how long each group had none stands above.',
    )
  })
})
