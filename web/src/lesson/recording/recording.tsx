import { say } from '../../languages/en/desk/recording'
import type { Desk } from '../../shared/api/types'
import type { Mark } from '../part'
import { InMore, penOf, UnderHead } from './DeskRecording'
import { recordingNeeds } from './needs'
import { recordingOrders } from './orders'

function hurries({ recording }: Desk): boolean {
  return !!recording.paused || penOf(recording) === 'soon'
}

/** Beside the name of who may not be recorded, while it matters. */
function marks(desk: Desk, person: string): Mark[] {
  const { phase, unheard } = desk.recording
  const going = phase !== 'OFF' && phase !== 'ENDED'
  return going && unheard.some((one) => one.person === person)
    ? [{ short: say.notRecordedShort, words: say.notToBeRecorded, quiet: true }]
    : []
}

export const recording = {
  orders: recordingOrders,
  page: { cards: recordingNeeds, marks, InMore, UnderHead, hurries },
}
