import type { Desk } from '../../shared/api/types'
import type { Mark } from '../part'

/** What a pupil does with what they may. */
export function rightsMarks(desk: Desk, person: string): Mark[] {
  const rights = desk.rights.pupils[person]
  if (!rights) return []
  const words = [rights.microphone && 'speaks', rights.screen && 'shows', rights.help.length > 0 && 'helps']
  return words.filter((one) => one !== false).map((word) => ({ short: word, words: word }))
}
