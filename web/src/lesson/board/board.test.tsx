import { screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { Desk, MarkLine, Seat } from '../../shared/api/types'
import { serve, show } from '../../shared/testing'
import type { Order } from '../orders'
import { aDesk, aPupil, aTable } from '../testing'
import { DeskBoard } from './DeskBoard'
import SeatBoard from './SeatBoard'

const mark = (number: number, author: string, authorName: string): MarkLine => ({
  number,
  author,
  authorName,
  shape: 'LINE',
  ink: 'GREEN',
  width: 2,
  points: [1, 1, 9, 9],
  text: '',
})
const SHEET = {
  number: 9,
  sheet: 'board together 1200',
  me: 'orla',
  page: { id: 1200 },
  marks: [mark(3, 'jory-pell', 'Jory Pell')],
}

function board(more: Record<string, unknown> = {}, desk: Partial<Desk['board']> = {}) {
  const asked = serve({ 'GET /api/lessons/tidal/board?page=1200': SHEET, ...more })
  const give = vi.fn<(order: Order) => void>()
  const shown = {
    ...aDesk({ pupils: [aPupil('Jory Pell')] }),
    board: {
      place: 'together',
      shown: 1200,
      pages: [{ id: 0 }, { id: 1200, under: { file: 'f1', width: 8, height: 5 } }, { id: 1201 }],
      ...desk,
    },
  }
  show(<DeskBoard desk={shown} lesson="tidal" give={give} onList={() => {}} onShow={() => {}} />)
  return { asked, give }
}

describe('the board at the desk', () => {
  it('takes the pen and wipes in one act, or only wipes', async () => {
    const { give } = board()
    await userEvent.click(await screen.findByRole('button', { name: 'Take the pen and wipe' }))
    await userEvent.click(screen.getByRole('button', { name: 'Only wipe' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'take-pen', person: 'jory-pell', minutes: 10 },
      { do: 'wipe', of: 'jory-pell', place: undefined },
    ])
  })

  it('asks once before a page is wiped or removed for everybody', async () => {
    const { give } = board()
    const choose = async (name: string, answer: string) => {
      await userEvent.click(await screen.findByRole('button', { name: 'Pages and files' }))
      await userEvent.click(await screen.findByRole('menuitem', { name }))
      await userEvent.click(await screen.findByRole('button', { name: answer }))
    }
    await choose('Wipe this page…', 'Leave it as it is')
    expect(give).not.toHaveBeenCalled()
    await choose('Wipe this page…', 'Wipe this page')
    await choose('Remove this page…', 'Remove this page')
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'wipe', of: null, place: undefined },
      { do: 'remove-page', page: 1200 },
    ])
  })

  it('is turned page by page, with the picture under it', async () => {
    const { give } = board()
    expect(await screen.findByText('2 of 3')).toBeTruthy()
    await screen.findByRole('img', { name: 'Board, 1 mark' })
    expect(document.querySelector('image')?.getAttribute('href')).toBe('/api/lessons/tidal/board/pictures/f1')
    await userEvent.click(screen.getByRole('button', { name: '← page before' }))
    await userEvent.click(screen.getByRole('button', { name: 'next page →' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'turn-page', page: 0 },
      { do: 'turn-page', page: 1201 },
    ])
  })

  it('opens an earlier board, and brings a file that is refused in words', async () => {
    const { give } = board({
      'GET /api/lessons/tidal/board/earlier': [
        { lesson: 'before', title: 'Tidal Navigation 8', starts: '2026-09-10T10:00:00Z', pages: 2, marks: 14 },
      ],
      'POST /api/lessons/tidal/board/files': {
        problem: {
          type: 't',
          title: 'This file was not brought in',
          status: 409,
          detail: 'It is locked with a password.',
          whatToDo: 'w',
          wrong: [],
        },
      },
    })
    await userEvent.click(await screen.findByRole('button', { name: 'Pages and files' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'The board of an earlier lesson…' }))
    expect(await screen.findByText(/14 marks on 2 pages/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Open it here' }))
    expect(give).toHaveBeenCalledWith({ do: 'bring-board', from: 'before', place: undefined })
    await userEvent.click(screen.getByRole('button', { name: 'Pages and files' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'A PDF or a picture…' }))
    await userEvent.upload(
      await screen.findByLabelText('A PDF or a picture'),
      new File(['x'], 'a.pdf', { type: 'application/pdf' }),
    )
    expect(await screen.findByText(/locked with a password/)).toBeTruthy()
  })

  it('is drawn on by everybody, nobody, or one group', async () => {
    serve({ 'GET /api/lessons/tidal/board?page=0': { ...SHEET, page: { id: 0 } } })
    const give = vi.fn<(order: Order) => void>()
    const desk = aDesk({ groups: { tables: [aTable('g1', 'Reef', ['Ines Carrow', 'Jory Pell'])] } })
    show(<DeskBoard desk={desk} lesson="tidal" give={give} onList={() => {}} onShow={() => {}} />)
    await userEvent.click(await screen.findByRole('button', { name: 'Pages and files' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Reef, for 10 min' }))
    await userEvent.click(screen.getByRole('button', { name: 'Pages and files' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'Nobody but adults' }))
    expect(give.mock.calls.map(([order]) => order)).toEqual([
      { do: 'pass', person: 'ines-carrow', rule: 'share.draw', minutes: 10 },
      { do: 'pass', person: 'jory-pell', rule: 'share.draw', minutes: 10 },
      { do: 'set', rule: 'share.draw', value: 'closed' },
    ])
  })

  it('gives a phone a link for once, as a code and in letters', async () => {
    board({
      'POST /api/lessons/tidal/board/phone': { url: 'https://x.example/bring/abc', qr: '<svg/>', until: '2026-09-14T10:27:00Z' },
    })
    await userEvent.click(await screen.findByRole('button', { name: 'Pages and files' }))
    await userEvent.click(await screen.findByRole('menuitem', { name: 'A picture from my phone…' }))
    expect(await screen.findByText('https://x.example/bring/abc')).toBeTruthy()
    expect(screen.getByRole('img', { name: 'A code for https://x.example/bring/abc' })).toBeTruthy()
    expect(screen.getByText('Good once, until 10:27.')).toBeTruthy()
  })
})

describe('the board at the seat', () => {
  it('shows the page that is shown, says that drawing is closed, and wipes one’s own', async () => {
    const asked = serve({
      'GET /api/seats/v1/board': { ...SHEET, me: 'jory-pell', keep: true },
      'DELETE /api/seats/v1/board': { number: 10 },
    })
    const seat = { board: { place: 'together', shown: 1200, pages: [{ id: 1200 }] }, rights: { rights: [] } } as unknown as Seat
    show(<SeatBoard seat={seat} visit="v1" />)
    expect(await screen.findByText(/drawing is closed to you now/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Wipe my marks' }))
    expect(asked.map((one) => one.method)).toEqual(['GET', 'DELETE'])
    expect(screen.getByRole('link', { name: 'Save as a drawing' }).getAttribute('href')).toBe('/api/seats/v1/board.svg')
  })

  it('offers no copy where one may not keep one', async () => {
    serve({ 'GET /api/seats/v1/board': { ...SHEET, me: 'jory-pell', keep: false } })
    const seat = { board: { place: 'together', shown: 1200, pages: [{ id: 1200 }] }, rights: { rights: [] } } as unknown as Seat
    show(<SeatBoard seat={seat} visit="v1" />)
    await screen.findByText(/drawing is closed to you now/)
    expect(screen.queryByRole('link')).toBeNull()
  })
})
