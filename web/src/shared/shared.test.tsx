import { act, renderHook, screen } from '@testing-library/react'
import { Profiler } from 'react'
import { describe, expect, it, vi } from 'vitest'
import { get, post, Problem } from './api/http'
import { fitted, smaller } from './files/smaller'
import { useLive } from './live/useLive'
import { serve, show } from './testing'
import { age, countdown, setServersTime, until } from './time'
import { Left, Since } from './ui/Clocks'
import { Guard } from './ui/Guard'
import { Shutter, shutterWords } from './ui/Shutter'

describe('a picture from a phone', () => {
  const photo = (bytes: number, type = 'image/jpeg') => new File([new Uint8Array(bytes)], 'page 12.HEIC.jpeg', { type })

  it('is made smaller if it would be refused for its size, and nothing else is touched', async () => {
    const drawn = vi.fn()
    vi.stubGlobal('createImageBitmap', async () => ({ width: 4000, height: 3000 }))
    vi.spyOn(HTMLCanvasElement.prototype, 'getContext').mockReturnValue({ drawImage: drawn } as never)
    vi.spyOn(HTMLCanvasElement.prototype, 'toBlob').mockImplementation((done) => done(new Blob(['small'])))

    const sent = await smaller(photo(5_000_000))
    expect(sent.name).toBe('page 12.HEIC.jpg')
    expect(sent.type).toBe('image/jpeg')
    expect(drawn.mock.calls[0]?.slice(1)).toEqual([0, 0, 2000, 1500])
    const others = [photo(1_000_000), photo(5_000_000, 'application/pdf')]
    for (const one of others) expect(await smaller(one)).toBe(one)
  })

  it('that the browser cannot read goes as it is, so that the server says why', async () => {
    vi.stubGlobal('createImageBitmap', async () => Promise.reject(new Error('no picture')))
    const broken = photo(5_000_000)
    expect(await smaller(broken)).toBe(broken)
    expect(fitted(900, 1800)).toEqual({ width: 900, height: 1800 })
  })
})

describe('asking the server', () => {
  it('turns a problem into one that can be shown, and a lost line too', async () => {
    serve({
      'GET /x': {
        problem: {
          type: '/problems/not-there',
          title: 'This class is not there',
          status: 404,
          detail: 'd',
          whatToDo: 'w',
          wrong: [],
        },
      },
    })

    await expect(get('/x')).rejects.toMatchObject({ body: { status: 404, title: 'This class is not there' } })
    await expect(get('/y')).rejects.toMatchObject({ body: { status: 0, title: 'Juricast cannot be reached' } })
    await expect(get('/y')).rejects.toBeInstanceOf(Problem)
  })

  it('sends the token of the cookie with every change', async () => {
    document.cookie = 'XSRF-TOKEN=abc-123'
    const seen: Record<string, string>[] = []
    vi.stubGlobal('fetch', (_: string, init: { headers: Record<string, string> }) => {
      seen.push(init.headers)
      return Promise.resolve(new Response('{}'))
    })

    await post('/x', { a: 1 })

    expect(seen[0]).toMatchObject({ 'X-XSRF-TOKEN': 'abc-123', 'Content-Type': 'application/json' })
  })
})

