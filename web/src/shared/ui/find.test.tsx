import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import type { FoundLine } from '../api/types'
import { serve, show, standingOf } from '../testing'
import { hitOf } from './find'
import { Page } from './Page'

const NOW = Date.parse('2026-09-14T10:10:00Z')

const line = (more: Partial<FoundLine>): FoundLine => ({
  act: 'SEE',
  kind: 'LESSON',
  id: 'tidal-1',
  name: 'Tidal Navigation 8',
  detail: 'Mon 14 Sep, 10:20',
  lesson: 'tidal-1',
  ofClass: 'tidal',
  starts: '2026-09-14T10:20:00Z',
  ends: '2026-09-14T11:10:00Z',
  ...more,
})

describe('what is found', () => {
  it('leads to where its act is done', () => {
    const to = (more: Partial<FoundLine>) => hitOf(line(more), NOW).to
    expect(to({})).toBe('/lessons/tidal-1/desk')
    expect(to({ ends: '2026-09-14T09:00:00Z' })).toBe('/lessons/tidal-1/register')
    expect(to({ act: 'COVER' })).toBe('/timetable?from=2026-09-14&lesson=tidal-1&do=cover')
    expect(to({ act: 'RULES', kind: 'CLASS', id: 'tidal' })).toBe('/rules/class:tidal')
    expect(to({ act: 'REGISTER', kind: 'PUPIL', id: 'ines' })).toBe('/pupils/ines/attendance')
    expect(to({ act: 'JOINING', kind: 'CLASS', id: 'tidal' })).toBe('/classes/tidal?part=Joining')
    expect(to({ kind: 'RULE', id: 'chat.class', name: 'Write to the whole class' })).toBe(
      '/charter?find=Write%20to%20the%20whole%20class',
    )
    expect(hitOf(line({ kind: 'CLASS', detail: '' }), NOW).detail, 'one of the same name is a lesson').toBe('class')
    const why = hitOf(line({ act: 'WHY', kind: 'PUPIL', id: 'ines', name: 'Ines Carrow', rule: 'chat.class' }), NOW)
    expect(why.to).toBeUndefined()
    expect(why.why).toBe('/api/lessons/tidal-1/why/chat.class?person=ines')
  })

  it('is opened by one key, chosen with arrows and gone to with Enter, and no letter typed in a box opens it', async () => {
    serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/working-day': { now: '', waiting: [] },
      'GET /api/find?typed=tidal': [line({}), line({ act: 'SEE', kind: 'CLASS', id: 'tidal', detail: '' })],
    })
    show(<Page title="x">{() => <input aria-label="a box" />}</Page>, '/here', '/here')
    await screen.findByRole('button', { name: /Find and do/ })
    await userEvent.type(await screen.findByLabelText('a box'), '/')
    expect(screen.queryByRole('combobox')).toBeNull()
    ;(document.activeElement as HTMLElement).blur()
    await userEvent.keyboard('/')
    await userEvent.type(await screen.findByRole('combobox'), 'tidal')
    await screen.findAllByRole('option')
    await userEvent.keyboard('{ArrowDown}')
    expect(screen.getAllByRole('option').map((one) => one.getAttribute('aria-selected'))).toEqual(['false', 'true'])
    await userEvent.keyboard('{Enter}')
    expect(await screen.findByText('another page')).toBeTruthy()
  })

  it('is told apart from help: ? says what the page is for, its keys, and where the card to print is', async () => {
    const page = { card: 'LEAD', title: 'Corridor', what: 'All live lessons.', how: ['Step in.'], keys: [], signs: [] }
    serve({
      'GET /api/standing': standingOf('LEAD'),
      'GET /api/working-day': { now: '', waiting: [] },
      'GET /api/guide?at=%2Fhere': { ...page, keys: [{ key: 'A', does: 'let in' }] },
    })
    show(<Page title="x">{() => <p>work</p>}</Page>, '/here', '/here')
    await screen.findByText('work')
    await userEvent.keyboard('?')
    expect(await screen.findByText('All live lessons.', { exact: false })).toBeTruthy()
    expect(screen.getByText('let in', { exact: false })).toBeTruthy()
    expect(screen.getByRole('link', { name: /card to print/ }).getAttribute('href')).toBe('/api/guide/LEAD.pdf')
  })

  it('says so when nothing of one’s own is called so, and finds pages too', async () => {
    serve({
      'GET /api/standing': standingOf('TEACHER'),
      'GET /api/working-day': { now: '', waiting: [] },
      'GET /api/find?typed=zzz': [],
      'GET /api/find?typed=insp': [],
    })
    show(<Page title="x">{() => null}</Page>, '/here', '/here')
    await userEvent.click(await screen.findByRole('button', { name: 'Find and do' }))
    const box = await screen.findByRole('combobox')
    await userEvent.type(box, 'zzz')
    expect(await screen.findByText(/Nothing of yours is called so/)).toBeTruthy()
    await userEvent.clear(box)
    await userEvent.type(box, 'insp{Enter}')
    expect(await screen.findByText('another page')).toBeTruthy()
  })
})
