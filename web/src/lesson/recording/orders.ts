import type { components } from '../../shared/api/generated/schema'
import { client } from '../send'

export type PauseReason = components['schemas']['RecordingPause']['reason']

export const recordingOrders = {
  record: (lesson: string) => client.POST('/api/lessons/{lesson}/recording', { params: { path: { lesson } } }),
  'end-recording': (lesson: string) => client.DELETE('/api/lessons/{lesson}/recording', { params: { path: { lesson } } }),
  'pause-recording': (lesson: string, { reason, minutes }: { reason: PauseReason; minutes?: number }) =>
    client.PUT('/api/lessons/{lesson}/recording/pause', {
      params: { path: { lesson } },
      body: minutes === undefined ? { reason } : { reason, minutes },
    }),
  'recording-on': (lesson: string) => client.DELETE('/api/lessons/{lesson}/recording/pause', { params: { path: { lesson } } }),
}
