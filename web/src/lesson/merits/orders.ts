import { client } from '../send'

export const meritsOrders = {
  merit: (lesson: string, { person, reason }: { person: string; reason: string }) =>
    client.POST('/api/lessons/{lesson}/people/{person}/merits', { params: { path: { lesson, person } }, body: { reason } }),
}
