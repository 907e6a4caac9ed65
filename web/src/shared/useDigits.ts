import { useEffect, useLayoutEffect, useRef } from 'react'

/** The digit that was pressed before what it presses was there. */
let ahead: number | null = null

/** How many there are to press one at once. */
let takers = 0

function digit(event: KeyboardEvent): number | null {
  const typing = (event.target as HTMLElement).closest('input:not([type=checkbox]), textarea, select')
  if (typing || event.ctrlKey || event.metaKey || event.altKey || !/^[1-9]$/.test(event.key)) return null
  event.preventDefault()
  return Number(event.key) - 1
}

/** While it is shown, the digits 1 to 9 press what stands at that place; not while something is typed. */
export function useDigits(press: (place: number) => void) {
  const latest = useRef(press)
  latest.current = press
  useEffect(() => {
    takers += 1
    if (ahead !== null) latest.current(ahead)
    ahead = null
    const onKey = (event: KeyboardEvent) => {
      const place = digit(event)
      if (place !== null) latest.current(place)
    }
    window.addEventListener('keydown', onKey)
    return () => {
      takers -= 1
      window.removeEventListener('keydown', onKey)
    }
  }, [])
}

/**
 * Keeps a digit that is typed while a sheet is on its way, for the useDigits within it: fingers that know "E 4" are quicker than a
 * sheet that is fetched. @param coming what was asked for and takes the digits once it is there, or null
 */
export function useTypedAhead(coming: string | null) {
  useLayoutEffect(() => {
    ahead = null
    if (coming === null) return
    const onKey = (event: KeyboardEvent) => {
      if (takers === 0) ahead ??= digit(event)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [coming])
}
