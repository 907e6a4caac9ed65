import { act, fireEvent, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it, vi } from 'vitest'
import type { MarkLine, Stroke } from '../../shared/api/types'
import { Strokes, StrokesOf } from '../../shared/live/strokes'
import { show } from '../../shared/testing'
import { DrawingBoard } from './DrawingBoard'
import { isNear, outline, shapePath, type Drawn } from './geometry'
import { changed, useSheet } from './useSheet'

const mark = (number: number, more: Partial<MarkLine> = {}): MarkLine => ({
  number,
  author: 'ines',
  authorName: 'Ines Carrow',
  shape: 'LINE',
  ink: 'INK',
  width: 2,
  points: [100, 100, 500, 500],
  text: '',
  ...more,
})

const stroke = (number: number, more: Partial<Stroke> = {}): Stroke => ({
  number,
  sheet: 'board together 0',
  came: [],
  gone: [],
  ...more,
})

describe('marks and what changes them', () => {
  it('come and go by their numbers, and stay in their order when one is brought back', () => {
    const now = changed([mark(1), mark(4)], [stroke(5, { came: [mark(5)] }), stroke(6, { gone: [1] })])
    expect(now.map((one) => one.number)).toEqual([4, 5])
    expect(changed(now, [stroke(7, { came: [mark(1)] })]).map((one) => one.number)).toEqual([1, 4, 5])
    const same = [mark(1)]
    expect(changed(same, [stroke(9, { sheet: 'board together 0' })])).toBe(same)
  })

  it('are found by whoever points near them', () => {
    expect(isNear(mark(1), 305, 300)).toBe(true)
    expect(isNear(mark(1), 300, 400)).toBe(false)
    const box = mark(2, { shape: 'BOX', points: [100, 100, 300, 300] })
    expect(isNear(box, 100, 200)).toBe(true)
    expect(isNear(box, 200, 200)).toBe(false)
    expect(isNear(mark(3, { shape: 'TEXT', points: [100, 100] }), 140, 90)).toBe(true)
  })

  it('have outlines that browsers draw', () => {
    expect(outline([0, 0, 500, 500, 900, 100], 2)).toMatch(/^M[\d.-]+ [\d.-]+L.*Z$/)
    expect(shapePath('BOX', [0, 0, 500, 500])).toBe('M0 0H800V500H0Z')
    expect(shapePath('ARROW', [0, 0, 500, 0]).match(/M/g)).toHaveLength(3)
    expect(shapePath('RING', [0, 0, 500, 500])).toContain('a400 250')
  })
})

describe('a sheet', () => {
  function Shown() {
    const sheet = useSheet('/api/board')
    return (
      <p>
        {sheet.loading ? 'loading' : sheet.marks.map((one) => one.number).join(',')} {sheet.pointed.map((one) => one.name).join()}
      </p>
    )
  }

  it('loses nothing that is drawn while it is fetched, and takes nothing twice', async () => {
    let answer: (body: unknown) => void = () => {}
    vi.stubGlobal('fetch', () => new Promise((resolve) => (answer = (body) => resolve(new Response(JSON.stringify(body))))))
    const strokes = new Strokes()
    const at = (line: number) => (
      <StrokesOf.Provider value={{ strokes, line }}>
        <Shown />
      </StrokesOf.Provider>
    )
    show(at(1))
    strokes.tell([
      stroke(3, { came: [mark(3)] }),
      stroke(8, { came: [mark(8)] }),
      stroke(9, { sheet: 'slate x', came: [mark(9)] }),
    ])
    await act(async () => answer({ number: 5, sheet: 'board together 0', marks: [mark(2), mark(3)] }))
    expect(await screen.findByText('2,3,8')).toBeTruthy()
    act(() => strokes.tell([stroke(10, { gone: [2], pointed: { author: 'o', authorName: 'Orla Venn', points: [1, 1, 2, 2] } })]))
    expect(await screen.findByText('3,8 Orla Venn')).toBeTruthy()
  })
})

