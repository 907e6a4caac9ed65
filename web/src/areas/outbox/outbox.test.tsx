import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { MessageTemplate, SentLine } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import OutboxScreen from './OutboxScreen'

const sent = (id: number, name: string, more: Partial<SentLine> = {}): SentLine => ({
  id,
  kind: 'REMINDER',
  name,
  way: 'TEXT',
  subject: 'Tidal Navigation 8 at 10:15',
  body: `Hello ${name}`,
  at: '2026-09-14T10:05:00Z',
  ...more,
})

const WORDS: MessageTemplate[] = [
  { kind: 'REMINDER', title: 'Reminder', subject: '{class} soon', body: 'Hello {name}', own: true, places: ['name', 'class'] },
  { kind: 'NUDGE', title: 'Nudge', subject: 'Come', body: 'You are missed', own: false, places: ['name'] },
]

function outbox(position: 'LEAD' | 'TEACHER', answers: Record<string, unknown> = {}) {
  const asked = serve({
    'GET /api/standing': standingOf(position),
    'GET /api/outbox?name=': {
      messages: [sent(10, 'Ines Carrow'), sent(9, 'Elva Marsh'), sent(8, 'Jory Pell', { kind: 'NUDGE' })],
      more: true,
    },
    'GET /api/outbox?name=&before=8': { messages: [sent(7, 'Bo Lindqvar')], more: false },
    'GET /api/outbox?name=&kind=NUDGE': { messages: [], more: false },
    'GET /api/outbox/templates': WORDS,
    ...answers,
  })
  show(<OutboxScreen />)
  return asked
}

describe('the outbox', () => {
  it('shows what went out to whom, the words of one, and older ones', async () => {
    outbox('TEACHER')

    await userEvent.click(await screen.findByRole('button', { name: /to 2 people: Ines Carrow, Elva Marsh/ }))
    expect(screen.getByText('Hello Ines Carrow')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Elva Marsh' }))
    expect(screen.getByText('Hello Elva Marsh')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Show older ones' }))
    expect(await screen.findByText(/Bo Lindqvar/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Show older ones' })).toBeNull()
    expect(screen.getByText('The safeguarding lead chooses the words.')).toBeTruthy()
  })

  it('says so where nothing of a kind went out', async () => {
    outbox('TEACHER')

    await userEvent.selectOptions(await screen.findByLabelText('Kind'), 'nudge')
    expect(await screen.findByText('Nothing of this kind went out to them.')).toBeTruthy()
  })

  it('lets the lead put other words, and brings the usual ones back', async () => {
    const asked = outbox('LEAD', { 'PUT /api/outbox/templates/REMINDER': WORDS })

    const words = await screen.findByLabelText('Words')
    await userEvent.clear(words)
    await userEvent.click(words)
    await userEvent.paste('Ahoy {name}')
    await userEvent.click(screen.getByRole('button', { name: 'Use these words' }))
    await waitFor(() => expect(asked.at(-1)?.body).toEqual({ subject: '{class} soon', body: 'Ahoy {name}' }))
    await userEvent.click(screen.getByRole('button', { name: 'Back to the usual words' }))
    await waitFor(() => expect(asked.at(-1)?.body).toEqual({}))
  })
})
