import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useEffect, useRef } from 'react'
import type { EditRequest } from '../../shared/api/rules'
import type { RuleCell, RuleLine, Rules } from '../../shared/api/types'
import { addToDraft, keep } from './api'
import type { Chosen } from './parts/RulesTable'

type Wanted = Pick<EditRequest, 'value' | 'binding'>

const PERMISSIONS: Record<string, string> = { o: 'open', r: 'on-request', c: 'closed' }

/**
 * What a key means on a value: O, R and C of a permission, a digit for a choice in its order, + and − for a number; with Shift
 * it is binding too. B binds and unbinds, Delete takes back what is set here. Nothing for every other key.
 */
export function wantedBy(rule: RuleLine, cell: RuleCell, key: string, code: string, shift: boolean): Wanted | undefined {
  const value = cell.own ? cell.ownValue : cell.value
  const binding = shift || cell.binding
  const permission = PERMISSIONS[key.toLowerCase()]
  if (rule.right && permission) return { value: permission, binding }
  if (key.toLowerCase() === 'b') return { value, binding: !cell.binding }
  if (key === 'Delete' || key === 'Backspace') return cell.own ? { value: null, binding: false } : undefined
  const digit = /^Digit([1-9])$/.exec(code)
  const choice = digit && rule.choices[Number(digit[1]) - 1]
  if (choice && rule.form === 'CHOICE') return { value: choice.value, binding }
  if (choice && rule.form === 'KINDS') {
    const some = value === 'none' ? [] : value.split('+')
    const next = some.includes(choice.value) ? some.filter((one) => one !== choice.value) : [...some, choice.value].sort()
    return { value: next.join('+') || 'none', binding }
  }
  const step = key === '+' ? 1 : key === '-' ? -1 : 0
  if (rule.form === 'NUMBER' && step) {
    return { value: String(Math.min(rule.max, Math.max(rule.min, Number(value) + step))), binding: cell.binding }
  }
  return undefined
}

/** The value as it stands now: a key may come before the pointer has moved on from what another key has changed. */
function found(rules: Rules, over: Chosen) {
  const rule = rules.chapters.flatMap((one) => one.rules).find((one) => one.key === over.rule.key)
  const cells = over.when ? rule?.conditions.find((one) => one.when === over.when)?.cells : rule?.cells
  const cell = cells?.find((one) => one.role === over.cell.role)
  return rule && cell && { rule, cell, when: over.when }
}

/** Sets values by keys right where they stand: on the value under the pointer, or else on the one that has the focus. */
export function useCharterKeys(rules: Rules, editable: boolean) {
  const cache = useQueryClient()
  const over = useRef<Chosen | undefined>(undefined)
  const add = useMutation({
    mutationFn: (edit: EditRequest) => addToDraft(rules.place, edit),
    onSuccess: (next) => keep(cache, next),
  })
  const { mutate } = add
  useEffect(() => {
    if (!editable) return
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      const at = over.current && found(rules, over.current)
      if (!at || event.ctrlKey || event.metaKey || event.altKey || target.closest('input, textarea, select, [role=dialog]'))
        return
      const wanted = wantedBy(at.rule, at.cell, event.key, event.code, event.shiftKey)
      if (!wanted) return
      event.preventDefault()
      mutate({ rule: at.rule.key, role: at.cell.role, when: at.when, note: at.cell.note, until: '', ...wanted })
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [rules, editable, mutate])
  return { problem: add.error, onOver: (chosen: Chosen | undefined) => (over.current = chosen) }
}
