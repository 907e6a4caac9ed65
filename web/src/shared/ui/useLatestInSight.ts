import { useEffect, useRef } from 'react'

/** Keeps the end of a log in sight when it grows. Only the log is scrolled: the page stays where its reader is. */
export function useLatestInSight<E extends HTMLElement>(length: number) {
  const log = useRef<E>(null)
  useEffect(() => {
    if (log.current) log.current.scrollTop = log.current.scrollHeight
  }, [length])
  return log
}
