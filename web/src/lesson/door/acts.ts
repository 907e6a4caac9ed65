import { client } from '../send'

/** What a pupil does at the door, or helps with there. */
export const doorActs = {
  leave: (visit: string) => client.POST('/api/seats/{visit}/leave', { params: { path: { visit } } }),
  rename: (visit: string, { name }: { name: string }) =>
    client.PUT('/api/seats/{visit}/name', { params: { path: { visit } }, body: { name } }),
  'let-in': (visit: string, { arrival }: { arrival: string }) =>
    client.POST('/api/seats/{visit}/help/door/{arrival}', { params: { path: { visit, arrival } } }),
}
