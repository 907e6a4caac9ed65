import { boardActs, boardOrders } from './board/orders'
import { clocks } from './clocks/clocks'
import { conduct } from './conduct/conduct'
import { InRowMenu as PrivateWord } from './chat/InRowMenu'
import { chatNeeds } from './chat/needs'
import { chatActs, chatOrders } from './chat/orders'
import { doorNeeds } from './door/needs'
import { doorActs, doorOrders } from './door/orders'
import { endingOrders } from './ending/orders'
import { groups } from './groups/groups'
import { help } from './help/help'
import { lines } from './lines/lines'
import { materialOrders } from './material/orders'
import { merits } from './merits/Merits'
import { notices } from './notices/notices'
import type { PagePart } from './part'
import { questions } from './questions/questions'
import { recording } from './recording/recording'
import { InMore, UnderHead } from './rights/DeskMore'
import { rightsMarks } from './rights/marks'
import { AtSeat, Banner } from './rights/SeatCompany'
import { rightsNeeds } from './rights/needs'
import { rightsActs, rightsOrders } from './rights/orders'
import { FocusAsked, focusMarks } from './signals/Focus'
import { signalsNeeds } from './signals/needs'
import { signalsActs, signalsOrders } from './signals/orders'
import { slates } from './slates/slates'
import { supervisionOrders } from './supervision/orders'

/** The parts of a lesson, as the pages know them: a line for each. */
export const PARTS = [
  { orders: doorOrders, acts: doorActs, page: { cards: doorNeeds } },
  groups,
  { orders: signalsOrders, acts: signalsActs, page: { cards: signalsNeeds, marks: focusMarks, Banner: FocusAsked } },
  { orders: rightsOrders, acts: rightsActs, page: { cards: rightsNeeds, marks: rightsMarks, InMore, UnderHead, AtSeat, Banner } },
  lines,
  { orders: chatOrders, acts: chatActs, page: { cards: chatNeeds, InRowMenu: PrivateWord } },
  { orders: boardOrders, acts: boardActs, page: {} },
  { orders: materialOrders, acts: {}, page: {} },
  { orders: supervisionOrders, acts: {}, page: {} },
  recording,
  help,
  questions,
  clocks,
  slates,
  notices,
  { orders: endingOrders, acts: {}, page: {} },
  merits,
  conduct,
] as const

/** What the parts add to the pages, in their order. */
export const PAGES: readonly PagePart[] = PARTS.map((part) => part.page as PagePart)
