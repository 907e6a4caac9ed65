import { say } from '../../languages/en/staff/recordings'
import type { RecordingLine } from '../../shared/api/types'

type Cause = RecordingLine['missing'][number]['cause']

/** Why minutes are missing, as it is said in a list. */
export const CAUSES: Record<Cause, string> = {
  LATE: say.beforeItBegan,
  PAUSED: say.paused,
  FAILED: say.recorderFailed,
  NO_CONSENT: say.noConsent,
  GROUPS: say.inGroups,
  ENDED: say.endedEarly,
}

/** 65 seconds as "1:05", and an hour as "1:00:00". */
export function length(seconds: number): string {
  const whole = Math.max(0, Math.floor(seconds))
  const rest = `${String(Math.floor(whole / 60) % 60).padStart(whole >= 3600 ? 2 : 1, '0')}:${String(whole % 60).padStart(2, '0')}`
  return whole >= 3600 ? `${Math.floor(whole / 3600)}:${rest}` : rest
}

/** Seconds as people say them: "40 s" or "3 min". */
export function spoken(seconds: number): string {
  return seconds < 60 ? `${seconds} s` : say.min(Math.round(seconds / 60))
}
