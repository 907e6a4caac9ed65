import { client } from '../send'
import type { Appliance } from './orders'

/** What a pupil switches of their own, or helps with. */
export const rightsActs = {
  on: (visit: string, { what }: { what: Appliance }) =>
    client.POST('/api/seats/{visit}/on/{what}', { params: { path: { visit, what } } }),
  off: (visit: string, { what }: { what: Appliance }) =>
    client.POST('/api/seats/{visit}/off/{what}', { params: { path: { visit, what } } }),
  'call-on': (visit: string, { person }: { person: string }) =>
    client.POST('/api/seats/{visit}/help/hands/{person}', { params: { path: { visit, person } } }),
  'pause-chat': (visit: string, { paused }: { paused: boolean }) =>
    client.PUT('/api/seats/{visit}/help/chat', { params: { path: { visit } }, body: { paused } }),
}
