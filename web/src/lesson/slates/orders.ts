import type { components } from '../../shared/api/generated/schema'
import { client } from '../send'

export type Ground = components['schemas']['SlatesRequest']['ground']

const at = (lesson: string) => ({ params: { path: { lesson } } })

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
