import { client } from '../send'

/** What adults order at the door and about those who are in. */
export const doorOrders = {
  open: (lesson: string) => client.POST('/api/lessons/{lesson}/open', { params: { path: { lesson } } }),
  join: (lesson: string) => client.POST('/api/lessons/{lesson}/join', { params: { path: { lesson } } }),
  leave: (lesson: string) => client.POST('/api/lessons/{lesson}/leave', { params: { path: { lesson } } }),
  'admit-all-listed': (lesson: string) => client.POST('/api/lessons/{lesson}/admit-all-listed', { params: { path: { lesson } } }),
  admit: (lesson: string, { visit, as }: { visit: string; as: string | null }) =>
    client.POST('/api/lessons/{lesson}/visits/{visit}/admit', { params: { path: { lesson, visit } }, body: as ? { as } : {} }),
  'admit-guest': (lesson: string, { visit, name, note }: { visit: string; name: string; note: string }) =>
    client.POST('/api/lessons/{lesson}/visits/{visit}/admit-guest', {
      params: { path: { lesson, visit } },
      body: { name, note },
    }),
  'turn-away': (lesson: string, { visit }: { visit: string }) =>
    client.POST('/api/lessons/{lesson}/visits/{visit}/turn-away', { params: { path: { lesson, visit } } }),
  remove: (lesson: string, { person, why }: { person: string; why: string }) =>
    client.POST('/api/lessons/{lesson}/people/{person}/remove', { params: { path: { lesson, person } }, body: { why } }),
  'allow-back': (lesson: string, { person }: { person: string }) =>
    client.POST('/api/lessons/{lesson}/people/{person}/allow-back', { params: { path: { lesson, person } } }),
}
