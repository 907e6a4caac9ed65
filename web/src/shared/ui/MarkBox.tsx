import { chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'
import type { Mark } from '../api/types'

export const MARKS: Record<Mark, string> = {
  PRESENT: say.present,
  LATE: say.late,
  LEFT_EARLY: say.leftEarly,
  PARTLY: say.partlyThere,
  ABSENT: say.absent,
  EXCUSED: say.excused,
  NOT_EXPECTED: say.notExpected,
  WATCHED: say.watchedTheRecording,
  CAME: say.cameToTheHelpHour,
}

/** The part of a lesson's box that is filled, as time there fills a lesson: from where to where, and how high. */
const FILLED: Partial<Record<Mark, { x: number; width: number; y: number }>> = {
  PRESENT: { x: 1, width: 10, y: 1 },
  LATE: { x: 5, width: 6, y: 1 },
  LEFT_EARLY: { x: 1, width: 6, y: 1 },
  PARTLY: { x: 1, width: 10, y: 6 },
}

/** A mark as the box of a lesson, filled by the time there; told apart by shape, not by colour alone. */
export function MarkBox({ mark, size = 14 }: { mark: Mark; size?: number }) {
  const filled = FILLED[mark]
  const colour = mark === 'ABSENT' ? 'verdict.away' : mark === 'PRESENT' ? 'verdict.in' : filled ? 'verdict.wait' : 'ink3'
  return (
    <chakra.svg
      viewBox="0 0 12 12"
      width={`${size}px`}
      height={`${size}px`}
      display="inline-block"
      verticalAlign="middle"
      color={colour}
      role="img"
      aria-label={MARKS[mark]}
    >
      {mark === 'EXCUSED' ? (
        <circle cx="6" cy="6" r="4.2" fill="none" stroke="currentColor" strokeWidth="1.4" />
      ) : mark === 'WATCHED' ? (
        <path d="M1 6 q1.7 -5 3.4 0 t3.4 0 t3.2 0" fill="none" stroke="currentColor" strokeWidth="1.6" />
      ) : mark === 'NOT_EXPECTED' ? (
        <circle cx="6" cy="6" r="1.2" fill="currentColor" />
      ) : (
        <>
          <rect x="1" y="1" width="10" height="10" fill="none" stroke="currentColor" strokeWidth="1.2" />
          {filled && <rect x={filled.x} y={filled.y} width={filled.width} height={11 - filled.y} fill="currentColor" />}
          {mark === 'ABSENT' && <path d="M3 3l6 6M9 3l-6 6" stroke="currentColor" strokeWidth="1.4" />}
        </>
      )}
    </chakra.svg>
  )
}

export function MarkLegend() {
  return (
    <Flex gap="16px" wrap="wrap" fontSize="12.5px" color="ink2" mt="6px" aria-hidden="true">
      {(Object.keys(MARKS) as Mark[]).map((one) => (
        <Flex key={one} gap="5px" align="center">
          <MarkBox mark={one} size={12} /> {MARKS[one]}
        </Flex>
      ))}
    </Flex>
  )
}
