import type { ClassGroups } from '../../shared/api/types'

/** What is kept for groups of a class, and how it is changed. */
export interface KeptProps {
  groups: ClassGroups
  path: string
  /** Changes what is kept; what the server answers is shown. */
  say: (order: () => Promise<ClassGroups>, then?: () => void) => void
}
