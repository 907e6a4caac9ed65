import type { components } from '../../shared/api/generated/schema'
import { client } from '../send'

export type Kind = components['schemas']['QuestionGiven']['kind']

export interface Asking {
  kind: Kind
  text: string
  choices: string[]
  right: number[]
  number?: string
  tolerance?: string
  spellings: string[]
  points: number
}

const at = (lesson: string, number: number) => ({ params: { path: { lesson, number } } })

export const questionsOrders = {
  ask: (
    lesson: string,
    order: { question: Asking; changeable: boolean; seconds?: number | undefined; prepared?: string; group?: string | undefined },
  ) =>
    client.POST('/api/lessons/{lesson}/questions', {
      params: { path: { lesson } },
      body: {
        question: order.question,
        changeable: order.changeable,
        ...(order.seconds ? { seconds: order.seconds } : {}),
        ...(order.prepared ? { prepared: order.prepared } : {}),
        ...(order.group ? { group: order.group } : {}),
      },
    }),
  'close-question': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/questions/{number}/close', at(lesson, number)),
  'longer-question': (lesson: string, { number, seconds }: { number: number; seconds: number }) =>
    client.POST('/api/lessons/{lesson}/questions/{number}/longer', { ...at(lesson, number), body: { seconds } }),
  'nudge-question': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/questions/{number}/nudge', at(lesson, number)),
  'show-results': (lesson: string, { number, right }: { number: number; right: boolean }) =>
    client.POST('/api/lessons/{lesson}/questions/{number}/show', { ...at(lesson, number), body: { right } }),
  'put-away': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/questions/{number}/put-away', at(lesson, number)),
}
