import { boardActs } from './board/orders'
import { chatActs } from './chat/orders'
import { clocksActs } from './clocks/orders'
import { Banner as Clocks } from './clocks/SeatClocks'
import { conductActs } from './conduct/orders'
import { AtSeat as Conduct } from './conduct/SeatConduct'
import { doorActs } from './door/orders'
import { groupsActs } from './groups/orders'
import { Banner as Group } from './groups/SeatGroup'
import { Sign as HelpHour } from './help/SeatHelp'
import { linesActs } from './lines/orders'
import { Banner as WeakLine } from './lines/SeatLine'
import { AtSeat as Merits } from './merits/SeatMerits'
import { Banner as Notices } from './notices/SeatNotices'
import type { SeatPart } from './part'
import { questionsActs } from './questions/orders'
import { Banner as Question } from './questions/SeatQuestion'
import { AtSeat as NotRecorded, Sign as RecordingSign } from './recording/SeatRecording'
import { rightsActs } from './rights/orders'
import { AtSeat as Company, Banner as PassedOn } from './rights/SeatCompany'
import { FocusAsked } from './signals/FocusAsked'
import { signalsActs } from './signals/orders'
import { slatesActs } from './slates/orders'
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