describe('a sheet to draw on', () => {
  function board(mayDraw = true) {
    const props = {
      label: 'Board',
      marks: [mark(1), mark(2, { author: 'jory', authorName: 'Jory Pell', shape: 'TEXT', points: [5, 5], text: 'pier' })],
      me: 'ines',
      mayDraw,
      onDraw: vi.fn<(drawn: Drawn) => Promise<unknown>>().mockResolvedValue(undefined),
      onErase: vi.fn(),
      onUndo: vi.fn(),
      onPoint: vi.fn(),
    }
    show(<DrawingBoard {...props} />)
    const svg = screen.getByRole('img', { name: /^Board/ })
    svg.getBoundingClientRect = () => ({ left: 0, top: 0, width: 1000, height: 1000 }) as DOMRect
    ;(svg as unknown as { setPointerCapture: () => void }).setPointerCapture = () => {}
    return { ...props, svg }
  }
  const drag = (svg: Element, ...points: [number, number][]) => {
    const [first = [0, 0], ...rest] = points
    fireEvent.pointerDown(svg, { clientX: first[0], clientY: first[1], button: 0, pointerId: 1 })
    for (const [x, y] of rest) fireEvent.pointerMove(svg, { clientX: x, clientY: y, buttons: 1, pointerId: 1 })
    fireEvent.pointerUp(svg, { pointerId: 1 })
  }

  it('sends what was drawn with its tool, ink and thickness', async () => {
    const { svg, onDraw } = board()
    drag(svg, [10, 10], [50, 60], [90, 20])
    await userEvent.click(screen.getByRole('button', { name: 'Box' }))
    await userEvent.click(screen.getByRole('button', { name: 'red, dotted' }))
    await userEvent.click(screen.getByRole('button', { name: 'thick' }))
    drag(svg, [100, 100], [150, 150], [300, 200])
    expect(onDraw.mock.calls.map(([drawn]) => drawn)).toEqual([
      { shape: 'PEN', ink: 'INK', width: 2, points: [10, 10, 50, 60, 90, 20], text: '' },
      { shape: 'BOX', ink: 'RED', width: 3, points: [100, 100, 300, 200], text: '' },
    ])
  })

  it('sends a long line in pieces while it is drawn', () => {
    const { svg, onDraw } = board()
    drag(svg, ...[...Array(200)].map((_, i): [number, number] => [i * 5, (i % 7) * 20]))
    expect(onDraw.mock.calls.length).toBeGreaterThan(2)
    expect(onDraw.mock.calls.every(([drawn]) => drawn.points.length <= 160)).toBe(true)
  })

  it('writes a text where one points, points without a mark, and erases only one’s own', async () => {
    const { svg, onDraw, onErase, onPoint } = board()
    await userEvent.click(screen.getByRole('button', { name: 'Text' }))
    drag(svg, [400, 400])
    await userEvent.type(screen.getByLabelText(/Text for the sheet/), 'high water{Enter}')
    expect(onDraw.mock.calls[0]?.[0]).toMatchObject({ shape: 'TEXT', points: [400, 400], text: 'high water' })
    await userEvent.click(screen.getByRole('button', { name: 'Point at something' }))
    drag(svg, [700, 700], [720, 700])
    expect(onPoint).toHaveBeenCalledWith([700, 700, 720, 700])
    await userEvent.click(screen.getByRole('button', { name: 'Take off one’s own marks' }))
    drag(svg, [300, 300])
    drag(svg, [10, 8])
    expect(onErase.mock.calls).toEqual([[[1]]])
  })

  it('says whose marks there are, and takes one off by keys', async () => {
    const { onErase, onUndo } = board()
    fireEvent.pointerOver(document.querySelector('[data-mark="2"]')!)
    expect(screen.getByText('Jory Pell')).toBeTruthy()
    fireEvent.pointerOver(screen.getByRole('img', { name: /^Board/ }))
    expect(screen.queryByText('Jory Pell')).toBeNull()
    await userEvent.click(screen.getByRole('button', { name: 'Whose marks are these? (2)' }))
    expect(screen.getByText(/“pier”/)).toBeTruthy()
    await userEvent.click(screen.getByRole('button', { name: 'Take off' }))
    expect(onErase).toHaveBeenCalledWith([1])
    await userEvent.click(screen.getByRole('button', { name: 'Undo mine' }))
    expect(onUndo).toHaveBeenCalled()
  })

  it('writes by keys alone, a line under the other', async () => {
    const { onDraw } = board()
    await userEvent.click(screen.getByRole('button', { name: 'Text' }))
    await userEvent.type(screen.getByLabelText('Text for the next line'), 'low water{Enter}')
    expect(onDraw.mock.calls[0]?.[0]).toMatchObject({ shape: 'TEXT', points: [50, 90], text: 'low water' })
    expect(screen.getByRole('button', { name: 'Put it on the next line' }).hasAttribute('disabled')).toBe(true)
  })

  it('takes nothing where drawing is closed', () => {
    const { svg, onDraw } = board(false)
    drag(svg, [10, 10], [50, 60])
    expect(onDraw).not.toHaveBeenCalled()
    expect(screen.queryByRole('button', { name: 'Pen' })).toBeNull()
  })
})
