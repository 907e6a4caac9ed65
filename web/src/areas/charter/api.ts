import type { QueryClient } from '@tanstack/react-query'
import { get, post, put, remove } from '../../shared/api/http'
import type { EditRequest } from '../../shared/api/rules'
import type { DraftLine, Report, Role, Rules } from '../../shared/api/types'

const at = (place: string) => `/api/rules/${place}`

export const rulesKey = (place: string, on = '') => ['rules', place, on]

export const readRules = (place: string, on = '') => get<Rules>(on ? `${at(place)}?on=${on}` : at(place))

export const addToDraft = (place: string, edit: EditRequest) => put<Rules>(`${at(place)}/draft`, edit)

export const takeOut = (place: string, line: DraftLine) =>
  remove<Rules>(
    `${at(place)}/draft?rule=${encodeURIComponent(line.rule)}&role=${line.role}&when=${encodeURIComponent(line.when)}`,
  )

export const discard = (place: string) => remove<Rules>(`${at(place)}/draft`)

export const askConsequences = (place: string, from: string) => post<Report>(`${at(place)}/draft/consequences`, { from })

export const putInForce = (place: string, from: string) => post<Rules>(`${at(place)}/draft/in-force`, { from })

export function whyPath(place: string, rule: string, role: Role, facts?: string[]): string {
  const situation = facts ? `&facts=${facts.join(',')}` : ''
  return `${at(place)}/why?rule=${rule}&role=${role}${situation}`
}

/** Takes up a document that came back from a change; whatever else was known about rules is asked again. */
export function keep(cache: QueryClient, rules: Rules) {
  cache.setQueryData(rulesKey(rules.place), rules)
  void cache.invalidateQueries({ queryKey: ['consequences'] })
  void cache.invalidateQueries({ queryKey: ['why'] })
}
