import { client } from '../send'

export const meritsOrders = {
  merit: (lesson: string, { people, reason }: { people: string[]; reason: string }) =>
    client.POST('/api/lessons/{lesson}/merits', { params: { path: { lesson } }, body: { people, reason } }),
  'take-merit-back': (lesson: string, { number }: { number: number }) =>
    client.DELETE('/api/lessons/{lesson}/merits/{number}', { params: { path: { lesson, number } } }),
}
