export interface To {
  to: 'CLASS' | 'ADULTS' | 'ONE' | 'PLACE'
  person: string | null
  /** A group, for those in one place. */
  place?: string | undefined
}

/** What is sent, of what was written. */
export const sent = ({ to, person, place, text }: To & { text: string }) => ({
  to,
  text,
  ...(person ? { person } : {}),
  ...(place ? { place } : {}),
})
