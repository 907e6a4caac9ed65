import type { Drawn } from '../drawing/geometry'
import { client } from '../send'

export const boardActs = {
  draw: (visit: string, { page, drawing }: { page: number; drawing: Drawn }) =>
    client.POST('/api/seats/{visit}/board/marks', { params: { path: { visit } }, body: { page, drawing } }),
  erase: (visit: string, { page, marks }: { page: number; marks: number[] }) =>
    client.POST('/api/seats/{visit}/board/erase', { params: { path: { visit } }, body: { page, marks } }),
  'undo-mark': (visit: string, { page }: { page: number }) =>
    client.POST('/api/seats/{visit}/board/undo', { params: { path: { visit } }, body: { page } }),
  point: (visit: string, { page, points }: { page: number; points: number[] }) =>
    client.POST('/api/seats/{visit}/board/point', { params: { path: { visit } }, body: { page, points } }),
  'wipe-own': (visit: string) => client.DELETE('/api/seats/{visit}/board', { params: { path: { visit } } }),
}
