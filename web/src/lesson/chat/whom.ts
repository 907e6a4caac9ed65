import type { Message } from '../../shared/api/types'

/** To whom something was written, as adults read it. */
export function whom({ to, toName }: Pick<Message, 'to' | 'toName'>): string {
  return to === 'CLASS' ? 'to all' : to === 'ADULTS' ? 'to adults' : `to ${toName}`
}
