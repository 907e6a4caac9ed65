import { chakra } from '@chakra-ui/react'

/** Filled disc: in. Half disc: waiting. Struck square: turned away. Words stand beside it. */
export function VerdictMark({ verdict, size = 13 }: { verdict: 'in' | 'wait' | 'away'; size?: number }) {
  return (
    <chakra.svg
      viewBox="0 0 16 16"
      width={`${size}px`}
      height={`${size}px`}
      color={`verdict.${verdict}`}
      display="inline-block"
      verticalAlign="-2px"
      flexShrink={0}
      aria-hidden
    >
      {verdict === 'in' && <circle cx="8" cy="8" r="7" fill="currentColor" />}
      {verdict === 'wait' && (
        <>
          <circle cx="8" cy="8" r="6.6" fill="none" stroke="currentColor" strokeWidth="1.8" />
          <path d="M8 1.4a6.6 6.6 0 0 0 0 13.2z" fill="currentColor" />
        </>
      )}
      {verdict === 'away' && <path d="M1.5 1.5h13v13h-13zM1.5 14.5l13-13" fill="none" stroke="currentColor" strokeWidth="1.9" />}
    </chakra.svg>
  )
}
