import { client } from '../send'
import type { StepBody as TakeStep } from '../../shared/api/types'

export const conductOrders = {
  step: (lesson: string, { people, act, step, right, minutes, named, why, evidenceMinutes, seen }: TakeStep) =>
    client.POST('/api/lessons/{lesson}/steps', {
      params: { path: { lesson } },
      body: { people, act, step, right, minutes, named, why, evidenceMinutes, seen },
    }),
  'step-note': (lesson: string, { number, text }: { number: number; text: string }) =>
    client.POST('/api/lessons/{lesson}/steps/{number}/notes', { params: { path: { lesson, number } }, body: { text } }),
  'withdraw-step': (lesson: string, { number, why }: { number: number; why: string }) =>
    client.POST('/api/lessons/{lesson}/steps/{number}/withdraw', { params: { path: { lesson, number } }, body: { why } }),
  moment: (lesson: string, { text }: { text: string }) =>
    client.POST('/api/lessons/{lesson}/moments', { params: { path: { lesson } }, body: { text } }),
  'worry-seen': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/worries/{number}/seen', { params: { path: { lesson, number } } }),
}
