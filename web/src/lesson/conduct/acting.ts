import { createContext } from 'react'

/** Opens the sheet from which a step is taken, for some pupils. */
export const ActOn = createContext<(people: string[]) => void>(() => {})
