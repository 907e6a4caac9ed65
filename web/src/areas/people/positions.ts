import { say } from '../../languages/en/staff/people'
import type { Position } from '../../shared/api/types'

export const KEY = ['people']
export const POSITIONS: Record<Position, string> = { LEAD: say.safeguardingLead, TEACHER: say.teacher, PUPIL: say.pupil }
