import { useEffect, useRef, useState } from 'react'

interface View<W> {
  number: number
  words: W[]
}

/** How a live page stands: `shown` with the line up or down, or not yet there. */
export interface Live<V> {
  view: V | undefined
  connected: boolean
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
  const [live, setLive] = useState<Live<V>>({ view: undefined, connected: false })
  const words = useRef(new Map<number, W>())
  useEffect(() => {
    if (!path) return
    words.current = new Map()
    let source: EventSource
    let retry: ReturnType<typeof setTimeout> | undefined
    const open = () => {
      source = new EventSource(path)
      const tell = (whole: boolean) => (event: MessageEvent<string>) => {
        const { words: heard = [], ...news } = JSON.parse(event.data) as Partial<V> & { number: number }
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
      source.onerror = () => {
        setLive((before) => ({ ...before, connected: false }))
        if (source.readyState === EventSource.CLOSED) retry = setTimeout(open, RETRY_MS)
      }
    }
    open()
    return () => {
      clearTimeout(retry)
      source.close()
    }
  }, [path])
  return live
}
