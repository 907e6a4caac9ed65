import { say } from '../../languages/en/staff/charter'
import type { Rules, Role, RuleLine } from '../../shared/api/types'

/** What of the document is shown. */
export const SHOW_ONLY = {
  binding: say.bindingOnly,
  conditional: say.conditionalOrToCome,
  differs: say.differsFromUsual,
  overruled: say.overruledSomewhere,
  here: say.setHere,
  bound: say.boundAboveBound,
  free: say.freeToChoose,
  draft: say.inTheDraft,
  waiting: say.notEnforcedYetWaiting,
} as const

export type Only = keyof typeof SHOW_ONLY

export interface Filter {
  search: string
  role: Role | ''
  only: Only | ''
}

export const NO_FILTER: Filter = { search: '', role: '', only: '' }

/** The document without what the filter leaves out; chapters that end up empty go too. */
export function filtered(rules: Rules, filter: Filter): Rules['chapters'] {
  return rules.chapters
    .map((chapter) => ({ ...chapter, rules: chapter.rules.filter((rule) => fits(rule, filter, chapter.title)) }))
    .filter((chapter) => chapter.rules.length > 0)
}

/** How many rules each "show only" would leave. */
export function counts(rules: Rules): Record<Only, number> {
  const all = rules.chapters.flatMap((chapter) => chapter.rules)
  const entries = Object.keys(SHOW_ONLY).map((only) => [only, all.filter((rule) => is(rule, only as Only)).length])
  return Object.fromEntries(entries) as Record<Only, number>
}

function fits(rule: RuleLine, filter: Filter, chapter: string): boolean {
  const words =
    `${rule.title} ${rule.meaning} ${rule.reason} ${rule.pupilWords} ${rule.key} ${chapter} ${rule.alsoCalled}`.toLowerCase()
  return (
    filter.search
      .toLowerCase()
      .split(/\s+/)
      .every((word) => words.includes(word)) &&
    (filter.role === '' || rule.wholeLesson || rule.cells.some((cell) => cell.role === filter.role)) &&
    (filter.only === '' || is(rule, filter.only))
  )
}

function is(rule: RuleLine, only: Only): boolean {
  const cells = [...rule.cells, ...rule.conditions.flatMap((one) => one.cells)]
  switch (only) {
    case 'binding':
      return cells.some((cell) => cell.binding)
    case 'conditional':
      return rule.conditions.length > 0
    case 'differs':
      return rule.cells.some((cell) => cell.differs)
    case 'overruled':
      return rule.overruledIn.length > 0 || cells.some((cell) => cell.overruled)
    case 'here':
      return cells.some((cell) => cell.refined || cell.drafted)
    case 'bound':
      return cells.some((cell) => cell.bound)
    case 'free':
      return rule.cells.some((cell) => !cell.bound)
    case 'draft':
      return cells.some((cell) => cell.drafted)
    case 'waiting':
      return rule.enforced === ''
  }
}
