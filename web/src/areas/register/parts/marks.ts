import { say } from '../../../languages/en/staff/register'
import type { Mark } from '../../../shared/api/types'
import { MARKS } from '../../../shared/ui/MarkBox'

/** The columns of the table, its head included. */
export const COLUMNS = '190px 132px minmax(140px, 1fr) 70px 62px 62px 52px 60px 84px'

/** What is needed away from a desk: who, the mark, and correcting it. */
export const ON_A_PHONE = 'minmax(0, 1fr) 112px 84px'

/** A mark in words. */
export function words(mark: Mark, late: number): string {
  return mark === 'LATE' ? say.lateByMin(late) : MARKS[mark]
}

export const COLOURS: Record<Mark, string> = {
  PRESENT: 'verdict.in',
  LATE: 'verdict.wait',
  LEFT_EARLY: 'verdict.wait',
  PARTLY: 'verdict.wait',
  ABSENT: 'verdict.away',
  EXCUSED: 'ink2',
  NOT_EXPECTED: 'ink2',
  WATCHED: 'ink2',
  CAME: 'verdict.in',
}

/** One key for each mark, for thirty pupils in a row. */
export const KEYS: Record<string, Mark> = { p: 'PRESENT', l: 'LATE', a: 'ABSENT', e: 'EXCUSED', h: 'PARTLY', g: 'LEFT_EARLY' }
