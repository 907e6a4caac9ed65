/** How long ago, in the largest unit that says enough. */
import { say } from '../../languages/en/staff/shared'
export function ageOf(at: string, now: string): string {
  const minutes = Math.max(0, Math.floor((Date.parse(now) - Date.parse(at)) / 60_000))
  if (minutes < 60) return minutes === 1 ? '1 minute' : say.minutes(minutes)
  const hours = Math.floor(minutes / 60)
  if (hours < 48) return hours === 1 ? '1 hour' : say.hours(hours)
  return say.days(Math.floor(hours / 24))
}
