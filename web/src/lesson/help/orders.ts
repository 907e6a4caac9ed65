import { client } from '../send'

export const helpOrders = {
  'stay-for-questions': (lesson: string, { minutes }: { minutes: number }) =>
    client.POST('/api/lessons/{lesson}/help-hour', { params: { path: { lesson } }, body: { minutes } }),
}
