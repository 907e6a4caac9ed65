import { Box, chakra, Flex } from '@chakra-ui/react'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { say } from '../../../languages/en/staff/timetable'
import type { LessonBox, TimetablePage } from '../../../shared/api/types'
import { axis, clock, plusDays, rows, type By, type Move } from '../rows'
import { Bar } from './Bar'

const STEP = 5
/** Wide enough for a title, in pixels of a bar. */
const TITLED = 58

interface GridProps {
  page: TimetablePage
  by: By
  /** The minute of the day it is now, on the day it is now. */
  now: { date: string; minute: number }
  dayLabel: (day: string) => string
  chosen: string | null
  move: Move | null
  onChoose: (lesson: LessonBox) => void
  onMove: (move: Move) => void
  width: number
}

/** The timetable as a railway has it: time runs to the right, a line for each day, adult, class or year group. */
export function Grid({ page, by, now, dayLabel, chosen, move, onChoose, onMove, width }: GridProps) {
  const days = page.days.map((one) => one.date)
  const span = axis(page.lessons)
  const all = rows(page.lessons, by, days, dayLabel)
  const columns = by === 'day' ? [''] : days
  // What there is room for: two lines for a day of a teacher, a few letters where the school fits, a bare bar for a large one.
  const height = by === 'day' ? 38 : all.reduce((lanes, row) => lanes + row.lanes, 0) <= 20 ? 30 : 22
  const labelWidth = by === 'day' ? 104 : 176
  const column = (width - labelWidth) / columns.length
  const perMinute = column / (span.until - span.from)
  const hours = Array.from(
    { length: Math.floor((span.until - span.from) / 60) + 1 },
    (_, n) => Math.ceil(span.from / 60) * 60 + n * 60,
  ).filter((minute) => minute < span.until)
  const grabbed = useRef<{ box: LessonBox; x: number; moved: boolean } | null>(null)

  const grab = (box: LessonBox) => (event: PointerEvent) => {
    if (!movable(box)) return
    grabbed.current = { box, x: event.clientX, moved: false }
    event.currentTarget.setPointerCapture(event.pointerId)
  }
  const drag = (event: PointerEvent) => {
    const held = grabbed.current
    if (!held) return
    const by5 = Math.round((event.clientX - held.x) / perMinute / STEP) * STEP
    if (by5 === 0 && !held.moved) return
    held.moved = true
    onMove({ lesson: held.box.id, date: held.box.date, minute: inDay(held.box.minute + by5, held.box) })
  }
  const drop = () => {
    const held = grabbed.current
    grabbed.current = null
    if (held?.moved) onChoose(held.box)
  }
  /** Shift and an arrow move it; plain arrows go to the next one. */
  const keys = (box: LessonBox) => (event: KeyboardEvent) => {
    const step = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key]
    const day = { ArrowUp: -1, ArrowDown: 1 }[event.key]
    if (!step && !day) return
    event.preventDefault()
    if (!event.shiftKey) {
      neighbour(event.currentTarget as HTMLElement, event.key)
      return
    }
    if (!movable(box)) return
    const from = move?.lesson === box.id ? move : { lesson: box.id, date: box.date, minute: box.minute }
    onMove({
      lesson: box.id,
      date: plusDays(from.date, day ?? 0),
      minute: inDay(from.minute + (step ?? 0), box),
    })
    onChoose(box)
  }

  return (
    <Box role="group" aria-label={say.timetable} onPointerMove={drag} onPointerUp={drop} onPointerCancel={drop} userSelect="none">
      <Flex position="sticky" top="0" bg="paper" zIndex="1" borderBottom="1.5px solid" borderColor="ink">
        <Box w={`${labelWidth}px`} flexShrink={0} />
        {columns.map((day) => {
          const line = page.days.find((one) => one.date === day)
          return (
            <Box
              key={day}
              w={`${column}px`}
              position="relative"
              h={by === 'day' ? '20px' : '36px'}
              borderInlineStart="1px solid"
              borderColor="line"
            >
              {by !== 'day' && (
                <chakra.span
                  display="block"
                  px="4px"
                  fontSize="12.5px"
                  fontWeight={day === now.date ? 700 : 600}
                  boxShadow={day === now.date ? 'inset 0 -3px 0 var(--chakra-colors-mark)' : 'none'}
                >
                  {dayLabel(day)}
                  {line?.free && (
                    <chakra.span fontWeight="400" color="verdict.away">
                      {' '}
                      {line.free}
                    </chakra.span>
                  )}
                </chakra.span>
              )}
              {hours
                .filter((_, n) => column > 500 || n % 2 === 0)
                .map((minute) => (
                  <chakra.span
                    key={minute}
                    position="absolute"
                    bottom="1px"
                    fontFamily="mono"
                    fontSize="10.5px"
                    color="ink3"
                    transform={minute === span.from ? 'none' : 'translateX(-50%)'}
                    style={{ left: `${(minute - span.from) * perMinute}px` }}
                  >
                    {column > 500 ? clock(minute) : Math.floor(minute / 60)}
                  </chakra.span>
                ))}
            </Box>
          )
        })}
      </Flex>
      {all.map((row) => {
        const free = by === 'day' ? page.days.find((one) => one.date === row.key) : undefined
        return (
          <Flex key={row.key} borderBottom="1px solid" borderColor="line" bg={free && !free.school ? 'transparent' : 'sheet'}>
            <Box
              w={`${labelWidth}px`}
              flexShrink={0}
              px="8px"
              py={height > 24 ? '5px' : '2px'}
              fontSize="13px"
              fontWeight={row.key === now.date || by !== 'day' ? 600 : 400}
              overflow="hidden"
              whiteSpace="nowrap"
              textOverflow="ellipsis"
              boxShadow={row.key === now.date ? 'inset 4px 0 0 var(--chakra-colors-mark)' : 'none'}
              title={row.label}
            >
              {row.label}
              {free?.free && (
                <chakra.span color="verdict.away" fontWeight="400" display="block" fontSize="12px">
                  {free.free}
                </chakra.span>
              )}
            </Box>
            {columns.map((day) => {
              const here = by === 'day' ? row.key : day
              const shown = row.lessons.filter(({ box }) => box.date === here)
              return (
                <Box
                  key={day}
                  w={`${column}px`}
                  position="relative"
                  borderInlineStart="1px solid"
                  borderColor="lineStrong"
                  minH={`${row.lanes * height + 1}px`}
                  // In the view of a day each of them is large.
                  data-large-elsewhere={by === 'day' ? undefined : true}
                  backgroundImage="repeating-linear-gradient(to right, var(--chakra-colors-line) 0 1px, transparent 1px 100%)"
                  backgroundSize={`${60 * perMinute}px 100%`}
                  backgroundPosition={`${(Math.ceil(span.from / 60) * 60 - span.from) * perMinute}px 0`}
                >
                  {here === now.date && now.minute >= span.from && now.minute <= span.until && (
                    <Box
                      position="absolute"
                      top="0"
                      bottom="0"
                      w="2px"
                      bg="mark"
                      aria-hidden
                      style={{ left: `${(now.minute - span.from) * perMinute}px` }}
                    />
                  )}
                  {shown.map(({ box, lane }) => (
                    <Bar
                      key={box.id}
                      box={box}
                      lane={lane}
                      height={height}
                      left={(100 * (box.minute - span.from)) / (span.until - span.from)}
                      width={(100 * box.minutes) / (span.until - span.from)}
                      titled={box.minutes * perMinute > TITLED}
                      chosen={chosen === box.id}
                      onChoose={() => onChoose(box)}
                      onKey={keys(box)}
                      onGrab={grab(box)}
                    />
                  ))}
                  {move && move.date === here && (
                    <Outline move={move} row={row.lessons} all={page.lessons} span={span} height={height} />
                  )}
                </Box>
              )
            })}
          </Flex>
        )
      })}
    </Box>
  )
}

