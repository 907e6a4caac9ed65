import { client } from '../send'

/** What a pupil does about the own group. */
export const groupsActs = {
  'go-to-group': (visit: string) => client.POST('/api/seats/{visit}/group', { params: { path: { visit } } }),
  'leave-group': (visit: string) => client.DELETE('/api/seats/{visit}/group', { params: { path: { visit } } }),
  'call-adult': (visit: string) => client.POST('/api/seats/{visit}/group/help', { params: { path: { visit } } }),
}
