import { screen, waitFor, within } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { RegisterLine, RegisterPage } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import RegisterScreen from './RegisterScreen'

function line(name: string, more: Partial<RegisterLine> = {}): RegisterLine {
  return {
    person: name,
    name,
    mark: 'PRESENT',
    code: '',
    lateMinutes: 0,
    computed: 'PRESENT',
    computedLateMinutes: 0,
    earlyMinutes: 0,
    share: 96,
    drops: 0,
    minutes: 48,
    firstIn: '2026-09-14T08:07:00Z',
    lastOut: '2026-09-14T08:55:00Z',
    longestGapMinutes: 0,
    waitedMinutes: 2,
    stays: [{ from: '2026-09-14T08:07:00Z', until: '2026-09-14T08:55:00Z' }],
    waits: [],
    corrections: [],
    ...more,
  }
}

function page(more: Partial<RegisterPage> = {}): RegisterPage {
  return {
    lesson: 'l',
    classId: 'c',
    title: 'Seabird Ecology 8',
    starts: '2026-09-14T08:05:00Z',
    ends: '2026-09-14T08:55:00Z',
    begun: true,
    draft: false,
    calledOff: false,
    editable: true,
    codes: [],
    sums: [
      { mark: 'PRESENT', count: 1 },
      { mark: 'LATE', count: 1 },
    ],
    logs: [],
    lines: [line('Ines Carrow'), line('Jory Pell', { mark: 'LATE', lateMinutes: 7, computed: 'LATE', computedLateMinutes: 7 })],
    ...more,
  }
}

const AT = '/api/lessons/l/register'

function register(shown: RegisterPage, more: Record<string, unknown> = {}) {
  const asked = serve({ 'GET /api/standing': standingOf('TEACHER'), [`GET ${AT}`]: shown, ...more })
  show(<RegisterScreen />, '/lessons/l/register', '/lessons/:id/register')
  return asked
}

describe('the register', () => {
  it('says marks in words, with minutes and times as the school tells them', async () => {
    register(page())

    const jory = await screen.findByRole('row', { name: /Jory Pell/ })
    expect(within(jory).getByText('late by 7 min')).toBeTruthy()
    expect(within(jory).getByText('08:07')).toBeTruthy()
    expect(screen.getByRole('link', { name: 'Export as CSV' }).getAttribute('href')).toBe('/api/lessons/l/register.csv')
  })

  it('keeps a correction with its reason, and the computed mark beside it', async () => {
    const written = {
      mark: 'EXCUSED' as const,
      code: '',
      lateMinutes: 0,
      reason: 'ferry did not sail',
      by: 'Orla Venn',
      at: '2026-09-14T09:00:00Z',
    }
    const corrected = page({
      lines: [line('Jory Pell', { mark: 'EXCUSED', computed: 'LATE', computedLateMinutes: 7, corrections: [written] })],
    })
    const asked = register(page(), { [`POST ${AT}/corrections`]: corrected })

    await userEvent.click(await screen.findByRole('button', { name: 'Correct Jory Pell' }))
    await userEvent.selectOptions(await screen.findByLabelText('Mark'), 'excused')
    await userEvent.type(screen.getByLabelText('Reason'), 'ferry did not sail')
    await userEvent.click(screen.getByRole('button', { name: 'Keep the correction' }))

    expect(await screen.findByText(/computed: late by 7 min; Orla Venn: ferry did not sail/)).toBeTruthy()
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
      person: 'Jory Pell',
      mark: 'EXCUSED',
      code: '',
      lateMinutes: 0,
      reason: 'ferry did not sail',
    })
  })

  it("writes marks in the school's own codes, and asks which where several stand for one", async () => {
    const codes = [
      { code: 'V', meaning: 'voyage with the school', mark: 'EXCUSED' as const },
      { code: 'S', meaning: 'sick, told by phone', mark: 'EXCUSED' as const },
    ]
    const shown = page({ codes, lines: [line('Ines Carrow', { code: 'P' })] })
    const asked = register(shown, { [`POST ${AT}/corrections`]: shown })

    expect(within(await screen.findByRole('row', { name: /Ines Carrow/ })).getByText('P')).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Correct Ines Carrow' }))
    await userEvent.selectOptions(await screen.findByLabelText('Mark'), 'excused')
    await userEvent.selectOptions(screen.getByLabelText('Code'), 'S: sick, told by phone')
    await userEvent.type(screen.getByLabelText('Reason'), 'her mother rang')
    await userEvent.click(screen.getByRole('button', { name: 'Keep the correction' }))
    await waitFor(() => expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ mark: 'EXCUSED', code: 'S' }))
  })

  it('says so when the lesson was called off', async () => {
    register(page({ calledOff: true, draft: true, lines: [line('Ines Carrow', { mark: 'NOT_EXPECTED' })] }))
    expect(await screen.findByText(/This lesson was called off; nobody was expected/)).toBeTruthy()
  })

  it('is corrected by keys, row after row', async () => {
    const asked = register(page(), { [`POST ${AT}/corrections`]: page() })

    const ines = await screen.findByRole('row', { name: /Ines Carrow/ })
    ines.focus()
    await userEvent.keyboard('{ArrowDown}')
    expect(document.activeElement).toBe(screen.getByRole('row', { name: /Jory Pell/ }))
    await userEvent.keyboard('e')
    expect((await screen.findByLabelText<HTMLSelectElement>('Mark')).value).toBe('EXCUSED')
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Reason')))
    await userEvent.keyboard('sick bed{Enter}')
    await waitFor(() =>
      expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ person: 'Jory Pell', mark: 'EXCUSED' }),
    )
    await waitFor(() => expect(document.activeElement?.getAttribute('data-pupil')).toBe('Jory Pell'))
  })

  it('is signed, and opened again only with a reason', async () => {
    const signed = page({ editable: false, signed: { by: 'Orla Venn', at: '2026-09-14T09:10:00Z', reopenable: true } })
    const asked = register(page(), { [`POST ${AT}/sign`]: signed, [`POST ${AT}/reopen`]: page() })

    await userEvent.click(await screen.findByRole('button', { name: 'Sign the register' }))
    expect((await screen.findByText(/Signed by/)).textContent).toContain('Orla Venn, Mon 14 Sept 09:10')
    expect(screen.queryByRole('button', { name: 'Correct Jory Pell' })).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Open it again…' }))
    await userEvent.type(await screen.findByLabelText('Why'), 'a parent called')
    await userEvent.click(screen.getByRole('button', { name: 'Open it again' }))
    await waitFor(() => expect(asked.at(-1)?.body).toEqual({ reason: 'a parent called' }))
    expect(await screen.findByRole('button', { name: 'Sign the register' })).toBeTruthy()
  })

  it('is only a draft while the lesson runs: nothing to correct yet', async () => {
    register(page({ draft: true }))

    expect(await screen.findByText(/this is a draft/)).toBeTruthy()
    expect(screen.queryByRole('button', { name: 'Correct Jory Pell' })).toBeNull()
  })

  it('says whose it is when it is not yours', async () => {
    register(page(), {
      [`GET ${AT}`]: {
        problem: {
          type: '/problems/not-yours',
          title: 'You are not an adult of “Seabird Ecology 8”',
          status: 403,
          detail: '',
          whatToDo: 'Ask Orla Venn.',
          wrong: [],
        },
      },
    })

    expect((await screen.findByRole('alert')).textContent).toContain('Ask Orla Venn.')
  })
})
