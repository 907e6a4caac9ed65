import { Box } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import type { OrderOf } from '../send'
import type { conductActs } from './acts'
import { RaiseWorry } from './RaiseWorry'

/** At the own seat: what a step was about, and the quiet way to say that something is wrong. */
export function AtSeat({ seat, act }: { seat: Seat; act?: (one: OrderOf<typeof conductActs>) => void }) {
  const time = useSchoolTime()
  const last = seat.mine.conduct?.last
  const say = seatWords()
  return (
    <>
      {last && (last.measure === 'REMINDER' || last.measure === 'CURB') && (
        <Box
          role="status"
          mx="16px"
          mb="14px"
          px="12px"
          py="8px"
          bg="verdict.waitSoft"
          borderInlineStart="4px solid"
          borderColor="verdict.wait"
        >
          <strong>{last.measure === 'REMINDER' ? say.remindsYou(last.by) : say.closedForYou(last.by)}</strong>,{' '}
          {time.clock(last.at)}: {last.act.toLowerCase()}. {last.rule && say.ruleIsAbout(last.rule)} {say.overWhenWell}
        </Box>
      )}
      {act && <RaiseWorry seat={seat} act={act} />}
    </>
  )
}
