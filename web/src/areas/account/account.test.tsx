import { screen, waitFor } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { Account, PersonLine, Upkeep } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import { ageOf } from '../../shared/upkeep/age'
import SignInScreen from '../entrance/SignInScreen'
import { AccountSheet } from '../people/AccountSheet'
import { AddPerson } from '../people/AddPerson'
import UpkeepScreen from '../upkeep/UpkeepScreen'
import AccountScreen from './AccountScreen'

const ACCOUNT: Account = {
  name: 'Orla Venn',
  signIn: 'orla',
  hasPassword: true,
  missing: 'NOTHING',
  factor: false,
  recoveryCodes: 0,
  signIns: [
    { id: 'a', began: '2026-09-14T08:00:00Z', expires: '2026-09-14T20:00:00Z', browser: 'A browser on a ferry', here: false },
    { id: 'b', began: '2026-09-14T10:00:00Z', expires: '2026-09-14T22:00:00Z', browser: 'This one', here: true },
  ],
}

const problem = (type: string, title: string, status = 409) => ({
  problem: { type: `/problems/${type}`, title, status, detail: '', whatToDo: '', wrong: [] },
})

describe('one’s own account', () => {
  it('says what must be done first, and changes the password only where both are the same', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/account': { ...ACCOUNT, missing: 'OWN_PASSWORD' },
      'PUT /api/account/password': {},
    })
    show(<AccountScreen />)

    await userEvent.type(await screen.findByLabelText('The code you came in with'), 'abcd-efgh-jkmn')
    await userEvent.type(screen.getByLabelText('New password'), 'slack tide harbour')
    await userEvent.type(screen.getByLabelText('The same again'), 'slack tide')
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Change it' }).disabled).toBe(true)
    await userEvent.type(screen.getByLabelText('The same again'), ' harbour')
    await userEvent.click(screen.getByRole('button', { name: 'Change it' }))

    expect(await screen.findByText(/Wherever else you were signed in/)).toBeTruthy()
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
      current: 'abcd-efgh-jkmn',
      password: 'slack tide harbour',
    })
  })

  it('sets a second factor up with a code of the telephone and shows the recovery codes once', async () => {
    serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/account': ACCOUNT,
      'POST /api/account/factor': { secret: 'ABCDEFGH', address: 'otpauth://x', picture: '<svg/>' },
      'PUT /api/account/factor': { codes: ['aaaa-bbbb-cccc', 'dddd-eeee-ffff'] },
    })
    show(<AccountScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'Set up a second factor' }))
    expect(await screen.findByText('ABCD EFGH')).toBeTruthy()
    await userEvent.type(screen.getByLabelText('The six digits it shows now'), '123456')
    await userEvent.type(screen.getByLabelText('Your password'), 'slack tide harbour')
    await userEvent.click(screen.getByRole('button', { name: 'Use it from now on' }))

    expect(await screen.findByText('dddd-eeee-ffff')).toBeTruthy()
  })

  it('ends another sign-in and never the own', async () => {
    const asked = serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/account': ACCOUNT,
      'DELETE /api/account/sign-ins/a': ACCOUNT,
    })
    show(<AccountScreen />)

    await userEvent.click(await screen.findByRole('button', { name: 'End it' }))

    await waitFor(() => expect(asked.some((one) => one.path === '/api/account/sign-ins/a')).toBe(true))
    expect(screen.getAllByRole('button', { name: 'End it' })).toHaveLength(1)
  })
})

