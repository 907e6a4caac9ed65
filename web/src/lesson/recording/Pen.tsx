import { chakra } from '@chakra-ui/react'

/** How it stands with a recording. */
export type PenState = 'off' | 'soon' | 'on' | 'paused' | 'failed'

const LINES: Record<PenState, string> = {
  off: '',
  soon: 'M1 8 h2 m3 0 h2 m3 0 h2 m3 0 h2',
  on: 'M1 8 q2 -7 4 0 t4 0 t4 0 t4 0 t4 0',
  paused: 'M1 8 q2 -7 4 0 t4 0 M14 8 h7',
  failed: 'M1 8 q2 -7 4 0 l2 3 M11 5 l8 6 M19 5 l-8 6',
}

/**
 * Our sign for a recording: a pen that writes what is said as a wave. Dotted before it begins, a flat line behind the wave while it
 * is paused, struck through where it fails. It says nothing to screen readers: words stand beside it.
 */
export function Pen({ state, size = 26 }: { state: PenState; size?: number }) {
  return (
    <chakra.svg
      viewBox="0 0 28 16"
      width={`${size}px`}
      height={`${(size * 16) / 28}px`}
      display="inline-block"
      verticalAlign="-3px"
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth="1.9"
      strokeLinecap="round"
    >
      <path d={LINES[state]} />
      <path d="M21 8 L26.5 2.5 M21 8 L23.8 8.2 M21 8 L20.8 5.2" />
    </chakra.svg>
  )
}
