import { en } from './en/account'
import { book } from './language'

/** What the page of one's own account says. */
export const accountWords = book(en, { de: async () => (await import('./de/account')).de })
