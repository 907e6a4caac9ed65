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

/**
 * A view that the server keeps up to date. The browser asks again by itself from the number it saw last; words are
 * joined by number, so none is lost or shown twice.
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
      source.addEventListener('view', (event: MessageEvent<string>) => {
        const view = JSON.parse(event.data) as V
        for (const one of view.words) words.current.set(one.number, one)
        const all = [...words.current.values()].sort((a, b) => a.number - b.number)
        // A view that was overtaken on the way brings its words, but never winds the screen back.
        setLive((before) => ({
          view: before.view && before.view.number > view.number ? { ...before.view, words: all } : { ...view, words: all },
          connected: true,
        }))
      })
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
