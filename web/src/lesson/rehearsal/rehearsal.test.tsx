import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { Desk } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import { RehearsalLine, RehearsalOver } from './Rehearsal'
import { RehearseButton } from './RehearseButton'

const MISCHIEF = [{ id: 'SHOUTING', title: 'Shouting', about: 'One pupil speaks without being asked.' }]

function desk(phase: Desk['door']['phase']) {
  return { lesson: 'rehearsal-1', rehearses: 'tidal-1', door: { phase } } as Desk & { rehearses: string }
}

describe('A rehearsal', () => {
  it('begins by one press and leads to its own desk', async () => {
    const asked = serve({ 'POST /api/lessons/tidal-1/rehearsal': { lesson: 'rehearsal-1' } })
    show(<RehearseButton lesson="tidal-1" />, '/here', '/here')
    await userEvent.click(screen.getByRole('button', { name: 'Rehearse it' }))
    await screen.findByText('another page')
    expect(asked.map((one) => `${one.method} ${one.path}`)).toContain('POST /api/lessons/tidal-1/rehearsal')
  })

  it('lets something go wrong, and says what the class does', async () => {
    const asked = serve({
      'GET /api/lessons/rehearsal-1/rehearsal': { rehearses: 'tidal-1', mischief: MISCHIEF, held: [] },
      'POST /api/lessons/rehearsal-1/rehearsal/mischief/SHOUTING': {},
    })
    show(<RehearsalLine desk={desk('OPEN')} />)
    await userEvent.selectOptions(await screen.findByRole('combobox', { name: 'Let something go wrong' }), 'Shouting')
    await screen.findByText('Shouting: One pupil speaks without being asked.')
    expect(asked.filter((one) => one.method === 'POST')).toHaveLength(1)
  })

  it('says before it is open what will happen, and offers no mischief', async () => {
    serve({ 'GET /api/lessons/rehearsal-1/rehearsal': { rehearses: 'tidal-1', mischief: MISCHIEF, held: [] } })
    show(<RehearsalLine desk={desk('PLANNED')} />)
    await screen.findByText(/a simulated class comes to the door/)
    expect(screen.queryByRole('combobox')).toBeNull()
  })

  it('is over without a register, and goes on to the lesson itself', () => {
    show(<RehearsalOver desk={desk('OVER')} />)
    screen.getByText(/No register was drafted/)
    expect(screen.getByRole('link', { name: 'To the lesson itself' }).getAttribute('href')).toBe('/lessons/tidal-1/desk')
    expect(screen.queryByText(/Look at the register/)).toBeNull()
  })
})
