import { useContext, useEffect, useRef, useState } from 'react'
import { get, type Problem } from '../../shared/api/http'
import type { MarkLine, Stroke } from '../../shared/api/types'
import { StrokesOf } from '../../shared/live/strokes'
import { follow } from './follow'

interface Fetched {
  number: number
  sheet: string
  me?: string
  keep?: boolean
  page?: { id: number }
  marks: MarkLine[]
}

export interface Pointed {
  number: number
  name: string
  points: number[]
}

export interface SheetNow {
  marks: MarkLine[]
  pointed: Pointed[]
  me: string
  /** Whether one may keep a copy of the board. */
  keep: boolean
  /** Which page of a board it is. */
  page: number
  loading: boolean
  problem: Problem | null
}

/** How long a pointer is seen. */
const SEEN_MS = 3000

/**
 * The marks on one sheet, kept up to date by what is drawn.
 *
 * @param path where the whole sheet is fetched
 * @param version another one fetches it anew, as when a page was turned
 */
export function useSheet(
  path: string,
  version: string | number = '',
  pick: (body: unknown) => Fetched = (body) => body as Fetched,
): SheetNow {
  const { strokes, line } = useContext(StrokesOf)
  const [now, setNow] = useState<SheetNow>({ marks: [], pointed: [], me: '', keep: false, page: 0, loading: true, problem: null })
  const chosen = useRef(pick)
  chosen.current = pick
  useEffect(() => {
    let sheet = ''
    const timers = new Set<ReturnType<typeof setTimeout>>()
    const point = (pointed: Pointed) => {
      setNow((before) => ({ ...before, pointed: [...before.pointed, pointed] }))
      const timer = setTimeout(() => {
        timers.delete(timer)
        setNow((before) => ({ ...before, pointed: before.pointed.filter((other) => other.number !== pointed.number) }))
      }, SEEN_MS)
      timers.add(timer)
    }
    const stop = follow(
      (take) => strokes.listen(take),
      async () => chosen.current(await get<unknown>(path)),
      {
        begun: (whole) => {
          sheet = whole.sheet
          setNow({
            marks: whole.marks,
            pointed: [],
            me: whole.me ?? '',
            keep: whole.keep ?? false,
            page: whole.page?.id ?? 0,
            loading: false,
            problem: null,
          })
        },
        drawn: (all) => {
          const news = all.filter((one) => one.sheet === sheet)
          if (news.length === 0) return
          setNow((before) => ({ ...before, marks: changed(before.marks, news) }))
          for (const one of news) {
            if (one.pointed) point({ number: one.number, name: one.pointed.authorName, points: one.pointed.points })
          }
        },
        failed: (problem) => setNow((before) => ({ ...before, loading: false, problem })),
      },
    )
    return () => {
      stop()
      for (const timer of timers) clearTimeout(timer)
    }
  }, [path, version, strokes, line])
  return now
}

/** Marks after some strokes, in the order of their numbers. */
export function changed(marks: MarkLine[], strokes: Stroke[]): MarkLine[] {
  let next = marks
  for (const stroke of strokes) {
    if (stroke.gone.length > 0) {
      const gone = new Set(stroke.gone)
      next = next.filter((mark) => !gone.has(mark.number))
    }
    const there = new Set(stroke.came.map((mark) => mark.number))
    if (there.size > 0) next = [...next.filter((mark) => !there.has(mark.number)), ...stroke.came]
  }
  return next.some((mark, i) => i > 0 && mark.number < (next[i - 1]?.number ?? 0))
    ? next.toSorted((a, b) => a.number - b.number)
    : next
}
