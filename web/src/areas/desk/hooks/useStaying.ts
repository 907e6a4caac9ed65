import { useEffect } from 'react'
import type { Desk } from '../../../shared/api/types'

/** Whoever closes or reloads the page of a live room with pupils in it is asked first: it would leave them behind. */
export function useStaying(desk: Desk | undefined) {
  const holds =
    desk?.door.phase === 'OPEN' &&
    desk.mine.door.in &&
    !desk.mine.door.observing &&
    desk.door.pupils.some((pupil) => pupil.whereabouts === 'IN') &&
    !desk.door.adults.some((adult) => adult.in && adult.id !== desk.mine.me)
  useEffect(() => {
    if (!holds) return
    const ask = (event: BeforeUnloadEvent) => event.preventDefault()
    window.addEventListener('beforeunload', ask)
    return () => window.removeEventListener('beforeunload', ask)
  }, [holds])
}
