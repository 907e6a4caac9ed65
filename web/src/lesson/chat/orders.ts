import { post } from '../../shared/api/http'
import { fileForm } from '../../shared/ui/SentFile'
import { client } from '../send'

interface To {
  to: 'CLASS' | 'ADULTS' | 'ONE' | 'PLACE'
  person: string | null
  /** A group, for those in one place. */
  place?: string | undefined
}

const words = ({ to, person, place, text }: To & { text: string }) => ({
  to,
  text,
  ...(person ? { person } : {}),
  ...(place ? { place } : {}),
})

export const chatOrders = {
  say: (lesson: string, said: To & { text: string }) =>
    client.POST('/api/lessons/{lesson}/words', { params: { path: { lesson } }, body: words(said) }),
  file: (lesson: string, { file, to, person, place }: To & { file: File }) =>
    post(`/api/lessons/${encodeURIComponent(lesson)}/files`, fileForm(file, to, person, place)),
  'let-through': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/held/{number}/let-through', { params: { path: { lesson, number } } }),
  'keep-back': (lesson: string, { number }: { number: number }) =>
    client.POST('/api/lessons/{lesson}/held/{number}/keep-back', { params: { path: { lesson, number } } }),
}

export const chatActs = {
  say: (visit: string, said: To & { text: string }) =>
    client.POST('/api/seats/{visit}/words', { params: { path: { visit } }, body: words(said) }),
  file: (visit: string, { file, to, person }: To & { file: File }) =>
    post(`/api/seats/${encodeURIComponent(visit)}/files`, fileForm(file, to, person)),
}
