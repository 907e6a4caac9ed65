import { say } from '../../languages/en/staff/timetable'
import type { LessonBox } from '../../shared/api/types'

/** What the rows of the timetable are: one for each day, adult, class or year group. */
export type By = 'day' | 'adult' | 'class' | 'year'

/** One line of the timetable; lessons at once stand in lanes below each other. */
export interface Row {
  key: string
  label: string
  lessons: { box: LessonBox; lane: number }[]
  lanes: number
}

const STEP = 30

/** From which minute of the day to which the axis goes: whole half hours around everything that is planned. */
export function axis(lessons: LessonBox[]): { from: number; until: number } {
  if (lessons.length === 0) return { from: 8 * 60, until: 16 * 60 }
  const from = Math.min(...lessons.map((one) => one.minute))
  const until = Math.max(...lessons.map((one) => one.minute + one.minutes))
  return { from: Math.floor(from / STEP) * STEP, until: Math.min(24 * 60, Math.ceil(until / STEP) * STEP) }
}

/** The rows, in the order of their labels; a lesson with two adults stands in the row of each. */
export function rows(lessons: LessonBox[], by: By, days: string[], dayLabel: (day: string) => string): Row[] {
  const found = new Map<string, { label: string; boxes: LessonBox[] }>()
  const add = (key: string, label: string, box?: LessonBox) => {
    const row = found.get(key) ?? { label, boxes: [] }
    if (box) row.boxes.push(box)
    found.set(key, row)
  }
  if (by === 'day') days.forEach((day) => add(day, dayLabel(day)))
  for (const box of lessons) {
    if (by === 'day') add(box.date, dayLabel(box.date), box)
    if (by === 'class') add(box.classId, box.title, box)
    if (by === 'year') add(String(box.year), box.year ? say.year(box.year) : say.severalYears, box)
    if (by === 'adult') {
      if (box.adults.length === 0) add('', say.nobody, box)
      box.adults.forEach((adult) => add(adult.id, adult.name, box))
    }
  }
  const all = [...found].map(([key, row]) => lanes(key, row.label, row.boxes))
  return by === 'day' ? all : all.sort((a, b) => a.label.localeCompare(b.label, 'en', { numeric: true }))
}

/** Each lesson takes the first lane that is free when it begins. */
function lanes(key: string, label: string, boxes: LessonBox[]): Row {
  const ends: number[] = []
  const placed = [...boxes]
    .sort((a, b) => a.starts.localeCompare(b.starts) || a.title.localeCompare(b.title))
    .map((box) => {
      const starts = Date.parse(box.starts)
      const free = ends.findIndex((end) => end <= starts)
      const lane = free < 0 ? ends.length : free
      ends[lane] = Date.parse(box.ends)
      return { box, lane }
    })
  return { key, label, lessons: placed, lanes: Math.max(1, ends.length) }
}

/** As 09:05. */
export const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`

/** The Monday of the week of a day, both as 2026-09-14. */
export function monday(day: string): string {
  const date = new Date(`${day}T12:00:00Z`)
  return plusDays(day, -((date.getUTCDay() + 6) % 7))
}

export function plusDays(day: string, days: number): string {
  const date = new Date(`${day}T12:00:00Z`)
  date.setUTCDate(date.getUTCDate() + days)
  return date.toISOString().slice(0, 10)
}

/** Where a lesson is to go; until it is carried out it stands there in outline. */
export interface Move {
  lesson: string
  date: string
  minute: number
}
