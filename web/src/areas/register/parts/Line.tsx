import { Box, chakra } from '@chakra-ui/react'
import { Link } from 'react-router'
import { say } from '../../../languages/en/staff/register'
import type { Mark, RegisterLine } from '../../../shared/api/types'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Strip } from '../../../shared/ui/Strip'
import { MarkBox } from '../../../shared/ui/MarkBox'
import { COLOURS, COLUMNS, KEYS, ON_A_PHONE, words } from './marks'

interface LineProps {
  line: RegisterLine
  from: number
  until: number
  editable: boolean
  onCorrect: () => void
  onMark: (mark: Mark) => void
}

export function Line({ line, from, until, editable, onCorrect, onMark }: LineProps) {
  const time = useSchoolTime()
  const last = line.corrections.at(-1)
  const numbers = [
    line.minutes,
    line.firstIn ? time.clock(line.firstIn) : '–',
    line.lastOut ? time.clock(line.lastOut) : '–',
    line.longestGapMinutes || '–',
    line.waitedMinutes || '–',
  ]
  return (
    <Box
      role="row"
      display="grid"
      gridTemplateColumns={{ base: ON_A_PHONE, md: COLUMNS }}
      px="12px"
      py="2px"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="line"
      data-pupil={line.person}
      tabIndex={editable ? 0 : undefined}
      _focusVisible={{ bg: 'markSoft', outline: 'none' }}
      onKeyDown={(event) => {
        if (!editable || event.target !== event.currentTarget || event.ctrlKey || event.metaKey || event.altKey) return
        const mark = KEYS[event.key]
        const step = event.key === 'ArrowDown' ? 'nextElementSibling' : event.key === 'ArrowUp' ? 'previousElementSibling' : null
        if (mark) onMark(mark)
        if (step) (event.currentTarget[step] as HTMLElement | null)?.focus()
        if (mark || step) event.preventDefault()
      }}
    >
      <Box role="rowheader" truncate title={line.name}>
        <Link to={`/pupils/${line.person}/attendance`}>{line.name}</Link>
      </Box>
      <Box role="cell">
        <MarkBox mark={line.mark} size={12} />{' '}
        {line.code && (
          <chakra.b fontFamily="mono" fontSize="13px">
            {line.code}{' '}
          </chakra.b>
        )}
        <chakra.span color={COLOURS[line.mark]} fontWeight={line.mark === 'PRESENT' ? 400 : 650}>
          {words(line.mark, line.lateMinutes)}
        </chakra.span>
        {last && (
          <chakra.span display="block" fontSize="11.5px" color="ink2" lineHeight="1.2">
            {say.computedSaid(words(line.computed, line.computedLateMinutes), last.by, last.reason)}
          </chakra.span>
        )}
      </Box>
      <Box role="cell" position="relative" h="20px" hideBelow="md">
        <Strip stays={line.stays.map(instants)} waits={line.waits.map(instants)} from={from} until={until} />
      </Box>
      {numbers.map((number, place) => (
        <Box role="cell" key={place} hideBelow="md" fontFamily="mono" fontSize="13px" textAlign="end">
          {number}
        </Box>
      ))}
      <Box role="cell" textAlign="end">
        {editable && (
          <Button size="small" onClick={onCorrect} aria-label={say.correct(line.name)}>
            {say.correctButton}
          </Button>
        )}
      </Box>
    </Box>
  )
}

function instants(one: { from: string; until: string }) {
  return { from: Date.parse(one.from), until: Date.parse(one.until) }
}
