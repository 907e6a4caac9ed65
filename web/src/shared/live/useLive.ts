import { useEffect, useMemo, useRef, useState } from 'react'
import { get, Problem } from '../api/http'
import type { Stroke } from '../api/types'
import { Lateness } from './lateness'
import { Strokes } from './strokes'

interface View<W> {
  number: number
  words: W[]
}

/** How a live page stands: `shown` with the line up or down, or not yet there. */
export interface Live<V> {
  view: V | undefined
  connected: boolean
  /** Why the line will not come back: one may not look any more. */
  lost?: Problem
  /** What is drawn meanwhile, and how many lines there were. */
  drawn: { strokes: Strokes; line: number }
  /** Whether news comes late. */
  weak: boolean
}

const RETRY_MS = 1500

/** The view with what is new in it; a field that is null is gone. */
function changed<V extends object>(view: V | undefined, news: object) {
  return Object.fromEntries(Object.entries({ ...view, ...news }).filter(([, value]) => value !== null))
}

/**
 * A view that the server keeps up to date: a line brings the whole first, then only what changes. The browser asks again
 * by itself from the number it saw last; words are joined by number, so none is lost or shown twice.
 */
export function useLive<W extends { number: number }, V extends View<W>>(path: string | null): Live<V> {
  const [live, setLive] = useState<Omit<Live<V>, 'drawn' | 'weak'>>({ view: undefined, connected: false })
  const [strokes] = useState(() => new Strokes())
  const [line, setLine] = useState(0)
  const drawn = useMemo(() => ({ strokes, line }), [strokes, line])
  const [weak, setWeak] = useState(false)
  const words = useRef(new Map<number, W>())
  useEffect(() => {
    if (!path) return
    words.current = new Map()
    let source: EventSource
    let retry: ReturnType<typeof setTimeout> | undefined
    let left = false
    const lateness = new Lateness()
    const hear = (told: number) => {
      // A page in the background gets its news when the browser pleases.
      if (document.hidden) return lateness.forget()
      lateness.heard(told, Date.now())
      setWeak(lateness.weak)
    }
    const open = () => {
      source = new EventSource(path)
      const tell = (whole: boolean) => (event: MessageEvent<string>) => {
        const read = JSON.parse(event.data) as Partial<V> & { number: number; now?: string; strokes?: Stroke[] }
        const { words: heard = [], strokes: fresh = [], ...news } = read
        if (whole) {
          setLine((before) => before + 1)
          lateness.forget()
        }
        if (read.now) hear(Date.parse(read.now))
        if (fresh.length > 0) strokes.tell(fresh)
        for (const one of heard as W[]) words.current.set(one.number, one)
        const all = [...words.current.values()].sort((a, b) => a.number - b.number)
        setLive(({ view }) => {
          // A view that was overtaken on the way brings its words, but never winds the screen back.
          const overtaken = view && view.number > news.number
          const shown = overtaken ? view : whole ? news : changed(view, news)
          return { view: { ...(shown as V), words: all }, connected: true }
        })
      }
      source.addEventListener('view', tell(true))
      source.addEventListener('change', tell(false))
      source.addEventListener('beat', (event: MessageEvent<string>) => hear(Number(event.data)))
      source.onerror = () => {
        setLive((before) => ({ ...before, connected: false }))
        if (source.readyState === EventSource.CLOSED) retry = setTimeout(() => void again(), RETRY_MS)
      }
    }
    /** The line itself does not tell why it was refused, so the page behind it is asked. */
    const again = async () => {
      try {
        await get(path.replace(/\/stream$/, ''))
      } catch (refused) {
        if (refused instanceof Problem && [401, 403, 404, 409].includes(refused.body.status)) {
          setLive({ view: undefined, connected: false, lost: refused })
          return
        }
      }
      if (!left) open()
    }
    open()
    return () => {
      left = true
      clearTimeout(retry)
      source.close()
    }
  }, [path, strokes])
  return { ...live, drawn, weak }
}
