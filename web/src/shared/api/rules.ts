import { put } from './http'
import type { Role, Rules } from './types'

/** One change for the draft. `value` is null to take back what the place says. */
export interface EditRequest {
  rule: string
  role: Role
  when: string
  value: string | null
  binding: boolean
  note: string
  until: string
}

/** Sets one value of one lesson at once, without a draft. */
export const setAtOnce = (place: string, edit: EditRequest) => put<Rules>(`/api/rules/${encodeURIComponent(place)}/at-once`, edit)
