import { chakra } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/frame'

/** How far a right is closed, and whether it was lent to or taken from one person. */
export interface ShutterProps {
  value: string
  bound?: boolean
  loan?: 'NONE' | 'PASS' | 'CURB'
  size?: number
}

const FALL: Record<string, number> = { open: 0, 'on-request': 0.5, closed: 1 }

/**
 * Our sign for a right: an empty frame is open, half down is on request, all down is closed; a sill under it means
 * binding; a green frame is a pass, a red one a curb. It says nothing to screen readers: words stand beside it.
 */
export function Shutter({ value, bound = false, loan = 'NONE', size = 15 }: ShutterProps) {
  const colour = loan === 'PASS' ? 'verdict.in' : loan === 'CURB' ? 'verdict.away' : 'ink'
  const fall = FALL[value] ?? 0
  return (
    <chakra.svg
      viewBox="0 0 20 24"
      width={`${size}px`}
      height={`${size * 1.2}px`}
      color={colour}
      display="inline-block"
      verticalAlign="-3px"
      aria-hidden
      overflow="visible"
    >
      {loan !== 'NONE' && (
        <rect x="-2" y="-2" width="24" height="22" fill="none" stroke="currentColor" strokeWidth="1.6" opacity="0.45" />
      )}
      <rect x="1.2" y="1.2" width="17.6" height="15.6" fill="none" stroke="currentColor" strokeWidth="2.2" />
      <rect x="1.2" y="1.2" width="17.6" height={15.6 * fall} fill="currentColor" />
      {bound && <path d="M-0.5 21.5H20.5" stroke="currentColor" strokeWidth="2.4" />}
    </chakra.svg>
  )
}

/** The value of a right in words, as it is said on every screen. */
export function shutterWords(value: string, bound?: boolean, loan?: ShutterProps['loan']): string {
  const lent = loan === 'PASS' ? say.byAPass : loan === 'CURB' ? say.byACurb : ''
  return value.replace('-', ' ') + lent + (bound ? say.binding : '')
}
