import { UnderHead } from './DeskQuestion'
import { questionsOrders } from './orders'
import type { Desk } from '../../shared/api/types'
import type { OrderOf } from '../send'

type Give = (order: OrderOf<typeof questionsOrders>) => void

/** Q asks, and closes what was asked; H shows the class how it was answered. */
function keys(desk: Desk, give: Give, open: (what: 'question') => void): Record<string, () => void> {
  const now = desk.questions.now
  return {
    q: () => (now?.open ? give({ do: 'close-question', number: now.number }) : open('question')),
    ...(now && !now.shown && now.enough ? { h: () => give({ do: 'show-results', number: now.number, right: false }) } : {}),
  }
}

export const questions = {
  orders: questionsOrders,
  page: { UnderHead, keys, hurries: (desk: Desk) => !!desk.questions.now?.until },
}
