import type { components } from '../../shared/api/generated/schema'
import type { Drawn } from '../drawing/geometry'
import { client } from '../send'

export type Ground = components['schemas']['SlatesRequest']['ground']

const at = (lesson: string) => ({ params: { path: { lesson } } })
const own = (visit: string) => ({ params: { path: { visit } } })

export const slatesOrders = {
  'give-slates': (lesson: string, { task, ground }: { task: string; ground: Ground }) =>
    client.POST('/api/lessons/{lesson}/slates', { ...at(lesson), body: { task, ground } }),
  'take-slates': (lesson: string) => client.DELETE('/api/lessons/{lesson}/slates', at(lesson)),
  'collect-slates': (lesson: string) => client.POST('/api/lessons/{lesson}/slates/collect', at(lesson)),
  'give-back': (lesson: string, { person }: { person?: string }) =>
    client.POST('/api/lessons/{lesson}/slates/give-back', { ...at(lesson), body: person ? { person } : {} }),
  'show-slates': (lesson: string, { people, named }: { people: string[]; named: boolean }) =>
    client.PUT('/api/lessons/{lesson}/slates/shown', { ...at(lesson), body: { people, named } }),
  'hide-slates': (lesson: string) => client.DELETE('/api/lessons/{lesson}/slates/shown', at(lesson)),
}

export const slatesActs = {
  'slate-draw': (visit: string, { drawing }: { drawing: Drawn }) =>
    client.POST('/api/seats/{visit}/slate/marks', { ...own(visit), body: drawing }),
  'slate-undo': (visit: string) => client.POST('/api/seats/{visit}/slate/undo', own(visit)),
  'slate-wipe': (visit: string, { marks }: { marks: number[] }) =>
    client.POST('/api/seats/{visit}/slate/wipe', { ...own(visit), body: { marks } }),
  'hand-in': (visit: string) => client.POST('/api/seats/{visit}/slate/hand-in', own(visit)),
}
