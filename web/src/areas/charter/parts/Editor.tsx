import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/charter'
import type { RuleLine } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { TextInput } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Shutter } from '../../../shared/ui/Shutter'
import { WhyHere } from '../../../shared/ui/Why'
import { addToDraft, keep, whyPath } from '../api'
import { roleName } from '../roles'
import { ConditionField, partsOf } from './ConditionField'
import type { Chosen } from './RulesTable'

interface EditorProps {
  place: string
  chosen: Chosen
  editable: boolean
  onDone: () => void
}

/** One value: why it is so, and, for who may, what it is to be. It goes into the draft; nothing counts yet. */
export function Editor({ place, chosen, editable, onDone }: EditorProps) {
  const { rule, cell } = chosen
  const cache = useQueryClient()
  const [value, setValue] = useState(cell.own ? cell.ownValue : cell.value)
  const [when, setWhen] = useState(chosen.when)
  const [binding, setBinding] = useState(cell.binding)
  const [note, setNote] = useState(cell.note)
  const [until, setUntil] = useState('')
  const done = {
    onSuccess: (rules: Parameters<typeof keep>[1]) => {
      keep(cache, rules)
      onDone()
    },
  }
  const edit = (wanted: string | null) => ({ rule: rule.key, role: cell.role, when, value: wanted, binding, note, until })
  const add = useMutation({ mutationFn: () => addToDraft(place, edit(value)), ...done })
  const takeBack = useMutation({ mutationFn: () => addToDraft(place, edit(null)), ...done })
  const facts = factsOf(chosen.when)
  return (
    <Box as="section" aria-label={`${rule.title}${rule.wholeLesson ? '' : `, ${roleName(cell.role)}`}`}>
      <Flex justify="space-between" align="baseline" gap="8px">
        <chakra.h2 fontSize="17px">{rule.title}</chakra.h2>
        <Button look="quiet" size="small" onClick={onDone}>
          {say.close}
        </Button>
      </Flex>
      <chakra.p color="ink2" mb="6px">
        {say.forTheLesson(
          rule.wholeLesson,
          roleName(cell.role).toLowerCase(),
          chosen.whenWords && `, ${chosen.whenWords}`,
          rule.reason,
        )}
      </chakra.p>
      {editable && (
        <chakra.form
          mb="12px"
          pb="10px"
          borderBottom="1px solid"
          borderColor="lineStrong"
          onSubmit={(event) => {
            event.preventDefault()
            add.mutate()
          }}
        >
          <ValueField rule={rule} value={value} onChange={setValue} />
          <chakra.label display="flex" gap="8px" mb="6px">
            <input type="checkbox" checked={binding} onChange={(event) => setBinding(event.target.checked)} />
            <span>
              {say.bindingOnly}
              <chakra.span display="block" fontSize="12.5px" color="ink2">
                {say.whatStandsBelowMayOnly(rule.ordered)}
              </chakra.span>
            </span>
          </chakra.label>
          <ConditionField
            when={when}
            offered={rule.circumstances}
            account={!rule.wholeLesson && ['PUPIL', 'CLASS_MONITOR'].includes(cell.role)}
            onChange={setWhen}
          />
          <chakra.details mb="8px" open={note !== '' || undefined}>
            <chakra.summary cursor="pointer">{say.noteLastDay}</chakra.summary>
            <TextInput
              mt="4px"
              aria-label={say.whyForThoseWhoAsk}
              placeholder={say.whyForThoseWhoAsk}
              maxLength={300}
              value={note}
              onChange={(event) => setNote(event.target.value)}
            />
            <chakra.label display="flex" gap="8px" mt="4px" alignItems="center">
              {say.lastDay}
              <TextInput type="date" w="150px" py="2px" value={until} onChange={(event) => setUntil(event.target.value)} />
            </chakra.label>
          </chakra.details>
          <ProblemNote problem={add.error ?? takeBack.error} compact />
          <Flex gap="6px" wrap="wrap">
            <Button type="submit" look="main" disabled={add.isPending}>
              {say.addToTheDraft}
            </Button>
            {cell.own && (
              <Button disabled={takeBack.isPending} onClick={() => takeBack.mutate()}>
                {say.takeBack}
              </Button>
            )}
          </Flex>
        </chakra.form>
      )}
      <WhyHere path={whyPath(place, rule.key, cell.role, facts)} />
    </Box>
  )
}

/** The situation in which a condition's facts are so; nothing for the ordinary one. */
function factsOf(when: string): string[] | undefined {
  const parts = partsOf(when)
  if (parts.length === 0) return undefined
  const so = ['adult-present', 'school-account'].filter((fact) => !parts.includes(`not ${fact}`))
  return [...so, ...parts.filter((part) => !part.startsWith('not ') && !part.includes(' ') && !so.includes(part))]
}

function ValueField({ rule, value, onChange }: { rule: RuleLine; value: string; onChange: (value: string) => void }) {
  if (rule.form === 'NUMBER') {
    return (
      <chakra.label display="flex" alignItems="center" gap="8px" mb="8px">
        <TextInput
          type="number"
          aria-label={rule.title}
          min={rule.min}
          max={rule.max}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          w="96px"
        />
        {say.to(rule.unit, rule.min, rule.max)}
      </chakra.label>
    )
  }
  const several = rule.form === 'KINDS'
  const some = several && value !== 'none' ? value.split('+') : []
  const toggle = (kind: string) => {
    const next = some.includes(kind) ? some.filter((one) => one !== kind) : [...some, kind].sort()
    onChange(next.length === 0 ? 'none' : next.join('+'))
  }
  return (
    <chakra.fieldset mb="8px">
      <chakra.legend srOnly>{rule.title}</chakra.legend>
      {rule.choices.map((choice) => (
        <chakra.label key={choice.value} display="flex" alignItems="center" gap="8px" py="1px">
          <input
            type={several ? 'checkbox' : 'radio'}
            name="value"
            value={choice.value}
            checked={several ? some.includes(choice.value) : value === choice.value}
            onChange={() => (several ? toggle(choice.value) : onChange(choice.value))}
          />
          {rule.right && <Shutter value={choice.value} />}
          {choice.words}
        </chakra.label>
      ))}
    </chakra.fieldset>
  )
}
