import { useEffect, useRef } from 'react'

/** While it is shown, the digits 1 to 9 press what stands at that place; not while something is typed. */
export function useDigits(press: (place: number) => void) {
  const latest = useRef(press)
  latest.current = press
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest('input:not([type=checkbox]), textarea, select')
      if (typing || event.ctrlKey || event.metaKey || event.altKey || !/^[1-9]$/.test(event.key)) return
      event.preventDefault()
      latest.current(Number(event.key) - 1)
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [])
}