describe('a live page', () => {
  class Line {
    static CLOSED = 2
    static opened: Line[] = []
    readyState = 1
    onerror: () => void = () => {}
    private hear: Record<string, (event: { data: string }) => void> = {}
    constructor(readonly path: string) {
      Line.opened.push(this)
    }
    addEventListener(kind: string, hear: (event: { data: string }) => void) {
      this.hear[kind] = hear
    }
    close() {}
    tell(number: number, words: number[]) {
      act(() => this.hear['view']!({ data: JSON.stringify({ number, words: words.map((one) => ({ number: one })) }) }))
    }
    change(news: object) {
      act(() => this.hear['change']!({ data: JSON.stringify(news) }))
    }
    breaks(readyState: number) {
      this.readyState = readyState
      act(() => this.onerror())
    }
  }

  function live() {
    Line.opened = []
    vi.stubGlobal('EventSource', Line)
    return renderHook(() => useLive<{ number: number }, { number: number; words: { number: number }[] }>('/stream')).result
  }

  it('hands on what is drawn, and says with every line that sheets are to be fetched anew', () => {
    vi.stubGlobal('EventSource', Line)
    Line.opened = []
    const { result } = renderHook(() => useLive('/api/seats/v1/stream'))
    const drawn: number[] = []
    result.current.drawn.strokes.listen((strokes) => drawn.push(...strokes.map((one) => one.number)))
    const line = Line.opened[0]!
    line.tell(3, [])
    expect(result.current.drawn.line).toBe(1)
    line.change({ number: 5, strokes: [{ number: 4 }, { number: 5 }] })
    line.change({ number: 6 })
    expect(drawn).toEqual([4, 5])
    expect(result.current.view).toMatchObject({ number: 6 })
    expect(result.current.view).not.toHaveProperty('strokes')
    line.tell(7, [])
    expect(result.current.drawn.line).toBe(2)
  })

  it('joins words by number: none lost, none twice, in order; and takes up what changes', () => {
    const page = live()
    const line = Line.opened[0]!

    line.tell(3, [1, 3])
    line.tell(5, [5])
    line.tell(5, [1, 3, 5])
    line.tell(6, [4])
    line.change({ number: 7, quiet: true, stance: 'Explaining' })
    line.change({ number: 8, stance: null, words: [{ number: 8 }] })
    line.change({ number: 7, quiet: false })

    expect(page.current.view).toEqual({ number: 8, quiet: true, words: [1, 3, 4, 5, 8].map((number) => ({ number })) })
  })

  it('says that the line is down, keeps what was shown, and opens a new one when the old is given up', async () => {
    vi.useFakeTimers()
    serve({ 'GET ': {} })
    const page = live()
    Line.opened[0]!.tell(3, [1])

    Line.opened[0]!.breaks(Line.CLOSED)
    expect(page.current).toMatchObject({ connected: false, view: { number: 3 } })
    await act(() => vi.advanceTimersByTimeAsync(1600))
    expect(Line.opened).toHaveLength(2)

    Line.opened[1]!.tell(4, [2])
    expect(page.current).toMatchObject({ connected: true, view: { number: 4 } })
    vi.useRealTimers()
  })

  it('keeps nothing on the screen of one who may not look any more, and asks no more', async () => {
    vi.useFakeTimers()
    serve({
      'GET ': { problem: { type: '/problems/not-yours', title: 'Not yours', status: 403, detail: '', whatToDo: '', wrong: [] } },
    })
    const page = live()
    Line.opened[0]!.tell(3, [1])
    Line.opened[0]!.breaks(Line.CLOSED)
    await act(() => vi.advanceTimersByTimeAsync(5000))

    expect(page.current.view).toBeUndefined()
    expect(page.current.lost?.body.title).toBe('Not yours')
    expect(Line.opened).toHaveLength(1)
    vi.useRealTimers()
  })
})

describe('signs and times', () => {
  it('a shutter falls half for on request and has a sill where it binds', () => {
    const { container } = show(<Shutter value="on-request" bound />)

    expect(container.querySelectorAll('rect')[1]?.getAttribute('height')).toBe('7.8')
    expect(container.querySelector('path')).not.toBeNull()
    expect(shutterWords('on-request', true)).toBe('on request, binding')
    expect(shutterWords('closed', false, 'CURB')).toBe('closed, by a curb')
  })

  it('counts seconds only while they matter, and draws nothing anew that reads the same', () => {
    setServersTime('2026-09-14T10:17:00Z')
    const drawn = vi.fn()
    show(
      <Profiler id="clocks" onRender={drawn}>
        <p>
          <Since at="2026-09-14T10:16:30Z" />|<Since at="2026-09-14T10:08:10Z" />|<Left until="2026-09-14T10:55:00Z" />|
          <Left until="2026-09-14T10:19:05Z" />
        </p>
      </Profiler>,
    )
    expect(document.querySelector('p')?.textContent).toBe('0:30|8 min|38 min|2:05')
    const before = drawn.mock.calls.length
    setServersTime(new Date(Date.parse('2026-09-14T10:17:00Z')).toISOString())
    expect(drawn.mock.calls.length).toBe(before)
    expect(age(65 * 60_000)).toBe('1 h 5 min')
  })

  it('a countdown never goes below zero', () => {
    expect(countdown(125_000)).toBe('2:05')
    expect(countdown(-5000)).toBe('0:00')
  })

  it('a page that breaks says so instead of going blank', () => {
    vi.spyOn(console, 'error').mockImplementation(() => {})
    const Broken = () => {
      throw new Error('broken')
    }
    show(
      <Guard>
        <Broken />
      </Guard>,
    )

    expect(screen.getByRole('alert').textContent).toContain('the lesson goes on')
  })
})

describe('how long until something', () => {
  it('is told to the second within the hour, and then in hours or days', () => {
    expect(until(125_000)).toBe('2:05')
    expect(until(3_600_000 * 3 + 60_000 * 7)).toBe('3 h 7 min')
    expect(until(3_600_000 * 70)).toBe('2 days')
    expect(until(-5)).toBe('0:00')
  })
})
