import { Problem } from '../../shared/api/http'
import type { Stroke } from '../../shared/api/types'

interface Listener<T> {
  begun: (whole: T) => void
  /** Strokes that are not in the whole. */
  drawn: (strokes: Stroke[]) => void
  failed: (problem: Problem) => void
}

/**
 * Asks for what was drawn and goes on with what is drawn after. It listens before it asks, so nothing is missed between.
 *
 * @returns ends it; nothing is told afterwards
 */
export function follow<T extends { number: number }>(
  listen: (take: (strokes: Stroke[]) => void) => () => void,
  ask: () => Promise<T>,
  on: Listener<T>,
): () => void {
  let left = false
  let from: number | null = null
  const early: Stroke[] = []
  const take = (all: Stroke[]) => {
    if (from === null) {
      early.push(...all)
      return
    }
    const after = from
    const news = all.filter((one) => one.number > after)
    if (news.length > 0) on.drawn(news)
  }
  const stop = listen(take)
  ask().then(
    (whole) => {
      if (left) return
      from = whole.number
      on.begun(whole)
      take(early.splice(0))
    },
    (failed: unknown) => {
      if (!left && failed instanceof Problem) on.failed(failed)
    },
  )
  return () => {
    left = true
    stop()
  }
}
