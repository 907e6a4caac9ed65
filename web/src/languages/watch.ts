import { en } from './en/watch'
import { book } from './language'

/** What a recording says to who may watch it. */
export const watchWords = book(en, { de: async () => (await import('./de/watch')).de })
