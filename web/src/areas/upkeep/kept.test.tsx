import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it } from 'vitest'
import { serve, show, standingOf } from '../../shared/testing'
import { Leaving } from '../people/Leaving'
import KeptScreen from './KeptScreen'

it('says what goes next week by which rule, what is held and what went', async () => {
  serve({
    'GET /api/standing': standingOf('LEAD'),
    'GET /api/kept': {
      kinds: [
        {
          kind: 'WORDS',
          rule: 'chat.kept-days',
          title: 'How long the chat is kept',
          days: 180,
          ofLessons: true,
          nextWeek: 3,
          held: 1,
        },
        { kind: 'DEVICES', rule: 'd', title: 'How long a device is known', days: 90, ofLessons: false, nextWeek: 0, held: 0 },
      ],
      held: [{ lesson: 'l', title: 'Tidal Navigation 8', why: 'a quarrel', by: 'Maren Oddlund', since: '2026-09-10T08:00:00Z' }],
      went: [{ at: '2026-09-11T01:00:00Z', kind: 'WORDS', about: 'Harbour Law 9', rule: 'chat.kept-days', count: 12 }],
      backupsKept: 14,
    },
  })
  show(<KeptScreen />)

  expect(await screen.findByText(/3 things go in the next seven days/)).toBeTruthy()
  expect(screen.getByText(/a quarrel/)).toBeTruthy()
  expect(screen.getByText(/Words and files of lessons: Harbour Law 9/)).toBeTruthy()
})

it('a pupil is erased only after the name was typed, and what rules keep is named', async () => {
  const page = {
    name: 'Jory Pell',
    goes: [{ what: 'marks for making groups', count: 2 }],
    kept: [{ what: 'lessons with their register', rule: 'How long registers are kept', days: 1095, count: 9 }],
  }
  const asked = serve({ 'GET /api/people/jory/leaving': page, 'POST /api/people/jory/leaving': page })
  show(
    <Leaving
      person={
        {
          id: 'jory',
          name: 'Jory Pell',
          position: 'PUPIL',
          signIn: '',
          year: 8,
          ended: false,
          factor: false,
          number: '1',
        } as never
      }
    />,
  )
  await userEvent.click(screen.getByRole('button', { name: /They leave/ }))
  const erase = await screen.findByRole<HTMLButtonElement>('button', { name: /Erase it/ })
  expect(erase.disabled).toBe(true)
  await userEvent.type(screen.getByLabelText(/type the name/), 'Jory Pell')
  await userEvent.click(erase)
  await waitFor(() => expect(asked.find((one) => one.method === 'POST')?.body).toEqual({ name: 'Jory Pell' }))
  expect(await screen.findByText('Erased:')).toBeTruthy()
  expect(screen.getByText(/lessons with their register \(9, 1095 days\)/)).toBeTruthy()
})
