import { client } from '../send'

const at = (lesson: string) => ({ params: { path: { lesson } } })

export const clocksOrders = {
  clock: (lesson: string, { task, seconds, tone }: { task: string; seconds?: number | undefined; tone: boolean }) =>
    client.POST('/api/lessons/{lesson}/clock', { ...at(lesson), body: seconds ? { task, seconds, tone } : { task, tone } }),
  'pause-clock': (lesson: string) => client.PUT('/api/lessons/{lesson}/clock/pause', at(lesson)),
  'clock-on': (lesson: string) => client.DELETE('/api/lessons/{lesson}/clock/pause', at(lesson)),
  'longer-clock': (lesson: string, { seconds }: { seconds: number }) =>
    client.POST('/api/lessons/{lesson}/clock/longer', { ...at(lesson), body: { seconds } }),
  'end-clock': (lesson: string) => client.DELETE('/api/lessons/{lesson}/clock', at(lesson)),
  'call-first': (lesson: string, { task, seconds }: { task: string; seconds: number }) =>
    client.POST('/api/lessons/{lesson}/call', { ...at(lesson), body: { task, seconds } }),
  'next-in-row': (lesson: string) => client.POST('/api/lessons/{lesson}/call/next', at(lesson)),
  'end-call': (lesson: string) => client.DELETE('/api/lessons/{lesson}/call', at(lesson)),
}
