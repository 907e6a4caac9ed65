import { Box, chakra } from '@chakra-ui/react'
import { memo } from 'react'
import { say } from '../../../languages/en/staff/desk'
import type { Mark } from '../../../lesson/part'
import { type PupilRow } from '../../../lesson/rows'
import { RIGHT } from '../../../shared/rights'
import { useNow, useSchoolTime, useShown } from '../../../shared/time'
import { Strip } from '../../../shared/ui/Strip'
import { likely, PupilRight } from '../../../lesson/rights/RightCells'
import { MoreForPupil } from '../../../lesson/door/RowMenu'
import type { Give } from '../../../lesson/orders'
import { COLUMNS } from './columns'

interface RowProps {
  pupil: PupilRow
  from: number
  until: number
  live: boolean
  /** Nobody is missing from a lesson that nobody has opened. */
  begun: boolean
  fifth: boolean
  /** How long each right is usually lent, by its rule. */
  usual: Record<string, number>
  ask: (anchor: HTMLElement, rule?: string, person?: string) => void
  give: Give
}

const WHERE: Partial<Record<PupilRow['whereabouts'], string>> = {
  MISSING: say.missing,
  WAITING: say.waits,
  CONNECTION_LOST: say.lineLost,
  GONE: say.gone,
  REMOVED: say.removed,
}

/** One pupil: a line of presence, and what they may do beside it. */
export const Row = memo(
  function Row({ pupil, from, until, live, begun, fifth, usual, ask, give }: RowProps) {
    const isIn = pupil.whereabouts === 'IN'
    return (
      <Box
        role="row"
        aria-label={pupil.name}
        display="grid"
        gridTemplateColumns={COLUMNS}
        alignItems="center"
        h="20.6px"
        css={{ '@media (pointer: coarse)': { height: '38px' } }}
        px="14px"
        borderBottom="1px solid"
        borderColor={fifth ? 'lineStrong' : 'line'}
      >
        <Box
          role="rowheader"
          display="flex"
          alignItems="center"
          gap="6px"
          minW="0"
          fontSize="13.5px"
          color={isIn ? 'ink' : 'ink3'}
          fontWeight={pupil.handSince ? 650 : 400}
        >
          <chakra.span
            truncate
            bg={pupil.handSince ? 'mark' : 'transparent'}
            color={pupil.handSince ? 'onMark' : 'inherit'}
            px={pupil.handSince ? '3px' : '0'}
          >
            {pupil.shownName ?? pupil.name}
          </chakra.span>
          {WHERE[pupil.whereabouts] && (begun || pupil.whereabouts !== 'MISSING') && (
            <chakra.span fontSize="11.5px" flexShrink={0} color={pupil.whereabouts === 'REMOVED' ? 'verdict.away' : 'ink3'}>
              {WHERE[pupil.whereabouts]}
              {pupil.backBy && <BackBy at={pupil.backBy} />}
            </chakra.span>
          )}
          {pupil.marks.map((mark) => (
            <On key={mark.words} mark={mark} />
          ))}
        </Box>
        <Box role="cell" position="relative" h="20px" me="14px">
          <Presence pupil={pupil} from={from} until={until} />
        </Box>
        {pupil.cells.map((cell) => {
          const order = live ? likely(pupil, cell, usual[cell.rule] ?? 5) : undefined
          return (
            <Box role="cell" key={cell.rule} textAlign="center" opacity={isIn ? 1 : 0.35}>
              <PupilRight
                name={pupil.name}
                cell={cell}
                title={RIGHT[cell.rule] ?? cell.rule}
                does={order && (order.do === 'pass' ? say.pressLendItForMin(order.minutes) : say.pressEndItHoldMore)}
                onPress={order && (() => give(order))}
                onOpen={(anchor) => ask(anchor, cell.rule, pupil.id)}
              />
            </Box>
          )
        })}
        <Box role="cell">{live && <MoreForPupil pupil={pupil} onOpen={(anchor) => ask(anchor, undefined, pupil.id)} />}</Box>
      </Box>
    )
  },
  (before, after) =>
    isSame(before.pupil, after.pupil) &&
    before.live === after.live &&
    before.begun === after.begun &&
    before.from === after.from &&
    before.until === after.until,
)

/** The line grows by itself, so that the row it stands in rests. A minute of a lesson is some pixels wide. */
const GROWS_MS = 30_000

function Presence({ pupil, from, until }: Pick<RowProps, 'pupil' | 'from' | 'until'>) {
  const now = useNow(undefined, GROWS_MS)
  return (
    <Strip
      stays={instants(pupil.stays, now)}
      waits={instants(pupil.waits, now)}
      from={from}
      until={until}
      now={now}
      cut={pupil.whereabouts === 'REMOVED'}
      ticks={pupil.ticks.map((tick) => ({ at: Date.parse(tick.at), words: tick.words }))}
    />
  )
}

function BackBy({ at }: { at: string }) {
  const time = useSchoolTime()
  return <>{useShown((now) => (Date.parse(at) > now ? say.backBy(time.clock(at)) : ''))}</>
}

/** Whether a row is what it was: what no part has news of is told as it was. */
function isSame(before: PupilRow, after: PupilRow) {
  return before === after || JSON.stringify(before) === JSON.stringify(after)
}

/** What goes on has no end yet. */
function instants(stretches: { from: string; until?: string }[], now: number) {
  return stretches.map((one) => ({
    from: Date.parse(one.from),
    until: one.until ? Date.parse(one.until) : Math.max(now, Date.parse(one.from)),
  }))
}

function On({ mark }: { mark: Mark }) {
  return (
    <chakra.span
      fontSize="11px"
      flexShrink={0}
      color={mark.quiet ? 'ink2' : 'verdict.in'}
      fontWeight="650"
      border={mark.quiet ? 'none' : '1px solid'}
      borderColor="verdict.in"
      px={mark.quiet ? '0' : '3px'}
      lineHeight="14px"
      title={mark.words}
    >
      <span aria-hidden>{mark.short}</span>
      <chakra.span srOnly>{mark.words}</chakra.span>
    </chakra.span>
  )
}
