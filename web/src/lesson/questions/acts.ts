import { client } from '../send'

export const questionsActs = {
  answer: (
    visit: string,
    { number, picked, given, text }: { number: number; picked?: number[]; given?: string; text?: string },
  ) =>
    client.POST('/api/seats/{visit}/questions/{number}/answer', {
      params: { path: { visit, number } },
      body: { ...(picked ? { picked } : {}), ...(given ? { number: given } : {}), ...(text ? { text } : {}) },
    }),
}
