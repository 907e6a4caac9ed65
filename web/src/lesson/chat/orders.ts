import { post } from '../../shared/api/http'
import { fileForm } from '../../shared/ui/SentFile'
import { client } from '../send'
import { sent, type To } from './sent'

export const chatOrders = {
  say: (lesson: string, said: To & { text: string }) =>
    client.POST('/api/lessons/{lesson}/words', { params: { path: { lesson } }, body: sent(said) }),
  file: (lesson: string, { file, to, person, place }: To & { file: File }) =>
    post(`/api/lessons/${encodeURIComponent(lesson)}/files`, fileForm(file, to, person, place)),
  'let-through': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/held/{number}/let-through', { params: { path: { lesson, number } } }),
  'keep-back': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/held/{number}/keep-back', { params: { path: { lesson, number } } }),
}
