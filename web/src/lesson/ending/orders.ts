import { client } from '../send'

export const endingOrders = {
  dismiss: (lesson: string) => client.POST('/api/lessons/{lesson}/dismiss', { params: { path: { lesson } } }),
  'last-word': (lesson: string, { person }: { person: string }) =>
    client.POST('/api/lessons/{lesson}/people/{person}/last-word', { params: { path: { lesson, person } } }),
}
