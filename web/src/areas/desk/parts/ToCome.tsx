import { Box, chakra } from '@chakra-ui/react'
import { say } from '../../../languages/en/staff/desk'
import type { Desk } from '../../../shared/api/types'
import { RIGHT } from '../../../shared/rights'
import { COLUMNS } from './columns'

/** Something that will happen by itself, or is planned to. */
interface Coming {
  at: number
  says: string
  /** What the line is called; nothing where the band over the rows says it. */
  label: string
}

/** A name takes so much of the lesson's time on the page that one begun later than this is written to the left of its line. */
const LATE = 0.7

/** What is to come in this lesson, the next first: planned stances with their groups, what ends by itself, and the bell. */
export function toCome(desk: Desk, now: number): Coming[] {
  const { groups, clocks, course, rights } = desk
  const clock = clocks.clock
  const rings =
    clock?.running && clock.seconds !== undefined && !clock.over
      ? Date.parse(clock.running) + clock.seconds * 1000 - clock.ranMs
      : undefined
  return [
    ...course.order.map((step) => ({
      at: Date.parse(step.from),
      says: step.groups ? say.inGroups(step.name, step.groups) : step.name,
      label: step.groups ? say.groups(step.groups) : '',
    })),
    ...(groups.out ? [{ at: Date.parse(groups.out.ends), says: say.allTogetherAgain }] : []),
    ...(rings === undefined ? [] : [{ at: rings, says: clock?.task ? say.timeIsUp(clock.task) : say.timeIsUpSays }]),
    ...rights.columns.flatMap((one) =>
      one.until ? [{ at: Date.parse(one.until), says: say.asBefore(RIGHT[one.rule] ?? one.title) }] : [],
    ),
    { at: Date.parse(desk.ends), says: say.theBell },
  ]
    .map((one) => ({ label: one.says, ...one }))
    .filter((one) => one.at > now)
    .sort((one, other) => one.at - other.at)
}

/** The same in one sentence, for who does not see the lines. */
export function toComeInWords(desk: Desk, now: number, clock: (at: number) => string): string {
  return say.toCome(
    toCome(desk, now)
      .map((one) => say.at(one.says, clock(one.at)))
      .join(', '),
  )
}

interface ToComeProps {
  desk: Desk
  from: number
  until: number
  now: number
}

/** Over the future half of the score: where now nobody has a line yet, a line for what is to come and its name. */
export function ToCome({ desk, from, until, now }: ToComeProps) {
  const all = toCome(desk, now).filter((one) => one.at <= until)
  return (
    <Box position="absolute" inset="0" display="grid" gridTemplateColumns={COLUMNS} px="14px" pointerEvents="none" aria-hidden>
      <Box gridColumn="2" position="relative" me="14px" h="100%">
        {all.map((one, place) => {
          const share = (one.at - from) / (until - from)
          const toTheLeft = share > LATE
          return (
            <Box
              key={`${one.at} ${one.says}`}
              position="absolute"
              top="0"
              bottom="0"
              left={`${100 * share}%`}
              borderInlineStart="1px dashed"
              borderColor="lineStrong"
            >
              <chakra.span
                hidden={!one.label}
                position="absolute"
                top={`${2 + place * 20.5}px`}
                {...(toTheLeft ? { right: '3px' } : { left: '3px' })}
                bg="sheet"
                color="ink2"
                px="3px"
                fontSize="11px"
                whiteSpace="nowrap"
              >
                {one.label}
              </chakra.span>
            </Box>
          )
        })}
      </Box>
    </Box>
  )
}
