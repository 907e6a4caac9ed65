import { Box, chakra } from '@chakra-ui/react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { say } from '../../../languages/en/staff/timetable'
import type { LessonBox } from '../../../shared/api/types'
import { SeverityMark } from '../../../shared/ui/SeverityMark'
import { clock } from '../rows'

interface BarProps {
  box: LessonBox
  /** In hundredths of the width of its day. */
  left: number
  width: number
  lane: number
  /** How high a lane is, in pixels. */
  height: number
  /** Whether there is room for its title. */
  titled: boolean
  chosen: boolean
  onChoose: () => void
  onKey?: (event: KeyboardEvent) => void
  onGrab?: (event: PointerEvent) => void
}

/** One lesson on the line of its row: what it is told by shape and word, never by colour alone. */
export function Bar({ box, left, width, lane, height, titled, chosen, onChoose, onKey, onGrab }: BarProps) {
  const gone = box.state === 'CANCELLED'
  const over = box.state === 'OVER'
  return (
    <chakra.button
      type="button"
      data-lesson={box.id}
      aria-pressed={chosen}
      title={words(box)}
      position="absolute"
      h={`${height - 4}px`}
      overflow="hidden"
      textAlign="start"
      whiteSpace="nowrap"
      px={titled ? '4px' : '1px'}
      fontSize={titled ? '11.5px' : '10px'}
      lineHeight="15px"
      border="1px solid"
      borderColor={gone ? 'lineStrong' : 'ink'}
      borderStyle={gone ? 'dashed' : 'solid'}
      borderLeftWidth={gone ? '1px' : box.mine ? '4px' : '2px'}
      bg={chosen ? 'mark' : box.state === 'LIVE' ? 'verdict.inSoft' : over || gone ? 'transparent' : 'sheet'}
      color={chosen ? 'onMark' : over || gone ? 'ink2' : 'ink'}
      textDecoration={gone ? 'line-through' : 'none'}
      cursor="pointer"
      touchAction="pan-y"
      style={{ left: `${left}%`, width: `${width}%`, top: `${lane * height + 2}px` }}
      onClick={onChoose}
      onKeyDown={onKey}
      onPointerDown={onGrab}
    >
      <chakra.span srOnly>{words(box)}</chakra.span>
      {box.severity && (
        <Box
          as="span"
          aria-hidden
          position="absolute"
          {...(titled ? { top: '2px' } : { bottom: '1px' })}
          right="1px"
          lineHeight="0"
        >
          <SeverityMark severity={box.severity} size={titled ? 11 : 8} silent />
        </Box>
      )}
      {titled ? (
        <chakra.span aria-hidden display="block" fontWeight="600" overflow="hidden" textOverflow="ellipsis">
          {box.covered && '⇄ '}
          {box.title}
        </chakra.span>
      ) : (
        height > SHORT_BELOW && (
          <chakra.span aria-hidden display="block" fontSize="10px" lineHeight="12px" textAlign="start">
            {short(box.title)}
            <br />
            {box.covered && '⇄'}
            {box.year || ''}
          </chakra.span>
        )
      )}
      {titled && height > TWO_LINES && (
        <chakra.span
          aria-hidden
          display="block"
          fontFamily="mono"
          fontSize="10.5px"
          lineHeight="13px"
          color={chosen ? 'inherit' : 'ink2'}
        >
          {clock(box.minute)}–{clock(box.minute + box.minutes)}
        </chakra.span>
      )}
    </chakra.button>
  )
}

const SHORT_BELOW = 24
const TWO_LINES = 34

/** As TN, where there is no room for Tidal Navigation. */
const short = (title: string) =>
  title
    .split(/[^\p{L}\p{N}]+/u)
    .map((word) => (/^\d/.test(word) ? '' : word.slice(0, 1)))
    .join('')
    .slice(0, 3)

const STATES: Record<LessonBox['state'], string> = {
  PLANNED: say.planned,
  LIVE: say.liveNow,
  OVER: say.over,
  CANCELLED: say.cancelled,
}

/** All that the bar says, for who cannot see it. */
export function words(box: LessonBox): string {
  const adults = box.adults.map((one) => one.name).join(', ') || say.nobodyYet
  const parts = [
    say.titleFromTo(box.title, clock(box.minute), clock(box.minute + box.minutes)),
    STATES[box.state],
    say.withAdults(adults, box.covered),
    ...box.findings,
  ]
  return parts.join('; ')
}
