import { client } from '../send'

export const linesOrders = {
  'leave-weak-lines': (lesson: string) => client.POST('/api/lessons/{lesson}/lines/leave', { params: { path: { lesson } } }),
}

export const linesActs = {
  'tell-line': (visit: string, { weak }: { weak: boolean }) =>
    client.PUT('/api/seats/{visit}/line', { params: { path: { visit } }, body: { weak } }),
}
