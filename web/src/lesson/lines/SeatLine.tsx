import { Box, chakra } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** Said to the pupil, with what helps. */
export function Banner({ seat }: { seat: Seat }) {
  const time = useSchoolTime()
  const since = seat.mine.line?.weakSince
  if (!since) return null
  const say = seatWords()
  return (
    <Box role="status" px={{ base: '14px', md: '22px' }} py="6px" fontSize="14px" borderBottom="1px solid" borderColor="line">
      <chakra.strong fontWeight="650">{say.weakLine(time.clock(since))}</chakra.strong>{' '}
      {say.whatHelps(!!seat.mine.rights?.camera)}
    </Box>
  )
}
