import { client } from '../send'

export const boardOrders = {
  wipe: (lesson: string, { of, place }: { of: string | null; place?: string | undefined }) =>
    client.DELETE('/api/lessons/{lesson}/board', {
      params: { path: { lesson }, query: { ...(of ? { of } : {}), ...(place ? { in: place } : {}) } },
    }),
}

export const boardActs = {
  'wipe-own': (visit: string) => client.DELETE('/api/seats/{visit}/board', { params: { path: { visit } } }),
}
