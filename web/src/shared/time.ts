import { createContext, useContext, useEffect, useState } from 'react'

/** The school's zone: every time on every screen is told in it. */
export const SchoolZone = createContext('UTC')

/** Tells times as the school's clocks do. */
export function useSchoolTime() {
  const zone = useContext(SchoolZone)
  const format = (options: Intl.DateTimeFormatOptions) => (instant: string | number) =>
    new Intl.DateTimeFormat('en-GB', { timeZone: zone, ...options }).format(new Date(instant))
  return {
    clock: format({ hour: '2-digit', minute: '2-digit' }),
    day: format({ weekday: 'short', day: 'numeric', month: 'short' }),
    weekday: format({ weekday: 'long' }),
    longDay: format({ weekday: 'long', day: 'numeric', month: 'long' }),
    /** As 2026-09-14, for date boxes and the server. */
    isoDay: (instant: string | number) => new Intl.DateTimeFormat('sv-SE', { timeZone: zone }).format(new Date(instant)),
  }
}

/** How far the server's clock is ahead of this one; the last answer that told a time knows best. */
let ahead = 0

/** The server's time, counted on every second. @param told what the server said its time is, if this caller knows */
export function useNow(told?: string): number {
  const [, tick] = useState(0)
  useEffect(() => {
    if (told) ahead = Date.parse(told) - Date.now()
    tick((n) => n + 1)
  }, [told])
  useEffect(() => {
    const timer = setInterval(() => tick((n) => n + 1), 1000)
    return () => clearInterval(timer)
  }, [])
  return Date.now() + ahead
}

/** Minutes and seconds, as 2:05. Never negative. */
export function countdown(milliseconds: number): string {
  const seconds = Math.max(0, Math.round(milliseconds / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
