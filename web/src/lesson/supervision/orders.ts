import { client } from '../send'

export const supervisionOrders = {
  stop: (lesson: string, { why }: { why: string }) =>
    client.POST('/api/lessons/{lesson}/stop', { params: { path: { lesson } }, body: { why } }),
  resume: (lesson: string) => client.POST('/api/lessons/{lesson}/resume', { params: { path: { lesson } } }),
  'take-charge': (lesson: string) => client.POST('/api/lessons/{lesson}/take-charge', { params: { path: { lesson } } }),
}
