import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/charter'
import type { DraftLine, Rules } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { standing } from '../../../shared/standing'
import { useNow, useSchoolTime } from '../../../shared/time'
import { Select, TextInput } from '../../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../../shared/ui/Notes'
import { addToDraft, askConsequences, discard, keep, putInForce, takeOut } from '../api'

interface DraftPanelProps {
  rules: Rules
  from: string
  onFrom: (from: string) => void
  open: boolean
  onOpen: (open: boolean) => void
  onApplied: (said: string) => void
}

/** What the draft would change, in numbers; the changes in it; and putting it in force. */
export function DraftPanel({ rules, from, onFrom, open, onOpen, onApplied }: DraftPanelProps) {
  const cache = useQueryClient()
  const [sure, setSure] = useState(false)
  const report = useQuery({
    queryKey: ['consequences', rules.place, from, rules.draft],
    queryFn: () => askConsequences(rules.place, from),
  })
  const done = { onSuccess: (next: Rules) => keep(cache, next) }
  const apply = useMutation({
    mutationFn: () => putInForce(rules.place, from),
    onSuccess: (next) => {
      const count = rules.draft.length === 1 ? say.changeCounts : say.changesCount(rules.draft.length)
      onApplied(`${count} ${from ? say.from(from) : say.fromNowOn}.`)
      keep(cache, next)
      void cache.invalidateQueries({ queryKey: ['history'] })
    },
    onError: () => void cache.invalidateQueries({ queryKey: ['rules', rules.place] }),
  })
  const drop = useMutation({ mutationFn: () => discard(rules.place), ...done })
  return (
    <Box
      as="section"
      aria-label={say.draftLabel}
      borderInlineStart="4px solid"
      borderColor="mark"
      bg="sheet"
      px="12px"
      py="10px"
      mb="14px"
    >
      <chakra.h2 fontSize="17px">
        {say.ifTheDraftCounts} <FromField from={from} onFrom={onFrom} />
      </chakra.h2>
      {report.error && <ProblemNote problem={report.error} compact />}
      {report.isPending && <LoadingNote what={say.theConsequences} />}
      {report.data && (
        <Box my="6px" aria-live="polite">
          <Number count={report.data.classes} one={say.classChanges} many={say.classesChange} />
          <Number count={report.data.lessons} one={say.plannedLessonChanges} many={say.plannedLessonsChange} />
          <Number count={report.data.overruled.length} one={say.settingGetsOverruled} many={say.settingsGetOverruled} />
          {report.data.freed.length > 0 && (
            <Number count={report.data.freed.length} one={say.settingCountsAgain} many={say.settingsCountAgain} />
          )}
          <Number count={report.data.appearing.length} one={say.findingAppears} many={say.findingsAppear} quiet />
          {report.data.vanishing.length > 0 && (
            <Number count={report.data.vanishing.length} one={say.findingGoes} many={say.findingsGo} />
          )}
        </Box>
      )}
      <ProblemNote problem={apply.error ?? drop.error} compact />
      <Flex gap="6px" wrap="wrap" mb="8px">
        <Button look="main" disabled={!report.data || apply.isPending} onClick={() => apply.mutate()}>
          {say.putInForce}
        </Button>
        <Button aria-pressed={open} onClick={() => onOpen(!open)}>
          {say.backToTheRulesSee(open)}
        </Button>
        {sure ? (
          <Button look="stop" onClick={() => drop.mutate()}>
            {say.throwAway(rules.draft.length)}
          </Button>
        ) : (
          <Button onClick={() => setSure(true)}>{say.discard}</Button>
        )}
      </Flex>
      <chakra.ul listStyleType="none" aria-label={say.changesInTheDraft}>
        {rules.draft.map((line) => (
          <DraftItem key={line.rule + line.role + line.when} place={rules.place} line={line} />
        ))}
      </chakra.ul>
    </Box>
  )
}

/** From when the draft is to count: now, tomorrow, or a later day. */
function FromField({ from, onFrom }: { from: string; onFrom: (from: string) => void }) {
  const { data } = useQuery(standing)
  const tomorrow = useSchoolTime().isoDay(useNow(data?.now) + 24 * 60 * 60 * 1000)
  const kind = from === '' ? 'now' : from === tomorrow ? 'tomorrow' : 'day'
  return (
    <chakra.span fontWeight="400" fontSize="13px" display="inline-flex" gap="5px" flexWrap="wrap">
      <Select
        aria-label={say.fromWhen}
        w="112px"
        py="1px"
        value={kind}
        onChange={(event) => {
          const next = event.target.value
          onFrom(next === 'now' ? '' : next === 'tomorrow' ? tomorrow : nextDay(tomorrow))
        }}
      >
        <option value="now">{say.now}</option>
        <option value="tomorrow">{say.tomorrow}</option>
        <option value="day">{say.fromADay}</option>
      </Select>
      {kind === 'day' && (
        <TextInput
          type="date"
          aria-label={say.firstDay}
          min={tomorrow}
          value={from}
          onChange={(event) => event.target.value && onFrom(event.target.value)}
          w="136px"
          py="1px"
        />
      )}
    </chakra.span>
  )
}

function nextDay(day: string): string {
  return new Date(Date.parse(day) + 24 * 60 * 60 * 1000).toISOString().slice(0, 10)
}

function Number({ count, one, many, quiet }: { count: number; one: string; many: string; quiet?: boolean }) {
  if (quiet && count === 0) return null
  return (
    <Flex align="baseline" gap="8px">
      <chakra.span fontFamily="heading" fontWeight="700" fontSize="26px" lineHeight="1.15" minW="44px" textAlign="end">
        {count}
      </chakra.span>
      {count === 1 ? one : many}
    </Flex>
  )
}

function DraftItem({ place, line }: { place: string; line: DraftLine }) {
  const cache = useQueryClient()
  const done = { onSuccess: (next: Rules) => keep(cache, next) }
  const out = useMutation({ mutationFn: () => takeOut(place, line), ...done })
  const keepMine = useMutation({
    mutationFn: () =>
      addToDraft(place, {
        rule: line.rule,
        role: line.role,
        when: line.when,
        value: line.value === '' ? null : line.value,
        binding: line.binding,
        note: line.note,
        until: line.until,
      }),
    ...done,
  })
  return (
    <chakra.li borderTop="1px solid" borderColor="line" py="4px">
      <Flex justify="space-between" gap="8px">
        <span>
          {line.title}, {line.roleWords}
          {line.whenWords && <em>, {line.whenWords}</em>}: <s>{line.before}</s> <strong>{line.after}</strong>
          {say.until(line.until)}
        </span>
        <Button look="quiet" size="small" aria-label={say.removeFromTheDraft(line.title)} onClick={() => out.mutate()}>
          {say.remove}
        </Button>
      </Flex>
      {line.overtaken && (
        <Box role="alert" bg="verdict.awaySoft" px="8px" py="4px" mt="2px">
          {line.overtaken}.{' '}
          <Button size="small" onClick={() => keepMine.mutate()}>
            {say.keepMine}
          </Button>{' '}
          <Button size="small" onClick={() => out.mutate()}>
            {say.leaveTheirs}
          </Button>
        </Box>
      )}
      <ProblemNote problem={out.error ?? keepMine.error} compact />
    </chakra.li>
  )
}
