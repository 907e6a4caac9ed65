import type { Seat } from '../../shared/api/types'
import { client } from '../send'

export type Sign = NonNullable<NonNullable<Seat['mine']['signals']>['sign']>

export const signalsOrders = {
  'lower-hand': (lesson: string, { person }: { person: string }) =>
    client.POST('/api/lessons/{lesson}/people/{person}/lower-hand', { params: { path: { lesson, person } } }),
  'hands-down': (lesson: string) => client.POST('/api/lessons/{lesson}/hands/down', { params: { path: { lesson } } }),
  'clear-signs': (lesson: string) => client.POST('/api/lessons/{lesson}/signs/clear', { params: { path: { lesson } } }),
  focus: (lesson: string, { person }: { person: string | null }) =>
    client.PUT('/api/lessons/{lesson}/focus', { params: { path: { lesson } }, body: person ? { person } : {} }),
}
