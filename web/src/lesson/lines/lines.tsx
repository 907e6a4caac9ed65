import { Box, chakra } from '@chakra-ui/react'
import type { Desk, Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Actions, Small, Title, type CardProps } from '../cards'
import type { Mark } from '../part'
import { linesActs, linesOrders } from './orders'

function marks(desk: Desk, person: string): Mark[] {
  return desk.lines.weak[person] ? [{ short: 'weak line', words: 'has a weak line', quiet: true }] : []
}

/** Several have a weak line: what makes the lesson light is proposed, and not done unasked. */
function Weak({ need, desk, give }: CardProps) {
  const names = desk.door.pupils.filter((one) => desk.lines.weak[one.id]).map((one) => one.name)
  return (
    <>
      <Title>{need.says}</Title>
      <Small>{names.join(', ')}. A light lesson closes all cameras, so that voices and what is shown come through.</Small>
      <Actions>
        <Button onClick={() => give({ do: 'light', on: true })}>Light lesson</Button>
        <Button onClick={() => give({ do: 'leave-weak-lines' })}>Leave it as it is</Button>
      </Actions>
    </>
  )
}

/** Said to the pupil, with what helps. */
function Banner({ seat }: { seat: Seat }) {
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

export const lines = {
  orders: linesOrders,
  acts: linesActs,
  page: { cards: { LINES_WEAK: Weak }, marks, Banner },
}
