import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import { say } from '../../languages/en/desk/drawing'
import { HIGH, INKS, middle, outline, shapePath, thickness, WIDE, type Drawn } from './geometry'

interface DrawingProps {
  mark: Drawn & { number?: number }
  /** How much thicker, on a small sheet. */
  heavier?: number
  /** Lines of one thickness: where there are thousands, outlines as a hand leaves them would take too long. */
  plain?: boolean
}

/** One thing that is drawn. Plain elements: thousands of them are there at once. */
export const Drawing = memo(function Drawing({ mark, heavier = 1, plain = false }: DrawingProps) {
  const ink = INKS.find((one) => one.ink === mark.ink) ?? INKS[0]
  if (!ink) return null
  if (mark.shape === 'TEXT') {
    return (
      <text
        data-mark={mark.number}
        x={((mark.points[0] ?? 0) * WIDE) / 1000}
        y={((mark.points[1] ?? 0) * HIGH) / 1000}
        style={{ fontSize: `${20 + 14 * mark.width}px` }}
        fill={ink.colour}
        textDecoration={ink.dashes ? (ink.ink === 'RED' ? 'underline dotted' : 'underline dashed') : undefined}
      >
        {mark.text}
      </text>
    )
  }
  if (mark.shape === 'PEN' && !ink.dashes && !plain) {
    return <path data-mark={mark.number} d={outline(mark.points, mark.width * heavier)} fill={ink.colour} />
  }
  return (
    <path
      data-mark={mark.number}
      d={mark.shape === 'PEN' ? middle(mark.points) : shapePath(mark.shape, mark.points)}
      fill="none"
      stroke={ink.colour}
      strokeWidth={thickness(mark.width) * heavier}
      strokeDasharray={ink.dashes}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  )
})

type Ground = 'BLANK' | 'SQUARED' | 'RULED' | 'AXES' | 'NUMBER_LINE'

/** What lies under the drawing on a slate. */
export const GROUNDS: { ground: Ground; name: string }[] = [
  { ground: 'BLANK', name: say.blank },
  { ground: 'SQUARED', name: say.squared },
  { ground: 'RULED', name: say.ruled },
  { ground: 'AXES', name: say.axes },
  { ground: 'NUMBER_LINE', name: say.numberLine },
]

export function GroundLines({ ground }: { ground: Ground }) {
  const lines = {
    BLANK: '',
    SQUARED:
      [...Array(15)].map((_, i) => `M${(i + 1) * 100} 0V${HIGH}`).join('') +
      [...Array(9)].map((_, i) => `M0 ${(i + 1) * 100}H${WIDE}`).join(''),
    RULED: [...Array(8)].map((_, i) => `M0 ${(i + 1) * 115}H${WIDE}`).join(''),
    AXES: `M120 40V880H1540M120 40l-16 34M120 40l16 34M1540 880l-34 -16M1540 880l-34 16`,
    NUMBER_LINE: `M60 500H1540` + [...Array(11)].map((_, i) => `M${100 + i * 140} 470V530`).join(''),
  }[ground]
  return (
    <chakra.path
      d={lines}
      fill="none"
      stroke={ground === 'AXES' || ground === 'NUMBER_LINE' ? 'ink3' : 'lineStrong'}
      strokeWidth={ground === 'SQUARED' || ground === 'RULED' ? 2 : 6}
    />
  )
}
