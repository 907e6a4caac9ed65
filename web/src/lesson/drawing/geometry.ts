import { getStroke } from 'perfect-freehand'
import type { DrawingBody } from '../../shared/api/types'

/** A sheet is 16 wide where it is 10 high; marks are told in thousandths of either. */
export const WIDE = 1600
export const HIGH = 1000

export type Shape = DrawingBody['shape']
export type Ink = DrawingBody['ink']

export interface Drawn {
  shape: Shape
  ink: Ink
  width: number
  points: number[]
  text: string
}

/** Told apart by colour and by how the line is made. */
export const INKS: { ink: Ink; colour: string; dashes?: string }[] = [
  { ink: 'INK', colour: 'var(--drawn-ink)' },
  { ink: 'GREEN', colour: 'var(--drawn-green)', dashes: '26 14' },
  { ink: 'RED', colour: 'var(--drawn-red)', dashes: '2 13' },
  { ink: 'OCHRE', colour: 'var(--drawn-ochre)', dashes: '26 12 2 12' },
]

const x = (of: number) => (of * WIDE) / 1000
const y = (of: number) => (of * HIGH) / 1000

/** How thick a line is, in units of the sheet. */
export const thickness = (width: number) => 2 + 3 * width

/** A whole line of the pen, as the outline a hand would leave. */
export function outline(points: number[], width: number): string {
  const input: [number, number][] = []
  for (let i = 0; i + 1 < points.length; i += 2) input.push([x(points[i] ?? 0), y(points[i + 1] ?? 0)])
  const edge = getStroke(input, { size: thickness(width) * 1.7, thinning: 0.35, smoothing: 0.6, streamline: 0.35 })
  if (edge.length === 0) return ''
  return `M${edge.map((one) => `${one[0]?.toFixed(1)} ${one[1]?.toFixed(1)}`).join('L')}Z`
}

/** The middle of a line of the pen, bent through the middles of its pieces: for inks that are dashed. */
export function middle(points: number[]): string {
  let path = `M${x(points[0] ?? 0)} ${y(points[1] ?? 0)}`
  for (let i = 2; i + 3 < points.length; i += 2) {
    const [ax, ay, bx, by] = [x(points[i] ?? 0), y(points[i + 1] ?? 0), x(points[i + 2] ?? 0), y(points[i + 3] ?? 0)]
    path += `Q${ax} ${ay} ${(ax + bx) / 2} ${(ay + by) / 2}`
  }
  return `${path}L${x(points.at(-2) ?? 0)} ${y(points.at(-1) ?? 0)}`
}

/** All but the pen and texts. */
export function shapePath(shape: Shape, points: number[]): string {
  const [ax = 0, ay = 0, bx = 0, by = 0] = points.map((one, i) => (i % 2 === 0 ? x(one) : y(one)))
  switch (shape) {
    case 'BOX':
      return `M${ax} ${ay}H${bx}V${by}H${ax}Z`
    case 'RING': {
      const [rx, ry, cx, cy] = [Math.abs(bx - ax) / 2, Math.abs(by - ay) / 2, (ax + bx) / 2, (ay + by) / 2]
      return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0`
    }
    case 'ARROW': {
      const turn = Math.atan2(by - ay, bx - ax)
      const length = Math.min(34, Math.hypot(bx - ax, by - ay))
      const head = (side: number) => `M${bx} ${by}L${bx - length * Math.cos(turn + side)} ${by - length * Math.sin(turn + side)}`
      return `M${ax} ${ay}L${bx} ${by}${head(-0.47)}${head(0.47)}`
    }
    default:
      return `M${ax} ${ay}L${bx} ${by}`
  }
}

/** Whether a mark is within reach of a point, in thousandths of the sheet: for the eraser and for whose it is. */
export function isNear(mark: { shape: Shape; points: number[] }, px: number, py: number, reach = 14): boolean {
  const points = mark.shape === 'BOX' || mark.shape === 'RING' ? around(mark.points) : mark.points
  if (points.length === 2)
    return px >= (points[0] ?? 0) - reach && px <= (points[0] ?? 0) + 180 && Math.abs(py - (points[1] ?? 0)) < 50
  for (let i = 0; i + 3 < points.length; i += 2) {
    if (distance(px, py, points[i] ?? 0, points[i + 1] ?? 0, points[i + 2] ?? 0, points[i + 3] ?? 0) <= reach) return true
  }
  return false
}

function around([ax = 0, ay = 0, bx = 0, by = 0]: number[]): number[] {
  return [ax, ay, bx, ay, bx, by, ax, by, ax, ay]
}

/** Of a point from a piece of a line. */
function distance(px: number, py: number, ax: number, ay: number, bx: number, by: number): number {
  const long = (bx - ax) ** 2 + (by - ay) ** 2
  const along = long === 0 ? 0 : Math.max(0, Math.min(1, ((px - ax) * (bx - ax) + (py - ay) * (by - ay)) / long))
  return Math.hypot(px - ax - along * (bx - ax), py - ay - along * (by - ay))
}
