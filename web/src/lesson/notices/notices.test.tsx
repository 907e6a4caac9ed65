import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { expect, it, vi } from 'vitest'
import type { Seat } from '../../shared/api/types'
import { show } from '../../shared/testing'
import { aDesk, at, NOW } from '../testing'
import { NoticeMaker, notices } from './notices'
import { Banner } from './SeatNotices'
import { WelcomeNote } from './WelcomeNote'

const up = { number: 8, text: 'The ferry leaves at noon.', by: 'Orla Venn', at: at('10:10:00') }

it('an announcement is put up, stays with who and when, and is taken down by one press', async () => {
  const give = vi.fn()
  show(<NoticeMaker desk={aDesk()} give={give} />)
  expect(screen.getByRole('button', { name: 'Put it up' }).hasAttribute('disabled')).toBe(true)
  await userEvent.type(screen.getByLabelText('Announcement'), 'The ferry leaves')
  await userEvent.click(screen.getByRole('button', { name: 'Put it up' }))
  await userEvent.type(screen.getByLabelText('Welcome'), 'Hello')
  await userEvent.click(screen.getByRole('button', { name: 'Welcome them so' }))
  show(<notices.page.UnderHead desk={aDesk({ notices: { up: [up] } })} now={NOW} give={give} />)
  expect(screen.getByText('Orla Venn, 10:10')).toBeTruthy()
  await userEvent.click(screen.getByRole('button', { name: 'Take it down' }))
  expect(give.mock.calls.map(([order]) => order)).toEqual([
    { do: 'announce', text: 'The ferry leaves' },
    { do: 'welcome', text: 'Hello' },
    { do: 'take-down', number: 8 },
  ])
})

it('at the seat announcements stay, and a welcome goes when it was read', async () => {
  const seat = { notices: { up: [up], welcome: { number: 0, text: 'Bring a pencil', by: 'Orla Venn', at: at('09:00:00') } } }
  show(<Banner seat={seat as unknown as Seat} />)
  expect(screen.getByText(/The ferry leaves at noon/)).toBeTruthy()
  await userEvent.click(screen.getByRole('button', { name: 'I have read it' }))
  expect(screen.queryByText(/Bring a pencil/)).toBeNull()
  expect(screen.getByText(/The ferry leaves at noon/)).toBeTruthy()
  show(<WelcomeNote welcome={undefined} />)
})
