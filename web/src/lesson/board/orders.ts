import { client } from '../send'

export const boardOrders = {
  wipe: (lesson: string, { of }: { of: string | null }) =>
    client.DELETE('/api/lessons/{lesson}/board', { params: { path: { lesson }, query: of ? { of } : {} } }),
}

export const boardActs = {
  'wipe-own': (visit: string) => client.DELETE('/api/seats/{visit}/board', { params: { path: { visit } } }),
}
