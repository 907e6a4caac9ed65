import { useEffect, useState } from 'react'
import { useActs } from '../acts'

const AGAIN_MS = 5000

/** Tells the lesson that one's own line became weak, or carries again. @param known what the lesson knows of it */
export function useTellLine(visit: string, weak: boolean | undefined, known: boolean) {
  const { mutate } = useActs(visit)
  const [lost, setLost] = useState(0)
  useEffect(() => {
    if (weak === undefined || weak === known) return
    let later: ReturnType<typeof setTimeout> | undefined
    // Over a weak line just this may be lost.
    mutate({ do: 'tell-line', weak }, { onError: () => (later = setTimeout(() => setLost((times) => times + 1), AGAIN_MS)) })
    return () => clearTimeout(later)
  }, [mutate, weak, known, lost])
}
