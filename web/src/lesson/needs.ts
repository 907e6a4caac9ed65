import type { Cards } from './cards'
import { chatNeeds } from './chat/needs'
import { doorNeeds } from './door/needs'
import { rightsNeeds } from './rights/needs'
import { signalsNeeds } from './signals/needs'

/** How each need is shown, by the part that knows it. */
export const CARDS: Required<Cards> = { ...doorNeeds, ...rightsNeeds, ...signalsNeeds, ...chatNeeds } as Required<Cards>
