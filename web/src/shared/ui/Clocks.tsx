import type { ReactNode } from 'react'
import { say } from '../../languages/en/staff/shared'
import { age, countdown, useNow, useShown } from '../time'

/** How long until something; counts by itself, so that what stands around it rests. */
export function Until({ at }: { at: string }) {
  return <>{useShown((now) => countdown(Date.parse(at) - now))}</>
}

/** For how long something has been so: to the second while it is new, then to the minute, as nobody counts seconds by then. */
export function Since({ at }: { at: string }) {
  return <>{useShown((now) => age(now - Date.parse(at)))}</>
}

/** How long until the end, to the second only when that is near. */
export function Left({ until, near = 5 * 60_000 }: { until: string; near?: number }) {
  return <>{useShown((now) => left(Date.parse(until) - now, near))}</>
}

/** @param near from how long before the end seconds count */
function left(milliseconds: number, near: number): string {
  return milliseconds < near ? countdown(milliseconds) : say.minSaid(Math.ceil(milliseconds / 60_000))
}

/** What shows seconds here and there is brought up to date each second, and nothing else of the page. */
export function EachSecond({ each, children }: { each?: number; children: (now: number) => ReactNode }) {
  return <>{children(useNow(undefined, each))}</>
}
