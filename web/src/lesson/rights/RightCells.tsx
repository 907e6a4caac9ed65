import { Box, chakra } from '@chakra-ui/react'
import { memo } from 'react'
import { say } from '../../languages/en/desk/rights'
import type { Desk, DeskCell } from '../../shared/api/types'
import type { PupilRow } from '../rows'
import { Left } from '../../shared/ui/Clocks'
import { Shutter, shutterWords } from '../../shared/ui/Shutter'
import type { Give } from '../orders'
import type { Order } from '../orders'
import { Choice, MenuHead, Opener, Presser } from '../DeskMenu'

const VALUES = ['open', 'on-request', 'closed']

export type Column = Desk['rights']['columns'][number]

interface MenuProps {
  live: boolean
  give: Give
  onWhy: (rule: string, person?: string) => void
}

/** A heading: a right for the whole class. */
export function ClassRight({ column, short, onOpen }: { column: Column; short: string; onOpen: (at: HTMLElement) => void }) {
  return (
    <Opener title={column.title} onOpen={onOpen}>
      <Box fontSize="12px" lineHeight="1.15">
        {short}
        <chakra.span srOnly> {say.forTheClass} </chakra.span>
        <Box mt="2px" mb="1px">
          <Shutter value={column.value} bound={column.bound} size={18} />
        </Box>
        <chakra.span fontSize="10.5px" color="ink2">
          {column.value.replace('-', ' ')}
        </chakra.span>
        {column.until && <Clock until={column.until} pass={column.value !== 'closed'} />}
        {column.bound && <chakra.span srOnly>{say.binding}</chakra.span>}
      </Box>
    </Opener>
  )
}

interface ClassMenuProps extends MenuProps {
  column: Column
  /** Before the lesson: what is chosen is a rule of this lesson, not an order in it. */
  onPlan?: (value: string) => void
}

/** What can be ordered about a right of the whole class, or planned for this one lesson. */
export function ClassRightMenu({ column, live, give, onPlan, onWhy }: ClassMenuProps) {
  return (
    <>
      <MenuHead>{column.title}</MenuHead>
      {onPlan &&
        VALUES.filter((value) => value !== column.value).map((value) => (
          <Choice key={value} value={value} onSelect={() => onPlan(value)}>
            <Shutter value={value} /> {say.inThisLesson(value.replace('-', ' '))}
          </Choice>
        ))}
      {live &&
        VALUES.filter((value) => value !== column.value).map((value) => (
          <Choice key={value} value={value} onSelect={() => give({ do: 'set', rule: column.rule, value })}>
            <Shutter value={value} /> {say.forAllPupils(value.replace('-', ' '))}
          </Choice>
        ))}
      {live &&
        column.value !== 'closed' &&
        [5, 15].map((minutes) => (
          <Choice
            key={minutes}
            value={`closed ${minutes}`}
            onSelect={() => give({ do: 'set', rule: column.rule, value: 'closed', minutes })}
          >
            <Shutter value="closed" /> {say.closedForMinThenAsNow(minutes)}
          </Choice>
        ))}
      <Choice value="why" onSelect={() => onWhy(column.rule)}>
        {say.whyIs}
      </Choice>
    </>
  )
}

/**
 * What one press on the sign of a pupil's right does: what is lent or closed ends, what is not open is lent for the usual
 * minutes. To close what is open is no slip of the hand, and what is bound cannot be lent: both ask by the menu.
 */
export function likely(pupil: PupilRow, cell: DeskCell, usualMinutes: number): Order | undefined {
  if (pupil.whereabouts !== 'IN') return undefined
  if (cell.loan !== 'NONE') return { do: 'end-loan', person: pupil.id, rule: cell.rule }
  if (cell.value === 'open' || (cell.value === 'closed' && cell.bound)) return undefined
  return { do: 'pass', person: pupil.id, rule: cell.rule, minutes: usualMinutes }
}

interface PupilRightProps {
  name: string
  cell: DeskCell
  title: string
  /** What one press does, in words; nothing if it opens the menu. */
  does?: string
  onPress?: () => void
  onOpen: (at: HTMLElement) => void
}

/** A cell: a right of one pupil, with the clock of a pass or curb. */
export const PupilRight = memo(function PupilRight({ name, cell, title, does, onPress, onOpen }: PupilRightProps) {
  const label = `${name}, ${title}: ${shutterWords(cell.value, cell.bound, cell.loan)}`
  return (
    <Presser title={does ? `${label}\n${does}` : label} onPress={onPress} onOpen={onOpen}>
      <chakra.span whiteSpace="nowrap">
        <chakra.span srOnly>{label}</chakra.span>
        <Shutter value={cell.value} bound={cell.bound} loan={cell.loan} size={13} />
        {cell.until && <Clock until={cell.until} pass={cell.loan === 'PASS'} />}
      </chakra.span>
    </Presser>
  )
})

/** What can be ordered about a right of one pupil. */
export function PupilRightMenu({
  pupil,
  cell,
  title,
  live,
  give,
  onWhy,
}: MenuProps & { pupil: PupilRow; cell: DeskCell; title: string }) {
  const lend = (kind: 'pass' | 'curb', minutes: number) => give({ do: kind, person: pupil.id, rule: cell.rule, minutes })
  const mayAct = live && pupil.whereabouts === 'IN'
  return (
    <>
      <MenuHead>
        {pupil.name}: {title}
      </MenuHead>
      {mayAct && cell.loan !== 'NONE' && (
        <Choice value="end" onSelect={() => give({ do: 'end-loan', person: pupil.id, rule: cell.rule })}>
          {say.endTheNow(cell.loan)}
        </Choice>
      )}
      {mayAct &&
        cell.value !== 'open' &&
        [2, 5, 15].map((minutes) => (
          <Choice key={minutes} value={`pass ${minutes}`} onSelect={() => lend('pass', minutes)}>
            <Shutter value="open" loan="PASS" /> {say.passForMin(minutes)}
          </Choice>
        ))}
      {mayAct &&
        cell.value !== 'closed' &&
        [5, 15].map((minutes) => (
          <Choice key={minutes} value={`curb ${minutes}`} onSelect={() => lend('curb', minutes)}>
            <Shutter value="closed" loan="CURB" /> {say.closeForMin(minutes)}
          </Choice>
        ))}
      <Choice value="why" onSelect={() => onWhy(cell.rule, pupil.id)}>
        {say.whyIs}
      </Choice>
    </>
  )
}

function Clock({ until, pass }: { until: string; pass: boolean }) {
  return (
    <chakra.span fontFamily="mono" fontSize="11px" ms="3px" color={pass ? 'verdict.in' : 'verdict.away'}>
      <Left until={until} near={60_000} />
    </chakra.span>
  )
}
