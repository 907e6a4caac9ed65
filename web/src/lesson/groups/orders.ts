import { client } from '../send'

/** How groups are to be made. @see Recipe in the core */
export interface Recipe {
  by: 'NUMBER' | 'SIZE'
  count: number
  balanced: boolean
  mixed: boolean
  /** In how many of the last times company is looked for. */
  times: number
  trusted: boolean
}

const at = (lesson: string, group: string) => ({ params: { path: { lesson, group } } })

/** Drawing up, sending out, visiting and calling back. */
export const groupsOrders = {
  'make-groups': (lesson: string, { recipe }: { recipe: Recipe }) =>
    client.POST('/api/lessons/{lesson}/groups/made', { params: { path: { lesson } }, body: { ...recipe, seed: 0 } }),
  'groups-as-last': (lesson: string) =>
    client.POST('/api/lessons/{lesson}/groups/as-last-time', { params: { path: { lesson } } }),
  'groups-prepared': (lesson: string, { set }: { set: string }) =>
    client.POST('/api/lessons/{lesson}/groups/prepared/{set}', { params: { path: { lesson, set } } }),
  /** Draws them up and sends them out: what the running order has for now. */
  'send-prepared': async (lesson: string, { set }: { set: string }) => {
    await client.POST('/api/lessons/{lesson}/groups/prepared/{set}', { params: { path: { lesson, set } } })
    return client.POST('/api/lessons/{lesson}/groups/send-out', {
      params: { path: { lesson } },
      body: { invite: false },
    })
  },
  'groups-task': (lesson: string, { text }: { text: string }) =>
    client.PUT('/api/lessons/{lesson}/groups/task', { params: { path: { lesson } }, body: { text } }),
  'add-group': (lesson: string, { name }: { name: string }) =>
    client.POST('/api/lessons/{lesson}/groups', { params: { path: { lesson } }, body: { name } }),
  'name-group': (lesson: string, { group, name }: { group: string; name: string }) =>
    client.PUT('/api/lessons/{lesson}/groups/{group}/name', { ...at(lesson, group), body: { name } }),
  'lock-group': (lesson: string, { group, on }: { group: string; on: boolean }) =>
    client.PUT('/api/lessons/{lesson}/groups/{group}/lock', { ...at(lesson, group), body: { on } }),
  'empty-group': (lesson: string, { group }: { group: string }) =>
    client.DELETE('/api/lessons/{lesson}/groups/{group}/people', at(lesson, group)),
  'to-group': (lesson: string, { person, to }: { person: string; to: string | null }) =>
    client.PUT('/api/lessons/{lesson}/people/{person}/group', {
      params: { path: { lesson, person } },
      body: to ? { to } : {},
    }),
  'send-out': (lesson: string, { minutes, invite }: { minutes: number; invite: boolean }) =>
    client.POST('/api/lessons/{lesson}/groups/send-out', { params: { path: { lesson } }, body: { minutes, invite } }),
  'stay-longer': (lesson: string, { minutes }: { minutes: number }) =>
    client.POST('/api/lessons/{lesson}/groups/stay-longer', { params: { path: { lesson } }, body: { minutes } }),
  'call-back': (lesson: string, { seconds }: { seconds: number }) =>
    client.POST('/api/lessons/{lesson}/groups/call-back', { params: { path: { lesson } }, body: { seconds } }),
  'go-in': (lesson: string, { group }: { group: string }) =>
    client.POST('/api/lessons/{lesson}/groups/{group}/go-in', at(lesson, group)),
  'come-out': (lesson: string) => client.POST('/api/lessons/{lesson}/groups/come-out', { params: { path: { lesson } } }),
  'look-in': (lesson: string, { group }: { group: string }) =>
    client.POST('/api/lessons/{lesson}/groups/{group}/look-in', at(lesson, group)),
  'look-away': (lesson: string) => client.POST('/api/lessons/{lesson}/groups/look-away', { params: { path: { lesson } } }),
  'seen-to': (lesson: string, { group }: { group: string }) =>
    client.POST('/api/lessons/{lesson}/groups/{group}/seen-to', at(lesson, group)),
}
