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

export const signalsActs = {
  'raise-hand': (visit: string) => client.PUT('/api/seats/{visit}/hand', { params: { path: { visit } } }),
  'lower-hand': (visit: string) => client.DELETE('/api/seats/{visit}/hand', { params: { path: { visit } } }),
  sign: (visit: string, { sign }: { sign: Sign | null }): Promise<unknown> =>
    sign
      ? client.PUT('/api/seats/{visit}/sign/{sign}', { params: { path: { visit, sign } } })
      : client.DELETE('/api/seats/{visit}/sign', { params: { path: { visit } } }),
  'answer-focus': (visit: string, { yes }: { yes: boolean }) =>
    client.PUT('/api/seats/{visit}/focus', { params: { path: { visit } }, body: { yes } }),
  lower: (visit: string, { person }: { person: string }) =>
    client.DELETE('/api/seats/{visit}/help/hands/{person}', { params: { path: { visit, person } } }),
}
