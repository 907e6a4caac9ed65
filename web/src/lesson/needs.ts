import type { Cards } from './cards'
import { PAGES } from './parts'

/** How each need is shown, by the part that knows it. */
export const CARDS = Object.assign({}, ...PAGES.map((page) => page.cards ?? {})) as Required<Cards>
