import { Box, chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/recordings'
import type { RecordingLine } from '../../shared/api/types'
import { CAUSES, spoken } from './words'

interface CoverProps {
  required: number
  covered: number
  missing: RecordingLine['missing']
}

/** How much of what had to be recorded was: a bar with its gap hatched, and the gap in words. */
export function Cover({ required, covered, missing }: CoverProps) {
  const share = Math.floor((100 * covered) / required)
  const grave = missing.filter((one) => one.cause !== 'LATE' && one.cause !== 'GROUPS')
  return (
    <Box>
      <Flex h="9px" border="1px solid" borderColor="ink" role="img" aria-label={say.ofWhatHad(share)}>
        <Box bg="ink" style={{ width: `${share}%` }} />
        <Box
          flex="1"
          color={grave.length > 0 ? 'verdict.away' : 'lineStrong'}
          backgroundImage="repeating-linear-gradient(115deg, currentColor 0 2px, transparent 2px 5px)"
        />
      </Flex>
      <chakra.span fontSize="12px" color={grave.length > 0 ? 'verdict.away' : 'ink2'}>
        {say.whole(missing.length, missing.map((one) => `${CAUSES[one.cause]} ${spoken(one.seconds)}`).join(', '))}
      </chakra.span>
    </Box>
  )
}
