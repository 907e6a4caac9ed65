import { screen } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import { aDesk, at, NOW } from '../../lesson/testing'
import { show } from '../../shared/testing'
import { ToCome, toCome, toComeInWords } from './parts/ToCome'

const DISCUSSION = {
  stance: 'discussion',
  name: 'Discussion',
  from: at('10:30:00'),
  until: at('10:50:00'),
  groups: 'Reef to Ness',
}
const EARLIER = { stance: 'explaining', name: 'Explaining', from: at('10:05:00'), until: at('10:30:00') }

function busy() {
  return aDesk({
    course: { order: [EARLIER, DISCUSSION] },
    clocks: {
      clock: { number: 3, over: false, ranMs: 60_000, running: at('10:16:00'), seconds: 300, task: 'Read', tone: false },
    },
    groups: { out: { since: at('10:10:00'), ends: at('10:25:00'), calledBack: false, invited: 0 } },
  })
}

describe('What is to come', () => {
  it('is the next first, and nothing that is past', () => {
    expect(toCome(busy(), NOW).map((one) => one.says)).toEqual([
      'time is up: Read',
      'all together again',
      'Discussion in groups, Reef to Ness',
      'the bell',
    ])
    expect(toCome(busy(), Date.parse(at('10:31:00'))).map((one) => one.says)).toEqual(['the bell'])
  })

  it('does not know when a clock that rests will ring', () => {
    const rests = aDesk({ clocks: { clock: { number: 3, over: false, ranMs: 60_000, seconds: 300, task: '', tone: false } } })
    expect(toCome(rests, NOW).map((one) => one.says)).toEqual(['the bell'])
  })

  it('stands on the lines of the score, and is read out as a whole', () => {
    show(<ToCome desk={busy()} from={Date.parse(at('10:00:00'))} until={Date.parse(at('10:55:00'))} now={NOW} />)
    screen.getByText('groups: Reef to Ness')
    expect(toComeInWords(busy(), NOW, (when) => new Date(when).toISOString().slice(11, 16))).toBe(
      'To come: time is up: Read at 10:20, all together again at 10:25, Discussion in groups, Reef to Ness at 10:30, the bell at 10:55',
    )
  })
})