describe('signing in', () => {
  it('asks for the code of the telephone only once name and password are right', async () => {
    const asked = serve({
      'GET /api/standing': { ...standingOf('LEAD'), me: null },
      'POST /api/session': problem('second-factor', 'Your code is needed too'),
    })
    show(<SignInScreen />)

    await userEvent.type(await screen.findByLabelText('Name'), 'maren')
    await userEvent.type(screen.getByLabelText('Password'), 'slack tide harbour')
    expect(screen.queryByLabelText('Code of your telephone')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }))
    await userEvent.type(await screen.findByLabelText('Code of your telephone'), '123456')
    await userEvent.click(screen.getByRole('button', { name: 'Sign in' }))

    await waitFor(() => expect(asked.filter((one) => one.method === 'POST')).toHaveLength(2))
    expect(asked.at(-1)?.body).toEqual({ name: 'maren', password: 'slack tide harbour', code: '123456' })
  })
})

const PERSON: PersonLine = {
  id: 'piet',
  name: 'Piet Quarrel',
  position: 'TEACHER',
  year: 0,
  signIn: 'piet',
  ended: false,
  factor: true,
}

describe('accounts of others', () => {
  it('are made with a code that is shown this once', async () => {
    serve({
      'POST /api/people': {
        person: 'piet',
        name: 'Piet Quarrel',
        signIn: 'piet',
        code: 'k7mp-4xwd-9trf',
        until: '2026-09-21T10:00:00Z',
      },
    })
    show(<AddPerson />)

    await userEvent.type(screen.getByLabelText('Name'), 'Piet Quarrel')
    await userEvent.type(screen.getByLabelText('Name to sign in with'), 'piet')
    await userEvent.click(screen.getByRole('button', { name: 'Add' }))

    expect(await screen.findByText('k7mp-4xwd-9trf')).toBeTruthy()
  })

  it('end now or on a day, and lose a second factor whose telephone is lost', async () => {
    const asked = serve({ 'PUT /api/people/piet/end': [PERSON], 'POST /api/people/piet/factor/end': [PERSON] })
    show(<AccountSheet person={PERSON} onClose={() => {}} />)

    await userEvent.type(await screen.findByLabelText('The account ends on'), '2027-07-01')
    await userEvent.click(screen.getByRole('button', { name: 'End it on that day' }))
    await userEvent.click(screen.getByRole('button', { name: /telephone lost/ }))

    await waitFor(() => expect(asked).toHaveLength(2))
    expect(asked[0]?.body).toEqual({ ends: '2027-07-01' })
  })
})

const UPKEEP: Upkeep = {
  now: '2026-09-14T10:00:00Z',
  checks: [
    { what: 'journal', well: true, ready: true, say: 'What is ordered reaches the disk.' },
    { what: 'disk', well: false, ready: true, say: 'The disk is nearly full: 120 MB are left.' },
  ],
  folder: '/srv/backups',
  hour: 3,
  keep: 14,
  lastBackup: '2026-09-14T03:00:00Z',
  backups: [{ file: 'juricast-2026.db', at: '2026-09-14T03:00:00Z', bytes: 5_000_000 }],
}

describe('upkeep', () => {
  it('says what needs looking after and who looked at what about whom', async () => {
    serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/upkeep': UPKEEP,
      'GET /api/looks?': {
        keptDays: 365,
        lines: [
          {
            number: 7,
            at: '2026-09-14T09:00:00Z',
            kind: 'LOOKED',
            who: 'Orla Venn',
            about: 'Ines Carrow',
            place: 'the pupil’s page',
            address: '127.0.0.1',
          },
        ],
      },
    })
    show(<UpkeepScreen />)

    expect(await screen.findByText(/nearly full/)).toBeTruthy()
    expect(screen.getByText('juricast-2026.db')).toBeTruthy()
    expect(await screen.findByText('the pupil’s page')).toBeTruthy()
    expect(screen.getByText(/Kept for 365 days/)).toBeTruthy()
  })

  it('tells ages in the largest unit that says enough', () => {
    const now = '2026-09-14T10:00:00Z'
    expect(ageOf('2026-09-14T09:59:00Z', now)).toBe('1 minute')
    expect(ageOf('2026-09-14T03:00:00Z', now)).toBe('7 hours')
    expect(ageOf('2026-09-10T03:00:00Z', now)).toBe('4 days')
  })
})
