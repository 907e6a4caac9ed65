import { queryOptions } from '@tanstack/react-query'
import { get } from '../api/http'
import type { Chapter, Duty, WorkingDay } from '../api/types'

/** What waits for this adult, and the lesson that is next. Every page asks it, so that what is urgent is seen everywhere. */
export const workingDay = queryOptions({
  queryKey: ['working-day'],
  queryFn: () => get<WorkingDay>('/api/working-day'),
  refetchInterval: 30_000,
  staleTime: 5_000,
  retry: false,
})

const many = (count: number, one: string, more: string) => (count === 1 ? `1 ${one}` : `${count} ${more}`)

/** What waits, in words, and the page on which it is done. */
export const DUTIES: Record<Duty, { say: (count: number) => string; to: string }> = {
  WORRY: { say: (n) => many(n, 'lesson needs someone now', 'lessons need someone now'), to: '/corridor' },
  KNOCK: { say: (n) => many(n, 'waits at your door', 'wait at your door'), to: '/today' },
  FOLLOW_UP: { say: (n) => many(n, 'follow-up is due', 'follow-ups are due'), to: '/casebook' },
  DANGER_AHEAD: { say: (n) => many(n, 'danger in what is planned next', 'dangers in what is planned next'), to: '/inspection' },
  REGISTER: { say: (n) => many(n, 'register to sign', 'registers to sign'), to: '/attendance' },
  DRAFT: { say: (n) => many(n, 'change of rules in your draft', 'changes of rules in your draft'), to: '/charter' },
  UPKEEP: { say: (n) => many(n, 'thing to look after', 'things to look after'), to: '/upkeep' },
}

/** What waits in one part of the day, in words. */
export function waitingIn(day: WorkingDay | undefined, chapter: Chapter): { count: number; say: string } {
  const lines = day?.waiting.filter((one) => one.chapter === chapter) ?? []
  return {
    count: lines.reduce((sum, one) => sum + one.count, 0),
    say: lines.map((one) => DUTIES[one.duty].say(one.count)).join(', '),
  }
}
