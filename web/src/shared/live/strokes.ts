import { createContext } from 'react'
import type { Stroke } from '../api/types'

type Listener = (strokes: Stroke[]) => void

/** What is drawn while one looks on. Sheets are fetched whole once; whoever shows one listens from before it asks. */
export class Strokes {
  private readonly listeners = new Set<Listener>()

  tell(strokes: Stroke[]) {
    for (const each of this.listeners) each(strokes)
  }

  listen(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
}

/** @param line grows with every line that was opened: what came before it may be missing, and sheets are fetched anew */
export const StrokesOf = createContext<{ strokes: Strokes; line: number }>({ strokes: new Strokes(), line: 0 })