/** Where the lesson would go. */
function Outline({
  move,
  row,
  all,
  span,
  height,
}: {
  move: Move
  row: { box: LessonBox; lane: number }[]
  all: LessonBox[]
  span: { from: number; until: number }
  height: number
}) {
  const box = all.find((one) => one.id === move.lesson)
  const isHere = row.some((one) => one.box.id === move.lesson) || box?.date !== move.date
  if (!box || !isHere || (box.date === move.date && box.minute === move.minute)) return null
  return (
    <Box
      aria-hidden
      position="absolute"
      h={`${height - 4}px`}
      border="2px dashed"
      borderColor="ink"
      bg="markSoft"
      opacity="0.85"
      pointerEvents="none"
      style={{
        top: '2px',
        left: `${(100 * (move.minute - span.from)) / (span.until - span.from)}%`,
        width: `${(100 * box.minutes) / (span.until - span.from)}%`,
      }}
    />
  )
}

const movable = (box: LessonBox) => box.state === 'PLANNED'

const inDay = (minute: number, box: LessonBox) => Math.max(0, Math.min(24 * 60 - box.minutes, minute))

/** The next lesson of the line, or the nearest of the next line. */
function neighbour(from: HTMLElement, key: string) {
  const all = [...(from.closest('[role=group]')?.querySelectorAll<HTMLElement>('[data-lesson]') ?? [])]
  const place = from.getBoundingClientRect()
  const sameLine = (one: DOMRect) => Math.abs(one.top - place.top) < place.height
  const distance = (one: DOMRect) => Math.abs(one.left - place.left) + 4 * Math.abs(one.top - place.top)
  const wanted = {
    ArrowLeft: (one: DOMRect) => sameLine(one) && one.left < place.left - 1,
    ArrowRight: (one: DOMRect) => sameLine(one) && one.left > place.left + 1,
    ArrowUp: (one: DOMRect) => one.top < place.top - place.height / 2,
    ArrowDown: (one: DOMRect) => one.top > place.top + place.height / 2,
  }[key]
  const [nearest] = all
    .map((element) => ({ element, rect: element.getBoundingClientRect() }))
    .filter(({ rect }) => wanted?.(rect))
    .sort((a, b) => distance(a.rect) - distance(b.rect))
  nearest?.element.focus()
}
