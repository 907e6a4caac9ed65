import { act, fireEvent, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { Problem } from '../api/http'
import { show } from '../testing'
import { Refused } from './Refused'

const NO = new Problem({
  type: '/problems/no',
  status: 409,
  title: 'Not now',
  detail: 'It is closed.',
  whatToDo: 'Ask.',
  wrong: [],
})

function Pressed() {
  const [problem, setProblem] = useState<unknown>(null)
  return (
    <>
      <button onClick={() => setProblem(NO)}>Draw</button>
      <Refused problem={problem} onClose={() => setProblem(null)} />
    </>
  )
}

afterEach(() => vi.useRealTimers())

describe('a refusal', () => {
  it('stands below what was pressed, inside the window, and is closed by its button', async () => {
    show(<Pressed />)
    const draw = screen.getByRole('button', { name: 'Draw' })
    draw.getBoundingClientRect = () => new DOMRect(5000, 120, 60, 30)
    await userEvent.click(draw)
    const note = screen.getByRole('alert').parentElement?.parentElement
    expect(note?.style.top).toBe('158px')
    expect(note?.style.left).toBe(`${window.innerWidth - 8}px`)
    await userEvent.click(screen.getByRole('button', { name: 'Close what was said' }))
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('goes by itself after twenty seconds, but not while somebody reads it', () => {
    vi.useFakeTimers()
    show(<Pressed />)
    fireEvent.click(screen.getByRole('button', { name: 'Draw' }))
    const note = screen.getByRole('alert').parentElement?.parentElement as HTMLElement
    fireEvent.pointerEnter(note)
    act(() => vi.advanceTimersByTime(60_000))
    expect(screen.getByRole('alert').textContent).toContain('It is closed.')
    fireEvent.pointerLeave(note)
    act(() => vi.advanceTimersByTime(19_000))
    expect(screen.queryByRole('alert')).not.toBeNull()
    act(() => vi.advanceTimersByTime(2_000))
    expect(screen.queryByRole('alert')).toBeNull()
  })

  it('stands in the middle below when it was a key on the page', () => {
    show(<Pressed />)
    fireEvent.keyDown(document.body, { key: 'd' })
    fireEvent.click(screen.getByRole('button', { name: 'Draw' }))
    const note = screen.getByRole('alert').parentElement?.parentElement
    expect(note?.style.left).toBe(`${window.innerWidth / 2}px`)
    expect(note?.style.top).toBe(`${window.innerHeight - 8}px`)
  })
})
