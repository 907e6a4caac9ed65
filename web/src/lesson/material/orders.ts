import { client } from '../send'

export const materialOrders = {
  'hand-out': (lesson: string, { title, body }: { title: string; body: string }) =>
    client.POST('/api/lessons/{lesson}/materials', { params: { path: { lesson } }, body: { title, body } }),
  'take-back': (lesson: string, { number }: { number: number }) =>
    client.DELETE('/api/lessons/{lesson}/materials/{number}', { params: { path: { lesson, number } } }),
  'caption-service': (lesson: string, { on }: { on: boolean }) =>
    client.PUT('/api/lessons/{lesson}/captions/service', { params: { path: { lesson } }, body: { on } }),
  caption: (lesson: string, { text }: { text: string }) =>
    client.POST('/api/lessons/{lesson}/captions', { params: { path: { lesson } }, body: { text } }),
}
