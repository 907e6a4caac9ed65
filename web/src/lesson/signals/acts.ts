import { client } from '../send'
import type { Sign } from './orders'

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
