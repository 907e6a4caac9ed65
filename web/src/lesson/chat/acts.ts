import { post } from '../../shared/api/http'
import { fileForm } from '../../shared/ui/SentFile'
import { client } from '../send'
import { sent, type To } from './sent'

export const chatActs = {
  say: (visit: string, said: To & { text: string }) =>
    client.POST('/api/seats/{visit}/words', { params: { path: { visit } }, body: sent(said) }),
  file: (visit: string, { file, to, person }: To & { file: File }) =>
    post(`/api/seats/${encodeURIComponent(visit)}/files`, fileForm(file, to, person)),
}
