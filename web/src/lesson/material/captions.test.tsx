import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import { show } from '../../shared/testing'
import { aDesk } from '../testing'
import { Captions } from './Captions'

describe('Captions at the desk', () => {
  it('are written by a service where an adult lets it listen, and no more when told', async () => {
    const give = vi.fn()
    const { unmount } = show(<Captions desk={aDesk()} lesson="tidal-1" give={give} />)
    await userEvent.click(screen.getByRole('button', { name: 'Let the service write along' }))
    expect(give).toHaveBeenLastCalledWith({ do: 'caption-service', on: true })
    unmount()
    const heard = { number: 4, at: '', by: 'Ines Carrow', text: 'It turns at five.', heard: true }
    show(<Captions desk={aDesk({ captions: [heard], listens: true })} lesson="tidal-1" give={give} />)
    screen.getByText('Ines Carrow:')
    await userEvent.click(screen.getByRole('button', { name: 'Let the service stop listening' }))
    expect(give).toHaveBeenLastCalledWith({ do: 'caption-service', on: false })
  })

  it('are written by hand, too', async () => {
    const give = vi.fn()
    show(<Captions desk={aDesk()} lesson="tidal-1" give={give} />)
    await userEvent.type(screen.getByLabelText('What is being said'), 'The tide turns.{Enter}')
    expect(give).toHaveBeenLastCalledWith({ do: 'caption', text: 'The tide turns.' })
  })
})
