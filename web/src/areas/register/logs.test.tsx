import { fireEvent, screen, waitFor } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import type { LogName, LogPreview } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import { LogImport } from './LogImport'

const LIST = [
  { id: 'ines', name: 'Ines Carrow' },
  { id: 'jory', name: 'Jory Pell' },
]

const log = (more: Partial<LogPreview>): LogPreview => ({
  fingerprint: 'f1',
  zone: 'UTC',
  heading: ['Who', 'Came', 'Went'],
  columns: { name: 0, joined: 1, left: 2, minutes: -1 },
  remembered: false,
  questions: [],
  names: [],
  open: 0,
  wrong: [],
  wrongInAll: 0,
  likelyZone: 'UTC',
  likelyUnit: 'MINUTES',
  doubts: [],
  doubtsInAll: 0,
  list: LIST,
  ...more,
})

const asking = (order: string, decided: object, more = {}, columns = '') =>
  new URLSearchParams({ order, zone: '', unit: '', columns, decided: JSON.stringify(decided), ...more }).toString()

describe('a log of another service', () => {
  it('asks what is not certain, and is taken only when every name is decided', async () => {
    const exact: LogName = { name: 'Ines Carrow', certainty: 'EXACT', who: 'ines', candidates: [LIST[0]!], rows: 2, minutes: 40 }
    const open: LogName = { name: 'J. Pell', certainty: 'SIMILAR', candidates: [LIST[1]!], rows: 1, minutes: 50 }
    const decided = { 'J. Pell': 'jory' }
    const wrong = [{ line: 4, message: 'Bo Lindqvar has no time of leaving. How long they stayed is not guessed.' }]
    const at = 'POST /api/lessons/l/logs'
    const asked = serve({
      [`${at}/preview?${asking('', {})}`]: log({ questions: ['DATE_ORDER'], names: [exact, open], open: 1 }),
      [`${at}/preview?${asking('DAY_FIRST', {})}`]: log({ names: [exact, open], open: 1, wrong, wrongInAll: 1 }),
      [`${at}/preview?${asking('DAY_FIRST', decided)}`]: log({ fingerprint: 'f2', names: [exact, { ...open, who: 'jory' }] }),
      [`${at}?${asking('DAY_FIRST', decided, { fingerprint: 'f2', name: 'log.csv' })}`]: log({}),
    })
    const taken = vi.fn()
    show(<LogImport lesson="l" onTaken={taken} />)

    fireEvent.change(screen.getByLabelText('Log file'), { target: { files: [new File(['x'], 'log.csv')] } })
    fireEvent.change(await screen.findByLabelText('Dates such as 03/04 are'), { target: { value: 'DAY_FIRST' } })
    expect(await screen.findByText(/Line 4: Bo Lindqvar has no time of leaving/)).toBeTruthy()
    expect(screen.getByText('One name is still to be decided.')).toBeTruthy()
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take this log' }).disabled).toBe(true)
    fireEvent.change(screen.getByLabelText('Who is J. Pell'), { target: { value: 'jory' } })
    await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Take this log' }).disabled).toBe(false))
    fireEvent.click(screen.getByRole('button', { name: 'Take this log' }))
    await waitFor(() => expect(taken).toHaveBeenCalled())
    expect(asked.at(-1)?.path).toContain('fingerprint=f2')
  })

  it('asks for the unit of lengths and for the zone, with the likelier answer, and shows what deserves a look', async () => {
    const at = 'POST /api/lessons/l/logs/preview'
    const path = (unit: string, zone: string) =>
      `${at}?${new URLSearchParams({ order: '', zone, unit, columns: '', decided: '{}' })}`
    const doubts = [{ line: 7, message: 'This goes on beyond the lesson' }]
    serve({
      [path('', '')]: log({ questions: ['UNIT', 'ZONE'], likelyUnit: 'SECONDS', likelyZone: '+01:00', doubts, doubtsInAll: 1 }),
      [path('SECONDS', '')]: log({ questions: ['ZONE'], likelyZone: '+01:00' }),
      [path('SECONDS', 'UTC')]: log({}),
    })
    show(<LogImport lesson="l" onTaken={vi.fn()} />)

    fireEvent.change(screen.getByLabelText('Log file'), { target: { files: [new File(['x'], 'log.csv')] } })
    expect(await screen.findByText(/numbers look like seconds/)).toBeTruthy()
    expect(screen.getByRole('region', { name: 'What is taken and to be known' }).textContent).toContain('Line 7')
    fireEvent.change(screen.getByLabelText('How long people stayed is counted in'), { target: { value: 'SECONDS' } })
    await waitFor(() => expect(screen.queryByLabelText('How long people stayed is counted in')).toBeNull())
    expect(screen.getByText(/as if they were told in the zone \+01:00/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'The times are right as they are' }))
    await waitFor(() => expect(screen.queryByText(/as if they were told/)).toBeNull())
  })

  it('proposes which column is what, and is told otherwise', async () => {
    const at = 'POST /api/lessons/l/logs/preview'
    const unread = { name: -1, joined: 1, left: 2, minutes: -1 }
    serve({
      [`${at}?${asking('', {})}`]: log({
        columns: unread,
        wrong: [{ line: 0, message: 'No column holds names.' }],
        wrongInAll: 1,
      }),
      [`${at}?${asking('', {}, {}, '0,1,2,-1')}`]: log({ remembered: true }),
    })
    show(<LogImport lesson="l" onTaken={vi.fn()} />)

    fireEvent.change(screen.getByLabelText('Log file'), { target: { files: [new File(['x'], 'log.csv')] } })
    expect(await screen.findByText(/No column holds names/)).toBeTruthy()
    expect(screen.getByText('This log cannot be read yet')).toBeTruthy()
    expect(screen.queryByRole('alert')).toBeNull()
    expect(screen.getByText('by their heading')).toBeTruthy()
    fireEvent.change(screen.getByLabelText('Names'), { target: { value: '0' } })
    expect(await screen.findByText('as you said of such a file before')).toBeTruthy()
    expect(screen.queryByText(/No column holds names/)).toBeNull()
  })

  it('says so when there is no roster to match names with', async () => {
    serve({ [`POST /api/lessons/l/logs/preview?${asking('', {})}`]: log({ list: [] }) })
    show(<LogImport lesson="l" onTaken={vi.fn()} />)
    fireEvent.change(screen.getByLabelText('Log file'), { target: { files: [new File(['x'], 'log.csv')] } })
    expect((await screen.findByRole('alert')).textContent).toMatch(/Import the roster first/)
  })
})
