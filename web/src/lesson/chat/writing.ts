import { createContext } from 'react'

/** Where the keys write: the box with this id gets the focus. */
export const WRITE_BOX = 'write-to-the-class'

/** Whom the next words go to: all, a group or one pupil. Chosen at the box, or from a pupil's row. */
export const WriteTo = createContext<{ to: string; setTo: (to: string) => void }>({ to: '', setTo: () => {} })
