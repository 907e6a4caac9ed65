import { client } from '../send'

export const linesOrders = {
  'leave-weak-lines': (lesson: string) => client.POST('/api/lessons/{lesson}/lines/leave', { params: { path: { lesson } } }),
}
