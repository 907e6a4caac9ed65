import { chakra } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'

export type Severity = 'DANGER' | 'WEAK_SPOT' | 'NOTE'

const WORDS: Record<Severity, string> = { DANGER: say.danger, WEAK_SPOT: say.weakSpot, NOTE: say.worthKnowing }

/** How much a finding matters: a filled wedge, a half one, an outline; never by colour alone. */
export function SeverityMark({ severity, size = 12, silent = false }: { severity: Severity; size?: number; silent?: boolean }) {
  return (
    <chakra.svg
      viewBox="0 0 12 12"
      width={`${size}px`}
      height={`${size}px`}
      flexShrink={0}
      display="inline-block"
      color={severity === 'DANGER' ? 'verdict.away' : severity === 'WEAK_SPOT' ? 'verdict.wait' : 'ink2'}
      {...(silent ? { 'aria-hidden': true } : { role: 'img', 'aria-label': WORDS[severity] })}
    >
      <path
        d="M6 1 L11.3 11 L.7 11 Z"
        fill={severity === 'DANGER' ? 'currentColor' : 'none'}
        stroke="currentColor"
        strokeWidth="1.4"
        strokeLinejoin="round"
      />
      {severity === 'WEAK_SPOT' && <path d="M3.4 6.2 H8.6 L11.3 11 H.7 Z" fill="currentColor" />}
    </chakra.svg>
  )
}

export const severityWords = WORDS
