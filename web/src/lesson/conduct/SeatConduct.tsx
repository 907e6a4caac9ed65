import { Box } from '@chakra-ui/react'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import type { OrderOf } from '../send'
import type { conductActs } from './orders'
import { RaiseWorry } from './RaiseWorry'

/** At the own seat: what a step was about, and the quiet way to say that something is wrong. */
export function AtSeat({ seat, act }: { seat: Seat; act?: (one: OrderOf<typeof conductActs>) => void }) {
  const time = useSchoolTime()
  const last = seat.mine.conduct?.last
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
          <strong>
            {last.by} {last.measure === 'REMINDER' ? 'reminds you' : 'has closed something for you'}
          </strong>
          , {time.clock(last.at)}: {last.act.toLowerCase()}.{last.rule && ` The rule is about “${last.rule}”.`} It is over when
          you go on well.
        </Box>
      )}
      {act && <RaiseWorry seat={seat} act={act} />}
    </>
  )
}
