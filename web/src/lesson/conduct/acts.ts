import { client } from '../send'

export const conductActs = {
  worry: (
    visit: string,
    { about, words, leadOnly }: { about: 'NOTHING_SAID' | 'A_PUPIL' | 'AN_ADULT'; words: string; leadOnly: boolean },
  ) => client.POST('/api/seats/{visit}/worry', { params: { path: { visit } }, body: { about, words, leadOnly } }),
}
