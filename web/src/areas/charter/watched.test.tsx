import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import { serve, show } from '../../shared/testing'
import { WatchedWords } from './parts/WatchedWords'

const PATH = '/api/rules/watched-words'

describe('the words that are looked at first', () => {
  it('are kept by the safeguarding lead, one in a line', async () => {
    const asked = serve({ [`GET ${PATH}`]: { words: ['loser'] }, [`PUT ${PATH}`]: { words: ['loser', 'shut up'] } })
    show(<WatchedWords lead />)

    await userEvent.click(screen.getByRole('button', { name: 'Watched words' }))
    await userEvent.type(await screen.findByLabelText('One word or phrase in a line'), '\nshut up')
    await userEvent.click(screen.getByRole('button', { name: 'Keep this list' }))

    await waitFor(() => expect(asked.at(-1)?.body).toEqual({ words: ['loser', 'shut up'], was: ['loser'] }))
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
  })

  it('stay as typed when they are refused, with the reason', async () => {
    const problem = {
      title: 'This list cannot be kept',
      status: 400,
      detail: '',
      whatToDo: 'Up to 60 characters each.',
      wrong: [],
    }
    serve({ [`GET ${PATH}`]: { words: [] }, [`PUT ${PATH}`]: { problem } })
    show(<WatchedWords lead />)

    await userEvent.click(screen.getByRole('button', { name: 'Watched words' }))
    await userEvent.type(await screen.findByLabelText('One word or phrase in a line'), '?!')
    await userEvent.click(screen.getByRole('button', { name: 'Keep this list' }))

    expect((await screen.findByRole('alert')).textContent).toContain('Up to 60 characters each.')
    expect(screen.getByLabelText<HTMLTextAreaElement>('One word or phrase in a line').value).toBe('?!')
  })

  it('are read by teachers, who cannot change them', async () => {
    serve({ [`GET ${PATH}`]: { words: ['loser'] } })
    show(<WatchedWords lead={false} />)

    await userEvent.click(screen.getByRole('button', { name: 'Watched words' }))

    expect((await screen.findByLabelText<HTMLTextAreaElement>('One word or phrase in a line')).readOnly).toBe(true)
    expect(screen.queryByRole('button', { name: 'Keep this list' })).toBeNull()
  })
})
