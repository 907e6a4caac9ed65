import { useEffect } from 'react'
import type { Desk } from '../../../shared/api/types'

/** Whoever closes or reloads the page of a live room with pupils in it is asked first: it would leave them behind. */
export function useStaying(desk: Desk | undefined) {
  const holds =
    desk?.phase === 'OPEN' &&
    desk.iAmIn &&
    !desk.steering.observing &&
    desk.pupils.some((pupil) => pupil.whereabouts === 'IN') &&
    !desk.adults.some((adult) => adult.in && adult.id !== desk.me)
  useEffect(() => {
    if (!holds) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [holds])
}
