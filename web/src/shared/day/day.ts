import { queryOptions } from '@tanstack/react-query'
import { say as staffSays } from '../../languages/en/staff/shared'
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
  WORRY: { say: (n) => many(n, staffSays.lessonNeedsSomeoneNow, staffSays.lessonsNeedSomeoneNow), to: '/corridor' },
  KNOCK: { say: (n) => many(n, staffSays.waitsAtYourDoor, staffSays.waitAtYourDoor), to: '/today' },
  FOLLOW_UP: { say: (n) => many(n, staffSays.followUpIsDue, staffSays.followUpsAreDue), to: '/casebook' },
  DANGER_AHEAD: {
    say: (n) => many(n, staffSays.dangerInWhatIsPlannedNext, staffSays.dangersInWhatIsPlannedNext),
    to: '/inspection',
  },
  REGISTER: { say: (n) => many(n, staffSays.registerToSign, staffSays.registersToSign), to: '/attendance' },
  DRAFT: { say: (n) => many(n, staffSays.changeOfRulesInYourDraft, staffSays.changesOfRulesInYourDraft), to: '/charter' },
  UPKEEP: { say: (n) => many(n, staffSays.thingToLookAfter, staffSays.thingsToLookAfter), to: '/upkeep' },
}

/** What waits in one part of the day, in words. */
export function waitingIn(day: WorkingDay | undefined, chapter: Chapter): { count: number; say: string } {
  const lines = day?.waiting.filter((one) => one.chapter === chapter) ?? []
  return {
    count: lines.reduce((sum, one) => sum + one.count, 0),
    say: lines.map((one) => DUTIES[one.duty].say(one.count)).join(', '),
  }
}
