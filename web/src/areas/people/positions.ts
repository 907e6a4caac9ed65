import type { Position } from '../../shared/api/types'

export const KEY = ['people']
export const POSITIONS: Record<Position, string> = { LEAD: 'safeguarding lead', TEACHER: 'teacher', PUPIL: 'pupil' }
