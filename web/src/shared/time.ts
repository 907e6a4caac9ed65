import { words } from '../languages/language'
import { createContext, useContext, useEffect, useSyncExternalStore } from 'react'

/** The school's zone: every time on every screen is told in it. */
export const SchoolZone = createContext('UTC')

/** Tells times as the school's clocks do. */
export function useSchoolTime() {
  const zone = useContext(SchoolZone)
  const format = (options: Intl.DateTimeFormatOptions) => (instant: string | number) =>
    new Intl.DateTimeFormat(words().tag, { timeZone: zone, ...options }).format(new Date(instant))
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

/** What the server said its time is. */
export function setServersTime(told: string) {
  ahead = Date.parse(told) - Date.now()
  tick()
}

/** Those who show a time. One timer moves them all, so that the page is worked out once a second and not once for each. */
const shown = new Set<() => void>()
let timer: ReturnType<typeof setInterval> | undefined

function tick() {
  shown.forEach((one) => one())
}

function subscribe(one: () => void) {
  shown.add(one)
  timer ??= setInterval(tick, 1000)
  return () => {
    shown.delete(one)
    if (shown.size > 0) return
    clearInterval(timer)
    timer = undefined
  }
}

/**
 * The server's time, counted on.
 *
 * @param told what the server said its time is, if this caller knows
 * @param each how often, in milliseconds, what is shown is brought up to date; a page that shows seconds in a corner brings
 *     up to date the corner, not itself
 */
export function useNow(told?: string, each = 1000): number {
  useEffect(() => {
    if (told) setServersTime(told)
  }, [told])
  useSyncExternalStore(subscribe, () => Math.floor((Date.now() + ahead) / each))
  return Date.now() + ahead
}

/** What is shown of the time: worked out each second, and drawn only when it reads otherwise. */
export function useShown(text: (now: number) => string): string {
  return useSyncExternalStore(subscribe, () => text(Date.now() + ahead))
}

/** How long ago, as one says it: 0:42, 8 min, 1 h 5 min. */
export function age(milliseconds: number): string {
  const minutes = Math.floor(Math.max(0, milliseconds) / 60_000)
  if (minutes < 1) return countdown(milliseconds)
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}

/** How long until something, as one says it: 2:05 within the hour, else hours or days. */
export function until(milliseconds: number): string {
  const minutes = Math.floor(Math.max(0, milliseconds) / 60_000)
  if (minutes < 60) return countdown(milliseconds)
  return minutes < 48 * 60 ? `${Math.floor(minutes / 60)} h ${minutes % 60} min` : words().days(Math.floor(minutes / (24 * 60)))
}

/** Minutes and seconds, as 2:05. Never negative. */
export function countdown(milliseconds: number): string {
  const seconds = Math.max(0, Math.round(milliseconds / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
