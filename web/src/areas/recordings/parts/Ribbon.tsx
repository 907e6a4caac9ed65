import { Box, chakra, Flex } from '@chakra-ui/react'
import { watchWords } from '../../../languages/watch'
import type { Played } from '../../../shared/api/types'
import { length } from '../words'

interface RibbonProps {
  played: Played
  nowMs: number
  onSeek: (ms: number) => void
}

/** The whole recording as a strip of paper: who is heard when, where a segment ends, and where one is. */
export function Ribbon({ played, nowMs, onSeek }: RibbonProps) {
  const say = watchWords()
  const whole = Math.max(1, played.lengthMs)
  const left = (ms: number) => `${(100 * ms) / whole}%`
  return (
    <>
      <Box
        role="slider"
        tabIndex={0}
        aria-label={say.place}
        aria-valuemin={0}
        aria-valuemax={Math.round(whole / 1000)}
        aria-valuenow={Math.round(nowMs / 1000)}
        aria-valuetext={say.of(length(nowMs / 1000), length(whole / 1000))}
        position="relative"
        h="54px"
        bg="sheet"
        border="1.5px solid"
        borderColor="ink"
        cursor="pointer"
        overflow="hidden"
        onPointerDown={(event) => {
          const box = event.currentTarget.getBoundingClientRect()
          onSeek(((event.clientX - box.left) / box.width) * whole)
        }}
        onKeyDown={(event) => {
          const step = { ArrowLeft: -10_000, ArrowRight: 10_000, PageUp: 60_000, PageDown: -60_000 }[event.key]
          const place = { Home: 0, End: whole - 1 }[event.key] ?? (step === undefined ? undefined : nowMs + step)
          if (place !== undefined) {
            event.preventDefault()
            onSeek(place)
          }
        }}
      >
        {played.voices.flatMap((voice) =>
          voice.heard.map((piece) => (
            <Box
              key={`${voice.name} ${piece.fromMs}`}
              position="absolute"
              title={voice.name}
              top={voice.isAdult ? '8px' : '28px'}
              h={voice.isAdult ? '12px' : '16px'}
              bg={voice.isAdult ? 'lineStrong' : 'verdict.in'}
              style={{ left: left(piece.fromMs), width: `max(2px, ${left(piece.untilMs - piece.fromMs)})` }}
            />
          )),
        )}
        {played.segments.slice(1).map((one) => (
          <Box
            key={one.atMs}
            position="absolute"
            top="0"
            bottom="0"
            borderInlineStart="2px dashed"
            borderColor="ink"
            style={{ left: left(one.atMs) }}
          />
        ))}
        <Box position="absolute" top="0" bottom="0" left="0" bg="mark" opacity="0.28" style={{ width: left(nowMs) }} />
        <Box position="absolute" top="0" bottom="0" w="3px" bg="ink" style={{ left: left(nowMs) }} />
      </Box>
      <Flex gap="14px" fontSize="12px" color="ink2" mt="2px" wrap="wrap" aria-hidden>
        <span>
          <Swatch bg="lineStrong" /> {say.adultHeard}
        </span>
        <span>
          <Swatch bg="verdict.in" /> {say.pupilHeard}
        </span>
        {played.segments.length > 1 && <span>{say.dashed}</span>}
      </Flex>
    </>
  )
}

function Swatch({ bg }: { bg: string }) {
  return <chakra.span display="inline-block" w="14px" h="8px" me="3px" bg={bg} />
}
