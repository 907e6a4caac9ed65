import { Box, chakra } from '@chakra-ui/react'
import type { Desk, DeskCell, DeskPupil } from '../../../shared/api/types'
import { countdown, useNow } from '../../../shared/time'
import { Shutter, shutterWords } from '../../../shared/ui/Shutter'
import type { Give } from '../api'
import { Choice, DeskMenu, MenuHead } from './DeskMenu'

const VALUES = ['open', 'on-request', 'closed']

interface ClassRightProps {
  column: Desk['columns'][number]
  short: string
  live: boolean
  give: Give
  onWhy: (rule: string, person?: string) => void
}

/** A heading: a right for the whole class. */
export function ClassRight({ column, short, live, give, onWhy }: ClassRightProps) {
  return (
    <DeskMenu
      title={column.title}
      sign={
        <Box fontSize="12px" lineHeight="1.15">
          {short}
          <chakra.span srOnly> for the class: </chakra.span>
          <Box mt="2px" mb="1px">
            <Shutter value={column.value} bound={column.bound} size={18} />
          </Box>
          <chakra.span fontSize="11px" color="ink2">
            {column.value.replace('-', ' ')}
          </chakra.span>
          {column.bound && <chakra.span srOnly>, binding</chakra.span>}
        </Box>
      }
    >
      <MenuHead>{column.title}</MenuHead>
      {live &&
        VALUES.filter((value) => value !== column.value).map((value) => (
          <Choice key={value} value={value} onSelect={() => give({ do: 'set', rule: column.rule, value })}>
            <Shutter value={value} /> {value.replace('-', ' ')} for all pupils
          </Choice>
        ))}
      <Choice value="why" onSelect={() => onWhy(column.rule)}>
        Why is it so?
      </Choice>
    </DeskMenu>
  )
}

interface PupilRightProps {
  pupil: DeskPupil
  cell: DeskCell
  title: string
  live: boolean
  give: Give
  onWhy: (rule: string, person?: string) => void
}

/** A cell: a right of one pupil, with the clock of a pass or curb. */
export function PupilRight({ pupil, cell, title, live, give, onWhy }: PupilRightProps) {
  const lend = (kind: 'pass' | 'curb', minutes: number) => give({ do: kind, person: pupil.id, rule: cell.rule, minutes })
  const isOpen = cell.value === 'open'
  const label = `${pupil.name}, ${title}: ${shutterWords(cell.value, cell.bound, cell.loan)}`
  return (
    <DeskMenu
      title={label}
      sign={
        <chakra.span whiteSpace="nowrap">
          <chakra.span srOnly>{label}</chakra.span>
          <Shutter value={cell.value} bound={cell.bound} loan={cell.loan} size={13} />
          {cell.until && <Clock until={cell.until} pass={cell.loan === 'PASS'} />}
        </chakra.span>
      }
    >
      <MenuHead>
        {pupil.name}: {title}
      </MenuHead>
      {live && cell.loan !== 'NONE' && (
        <Choice value="end" onSelect={() => give({ do: 'end-loan', person: pupil.id, rule: cell.rule })}>
          End the {cell.loan === 'PASS' ? 'pass' : 'curb'} now
        </Choice>
      )}
      {live &&
        !isOpen &&
        [2, 5, 15].map((minutes) => (
          <Choice key={minutes} value={`pass ${minutes}`} onSelect={() => lend('pass', minutes)}>
            <Shutter value="open" loan="PASS" /> pass for {minutes} min
          </Choice>
        ))}
      {live &&
        cell.value !== 'closed' &&
        [5, 15].map((minutes) => (
          <Choice key={minutes} value={`curb ${minutes}`} onSelect={() => lend('curb', minutes)}>
            <Shutter value="closed" loan="CURB" /> close for {minutes} min
          </Choice>
        ))}
      <Choice value="why" onSelect={() => onWhy(cell.rule, pupil.id)}>
        Why is it so?
      </Choice>
    </DeskMenu>
  )
}

function Clock({ until, pass }: { until: string; pass: boolean }) {
  const now = useNow()
  return (
    <chakra.span fontFamily="mono" fontSize="11px" ml="3px" color={pass ? 'verdict.in' : 'verdict.away'}>
      {countdown(Date.parse(until) - now)}
    </chakra.span>
  )
}
