import { client } from '../send'
import type { Drawn } from '../drawing/geometry'

const inPlace = (place?: string) => (place ? { in: place } : {})

export const boardOrders = {
  draw: (lesson: string, { page, drawing }: { page: number; drawing: Drawn }) =>
    client.POST('/api/lessons/{lesson}/board/marks', { params: { path: { lesson } }, body: { page, drawing } }),
  erase: (lesson: string, { page, marks }: { page: number; marks: number[] }) =>
    client.POST('/api/lessons/{lesson}/board/erase', { params: { path: { lesson } }, body: { page, marks } }),
  'undo-mark': (lesson: string, { page }: { page: number }) =>
    client.POST('/api/lessons/{lesson}/board/undo', { params: { path: { lesson } }, body: { page } }),
  point: (lesson: string, { page, points }: { page: number; points: number[] }) =>
    client.POST('/api/lessons/{lesson}/board/point', { params: { path: { lesson } }, body: { page, points } }),
  wipe: (lesson: string, { of, place }: { of: string | null; place?: string | undefined }) =>
    client.DELETE('/api/lessons/{lesson}/board', {
      params: { path: { lesson }, query: { ...(of ? { of } : {}), ...inPlace(place) } },
    }),
  'take-pen': (lesson: string, { person, minutes }: { person: string; minutes: number }) =>
    client.POST('/api/lessons/{lesson}/board/people/{person}/take-away', {
      params: { path: { lesson, person } },
      body: { minutes },
    }),
  'turn-page': (lesson: string, { page, place }: { page: number; place?: string | undefined }) =>
    client.PUT('/api/lessons/{lesson}/board/page', { params: { path: { lesson } }, body: { page, ...inPlace(place) } }),
  'add-page': (lesson: string, { place }: { place?: string | undefined }) =>
    client.POST('/api/lessons/{lesson}/board/pages', { params: { path: { lesson }, query: inPlace(place) } }),
  'remove-page': (lesson: string, { page, place }: { page: number; place?: string | undefined }) =>
    client.DELETE('/api/lessons/{lesson}/board/pages/{page}', { params: { path: { lesson, page }, query: inPlace(place) } }),
  'bring-board': (lesson: string, { from, place }: { from: string; place?: string | undefined }) =>
    client.POST('/api/lessons/{lesson}/board/earlier', { params: { path: { lesson } }, body: { from, ...inPlace(place) } }),
}
