import { Box } from '@chakra-ui/react'

interface Stretch {
  from: number
  until: number
}

interface StripProps {
  stays: Stretch[]
  waits: Stretch[]
  from: number
  until: number
  now?: number
  /** Whether the last stay was ended by a removal. */
  cut?: boolean
  height?: number
  /** What happened to them, each a small diamond with its words. */
  ticks?: { at: number; words: string }[]
}

/** Presence over time: a green bar while in, ochre hatching while waiting at the door, a gap while away. */
export function Strip({ stays, waits, from, until, now, cut = false, height = 20, ticks = [] }: StripProps) {
  const left = (instant: number) => (100 * (Math.max(from, Math.min(until, instant)) - from)) / (until - from)
  const middle = height / 2
  const place = (one: Stretch) => ({
    left: `${left(one.from)}%`,
    width: `max(2px, ${left(one.until) - left(one.from)}%)`,
  })
  const last = stays.at(-1)
  return (
    <>
      {now !== undefined && now >= from && now <= until && (
        <Box position="absolute" top="-1px" bottom="-1px" w="1px" bg="ink" style={{ left: `${left(now)}%` }} />
      )}
      {waits.map((one) => (
        <Box
          key={one.from}
          position="absolute"
          h="7px"
          color="verdict.wait"
          backgroundImage="repeating-linear-gradient(115deg, currentColor 0 2px, transparent 2px 5px)"
          style={{ ...place(one), top: middle - 3.5 }}
        />
      ))}
      {stays.map((one) => (
        <Box key={one.from} position="absolute" h="7px" bg="verdict.in" style={{ ...place(one), top: middle - 3.5 }} />
      ))}
      {ticks.map((tick) => (
        <Box
          key={tick.at}
          role="img"
          aria-label={tick.words}
          title={tick.words}
          position="absolute"
          w="8px"
          h="8px"
          bg="ink"
          border="1.5px solid"
          borderColor="sheet"
          transform="rotate(45deg)"
          style={{ left: `calc(${left(tick.at)}% - 4px)`, top: middle - 4 }}
        />
      ))}
      {cut && last && (
        <Box position="absolute" w="3px" h="13px" bg="verdict.away" style={{ left: `${left(last.until)}%`, top: middle - 6.5 }} />
      )}
    </>
  )
}
