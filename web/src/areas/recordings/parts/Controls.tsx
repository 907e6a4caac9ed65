import { Box, chakra, Flex } from '@chakra-ui/react'
import { say as staffSays } from '../../../languages/en/staff/recording'
import { watchWords } from '../../../languages/watch'
import type { Played } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Select } from '../../../shared/ui/Fields'
import { Key } from '../../../shared/ui/Key'
import { length } from '../words'

interface ControlsProps {
  played: Played
  nowMs: number
  playing: boolean
  rate: number
  captions: boolean
  onToggle: () => void
  onBy: (ms: number) => void
  onSegment: (step: 1 | -1) => void
  onRate: (rate: number) => void
  onCaptions: () => void
}

const RATES = [0.75, 1, 1.25, 1.5, 2]

/** What the thumb needs on a phone, each with its key. */
export function Controls(props: ControlsProps) {
  const say = watchWords()
  const { played, nowMs, playing, rate, captions, onToggle, onBy, onSegment, onRate, onCaptions } = props
  return (
    <Flex gap="8px" align="center" wrap="wrap" mt="8px">
      <Button look="main" size="large" minW="112px" onClick={onToggle}>
        {playing ? say.pause : say.play}
      </Button>
      <Button onClick={() => onBy(-10_000)}>
        {staffSays.s} <Key>←</Key>
      </Button>
      <Button onClick={() => onBy(10_000)}>
        {staffSays.sButton} <Key>→</Key>
      </Button>
      {played.segments.length > 1 && (
        <>
          <Button onClick={() => onSegment(-1)}>
            {say.segmentBefore} <Key>P</Key>
          </Button>
          <Button onClick={() => onSegment(1)}>
            {say.nextSegment} <Key>N</Key>
          </Button>
        </>
      )}
      <Select
        aria-label={say.speed}
        w="86px"
        value={rate}
        onChange={(event) => onRate(Number(event.target.value))}
        css={{ '@media (pointer: coarse)': { minHeight: '38px' } }}
      >
        {RATES.map((one) => (
          <option key={one} value={one}>
            × {one}
          </option>
        ))}
      </Select>
      {played.captions.length > 0 && (
        <Button onClick={onCaptions} aria-pressed={captions}>
          {captions ? say.captionsOn : say.captionsOff} <Key>C</Key>
        </Button>
      )}
      <Box flex="1" />
      <chakra.span fontFamily="mono" fontSize="15px">
        {length(nowMs / 1000)} / {length(played.lengthMs / 1000)}
      </chakra.span>
    </Flex>
  )
}
