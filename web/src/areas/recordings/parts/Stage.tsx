import { Box, chakra, Flex } from '@chakra-ui/react'
import { watchWords } from '../../../languages/watch'
import type { Played } from '../../../shared/api/types'
import { HIGH, WIDE } from '../../../lesson/drawing/geometry'
import { Drawing } from '../../../lesson/drawing/Marks'
import { boardAt, captionAt } from '../transcript'

interface StageProps {
  played: Played
  nowMs: number
  captions: boolean
}

/** What was to be seen: the board as it was, who is heard, and the caption under it. */
export function Stage({ played, nowMs, captions }: StageProps) {
  const say = watchWords()
  const lines = boardAt(played, nowMs)
  const speaking = played.voices.filter((voice) => voice.heard.some((one) => one.fromMs <= nowMs && nowMs < one.untilMs))
  const caption = captions ? captionAt(played, nowMs) : ''
  return (
    <Box>
      <Box bg="sheet" border="1.5px solid" borderColor="ink" position="relative">
        <chakra.svg viewBox={`0 0 ${WIDE} ${HIGH}`} w="100%" h={{ base: '200px', md: '340px' }} role="img">
          <title>{lines.length > 0 ? say.boardNow : say.boardEmpty}</title>
          {lines.map((mark, place) => (
            <Drawing key={place} mark={mark} />
          ))}
        </chakra.svg>
        {lines.length === 0 && (
          <Flex position="absolute" inset="0" align="center" justify="center" color="ink2" px="20px" textAlign="center">
            {played.pages.length === 0 ? say.nothingDrawn : say.nothingOnBoard}
          </Flex>
        )}
      </Box>
      {played.captions.length > 0 && captions && (
        <Box
          minH="56px"
          mt="6px"
          px="12px"
          py="8px"
          bg={caption ? 'ink' : 'transparent'}
          color="sheet"
          fontSize="17px"
          aria-live="off"
        >
          {caption}
        </Box>
      )}
      <chakra.p mt="8px" minH="22px">
        {speaking.length > 0 ? (
          <>
            <strong>{speaking.map((one) => one.name).join(', ')}</strong> {say.areHeard(speaking.length)}
          </>
        ) : (
          <chakra.span color="ink2">{say.nobodyHeard}</chakra.span>
        )}
      </chakra.p>
      {played.leftOut > 0 && (
        <chakra.p color="ink2" fontSize="13.5px">
          {say.leftOut(played.leftOut)}
        </chakra.p>
      )}
    </Box>
  )
}
