import { en } from './en/seat'
import { book } from './language'

/** What a pupil's seat says, from the wait at the door to the goodbye. */
export const seatWords = book(en, { de: async () => (await import('./de/seat')).de })
