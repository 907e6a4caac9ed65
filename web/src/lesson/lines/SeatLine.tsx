import { Box, chakra } from '@chakra-ui/react'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** Said to the pupil, with what helps. */
export function Banner({ seat }: { seat: Seat }) {
  const time = useSchoolTime()
  const since = seat.mine.line?.weakSince
  if (!since) return null
  const camera = seat.mine.rights?.camera
  return (
    <Box role="status" px={{ base: '14px', md: '22px' }} py="6px" fontSize="14px" borderBottom="1px solid" borderColor="line">
      <chakra.strong fontWeight="650">Your line is weak since {time.clock(since)}.</chakra.strong> What helps:{' '}
      {camera && 'switch your camera off, '}close films and games on this line, go nearer to the wireless box. Nothing you write
      is lost, and your teacher sees it.
    </Box>
  )
}
