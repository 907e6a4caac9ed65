import { ownWords } from '../../languages/own'
import type { Message } from '../../shared/api/types'

/** To whom something was written, as adults read it. */
export function whom({ to, toName }: Pick<Message, 'to' | 'toName'>): string {
  const say = ownWords()
  return to === 'CLASS' ? say.toAll : to === 'ADULTS' ? say.toAdults : say.to(toName ?? '')
}
