import { screen, within } from '@testing-library/react'
import { describe, expect, it } from 'vitest'
import type { AfterLesson, Heard } from '../../shared/api/types'
import { serve, show, standingOf } from '../../shared/testing'
import AfterwardsScreen from './AfterwardsScreen'

const said = (number: number, text: string, more: Partial<Heard> = {}): Heard => ({
  number,
  at: '2026-09-14T10:16:00Z',
  mine: false,
  from: 'Orla Venn',
  to: 'CLASS',
  toName: '',
  text,
  ...more,
})

const LESSON: AfterLesson = {
  lesson: 'tidal',
  title: 'Tidal Navigation 8',
  from: '2026-09-14T10:05:00Z',
  until: '2026-09-14T10:55:00Z',
  isAdult: true,
  words: [
    said(3, 'page nine'),
    said(5, 'chart.pdf', { file: { kind: 'documents', bytes: 2000 } }),
    said(7, 'well done', { mine: true, to: 'ONE', toName: 'Ines Carrow' }),
  ],
  boards: [
    { place: 'together', pages: [0, 12] },
    { place: 'g1', name: 'Reef', pages: [0] },
  ],
  material: [{ number: 2, at: '2026-09-14T10:06:00Z', by: 'Orla Venn', title: 'Tide table', body: 'https://tides.example' }],
  erased: {},
}

function page(position: 'TEACHER' | 'PUPIL', more: Partial<AfterLesson> = {}) {
  serve({ 'GET /api/standing': standingOf(position), 'GET /api/lessons/tidal/afterwards': { ...LESSON, ...more } })
  show(<AfterwardsScreen />, '/lessons/tidal/afterwards', '/lessons/:id/afterwards')
}

const part = async (name: string) => within(await screen.findByRole('region', { name }))

describe('after the lesson', () => {
  it('an adult reads words, files, boards of all places and what was handed out, and goes on to register and replay', async () => {
    page('TEACHER')
    const words = await part('Words')
    expect(words.getByText('page nine')).toBeTruthy()
    expect(words.getByText('to Ines Carrow:').parentElement?.textContent).toBe('You to Ines Carrow: well done')
    expect(words.getByRole('link', { name: 'chart.pdf' }).getAttribute('href')).toBe('/api/lessons/tidal/afterwards/files/5')
    const board = await part('The board')
    expect(board.getAllByRole('img').map((one) => one.getAttribute('alt'))).toEqual(['Page 1', 'Page 2', 'Page 1 of Reef'])
    expect(board.getAllByRole('img')[1]?.getAttribute('src')).toBe(
      '/api/lessons/tidal/afterwards/board.svg?place=together&page=12',
    )
    expect((await part('Handed out')).getByRole('link').getAttribute('href')).toBe('https://tides.example')
    expect(screen.getByRole('link', { name: 'the register' }).getAttribute('href')).toBe('/lessons/tidal/register')
  })

  it('a pupil is told what stays with the school, what was erased when, and where there was nothing', async () => {
    page('PUPIL', {
      isAdult: false,
      words: undefined,
      boards: [],
      material: [],
      erased: { BOARD: '2027-03-13T10:00:00Z' },
    })
    expect((await part('Words')).getByText(/by its rules pupils do not keep a copy/)).toBeTruthy()
    expect((await part('The board')).getByText(/Erased on .*13 Mar/)).toBeTruthy()
    expect((await part('Handed out')).getByText('Nothing was handed out.')).toBeTruthy()
    expect(screen.queryByRole('link', { name: 'the register' })).toBeNull()
  })
})
