import { en } from './en/own'
import { book } from './language'

/** What a pupil's own pages say: signing in, the day, what is read afterwards. */
export const ownWords = book(en, { de: async () => (await import('./de/own')).de })
