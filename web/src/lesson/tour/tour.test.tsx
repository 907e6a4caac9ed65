import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { describe, expect, it } from 'vitest'
import type { Desk } from '../../shared/api/types'
import { show } from '../../shared/testing'
import { aDesk, aNeed, aPupil } from '../testing'
import { factsOf, firstFrom, STEPS } from './steps'
import { Tour } from './Tour'

const place = (id: string) => STEPS.findIndex((step) => step.id === id)

/** A desk on which things happen when its button is pressed. */
function Happens({ desks }: { desks: Desk[] }) {
  const [at, setAt] = useState(0)
  return (
    <>
      <Tour desk={desks[at]!} />
      <button onClick={() => setAt(at + 1)}>happens</button>
    </>
  )
}

describe('The tour', () => {
  it('is only there when it was asked for', () => {
    show(<Tour desk={aDesk()} />)
    expect(screen.queryByRole('region')).toBeNull()
  })

  it('begins with the first act that is still to be done', () => {
    expect(STEPS[firstFrom(0, factsOf(aDesk({ phase: 'PLANNED' })))]?.id).toBe('open')
    expect(STEPS[firstFrom(0, factsOf(aDesk()))]?.id).toBe('admit')
  })

  it('waits for the real act: a step is not done by pressing anything else', async () => {
    const waits = aPupil('Ines Carrow', { whereabouts: 'WAITING' })
    const quiet = aDesk({ pupils: [waits] })
    const knock = aDesk({ pupils: [waits], needs: [aNeed('LISTED', 'Ines Carrow waits')] })
    const isIn = aDesk({ pupils: [aPupil('Ines Carrow', { whereabouts: 'IN' })] })
    show(<Happens desks={[quiet, knock, knock, isIn]} />, '/?tour')
    screen.getByText('In a moment somebody of the class knocks.')
    await userEvent.click(screen.getByText('happens'))
    screen.getByText(/Let them in: press A/)
    await userEvent.click(screen.getByText('happens'))
    screen.getByText(/Let them in: press A/)
    await userEvent.click(screen.getByText('happens'))
    await screen.findByText('In a moment a hand goes up.')
  })

  it('can be skipped step by step, and ended', async () => {
    show(<Tour desk={aDesk({ phase: 'PLANNED' })} />, '/?tour')
    while (screen.queryByText('Skip this')) await userEvent.click(screen.getByText('Skip this'))
    screen.getByText(/That was a whole lesson/)
    await userEvent.click(screen.getByRole('button', { name: 'Close' }))
    expect(screen.queryByRole('region')).toBeNull()
  })

  it('knows each act by what it leaves behind', () => {
    const before = factsOf(aDesk())
    const by = (id: string, now: Partial<typeof before>, from = before) => STEPS[place(id)]!.done({ ...before, ...now }, from)
    expect(by('hand', { passes: before.passes + 1 })).toBe(true)
    expect(by('hand', { hands: 0 })).toBe(false)
    expect(by('write', { mine: before.mine + 1 })).toBe(true)
    expect(by('stance', { stance: 'Discussion' })).toBe(true)
    expect(by('stance', {})).toBe(false)
    expect(by('curb', { curbs: before.curbs + 1 })).toBe(true)
    expect(by('stop', { stopped: true })).toBe(true)
    expect(by('resume', { stopped: true })).toBe(false)
    expect(by('resume', { stopped: false })).toBe(true)
    expect(by('dismiss', { phase: 'OVER' })).toBe(true)
  })
})
