import { boardActs } from './board/acts'
import { chatActs } from './chat/acts'
import { clocksActs } from './clocks/acts'
import { Banner as Clocks } from './clocks/SeatClocks'
import { conductActs } from './conduct/acts'
import { AtSeat as Conduct } from './conduct/SeatConduct'
import { doorActs } from './door/acts'
import { groupsActs } from './groups/acts'
import { Banner as Group } from './groups/SeatGroup'
import { Sign as HelpHour } from './help/SeatHelp'
import { linesActs } from './lines/acts'
import { Banner as WeakLine } from './lines/SeatLine'
import { AtSeat as Merits } from './merits/SeatMerits'
import { Banner as Notices } from './notices/SeatNotices'
import type { SeatPart } from './part'
import { questionsActs } from './questions/acts'
import { Banner as Question } from './questions/SeatQuestion'
import { AtSeat as NotRecorded, Sign as RecordingSign } from './recording/SeatRecording'
import { rightsActs } from './rights/acts'
import { AtSeat as Company, Banner as PassedOn } from './rights/SeatCompany'
import { FocusAsked } from './signals/FocusAsked'
import { signalsActs } from './signals/acts'
import { slatesActs } from './slates/acts'
import { Banner as Slates } from './slates/SeatSlate'

/** The parts of a lesson, as a pupil's seat knows them. Nothing of the desk is here: a pupil's browser does not fetch it. */
export const SEAT_PARTS = [
  { acts: doorActs, page: {} },
  { acts: groupsActs, page: { Banner: Group } },
  { acts: signalsActs, page: { Banner: FocusAsked } },
  { acts: rightsActs, page: { AtSeat: Company, Banner: PassedOn } },
  { acts: linesActs, page: { Banner: WeakLine } },
  { acts: chatActs, page: {} },
  { acts: boardActs, page: {} },
  { acts: {}, page: { Sign: RecordingSign, AtSeat: NotRecorded } },
  { acts: {}, page: { Sign: HelpHour } },
  { acts: questionsActs, page: { Banner: Question } },
  { acts: clocksActs, page: { Banner: Clocks } },
  { acts: slatesActs, page: { Banner: Slates } },
  { acts: {}, page: { Banner: Notices } },
  { acts: {}, page: { AtSeat: Merits } },
  { acts: conductActs, page: { AtSeat: Conduct } },
] as const

/** What the parts add to a seat, in their order. */
export const SEAT_PAGES: readonly SeatPart[] = SEAT_PARTS.map((part) => part.page as SeatPart)
