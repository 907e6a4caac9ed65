import type { Drawn } from '../drawing/geometry'
import { client } from '../send'

const own = (visit: string) => ({ params: { path: { visit } } })

export const slatesActs = {
  'slate-draw': (visit: string, { drawing }: { drawing: Drawn }) =>
    client.POST('/api/seats/{visit}/slate/marks', { ...own(visit), body: drawing }),
  'slate-undo': (visit: string) => client.POST('/api/seats/{visit}/slate/undo', own(visit)),
  'slate-wipe': (visit: string, { marks }: { marks: number[] }) =>
    client.POST('/api/seats/{visit}/slate/wipe', { ...own(visit), body: { marks } }),
  'hand-in': (visit: string) => client.POST('/api/seats/{visit}/slate/hand-in', own(visit)),
}
