import { boardOrders } from './board/orders'
import { clocks } from './clocks/clocks'
import { conduct } from './conduct/conduct'
import { InRowMenu as PrivateWord } from './chat/InRowMenu'
import { chatNeeds } from './chat/needs'
import { chatOrders } from './chat/orders'
import { doorNeeds } from './door/needs'
import { doorOrders } from './door/orders'
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
import { rightsNeeds } from './rights/needs'
import { rightsOrders } from './rights/orders'
import { focusMarks } from './signals/Focus'
import { signalsNeeds } from './signals/needs'
import { signalsOrders } from './signals/orders'
import { slates } from './slates/slates'
import { supervisionOrders } from './supervision/orders'

/** The parts of a lesson, as the desk knows them: a line for each. What they add to a seat stands in `seatParts`. */
export const PARTS = [
  { orders: doorOrders, page: { cards: doorNeeds } },
  groups,
  { orders: signalsOrders, page: { cards: signalsNeeds, marks: focusMarks } },
  { orders: rightsOrders, page: { cards: rightsNeeds, marks: rightsMarks, InMore, UnderHead } },
  lines,
  { orders: chatOrders, page: { cards: chatNeeds, InRowMenu: PrivateWord } },
  { orders: boardOrders, page: {} },
  { orders: materialOrders, page: {} },
  { orders: supervisionOrders, page: {} },
  recording,
  help,
  questions,
  clocks,
  slates,
  notices,
  { orders: endingOrders, page: {} },
  merits,
  conduct,
] as const

/** What the parts add to the desk, in their order. */
export const PAGES: readonly PagePart[] = PARTS.map((part) => part.page as PagePart)
