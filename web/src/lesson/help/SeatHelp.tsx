import { chakra } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** For who stands in the row: the own place and how long it may take; for who has gone, that questions can still be asked. */
export function Sign({ seat }: { seat: Seat }) {
  const time = useSchoolTime()
  const { help } = seat
  const say = seatWords()
  if (!help) return null
  const mine = seat.mine.help
  return (
    <chakra.p role="status" my="2px" px="9px" py="3px" borderInlineStart="4px solid" borderColor="mark">
      {say.helpHour(time.clock(help.until))}{' '}
      {mine && (
        <strong>
          {say.inTheRow(mine.place)}
          {mine.minutes > 0 && say.aboutMinutes(mine.minutes)}.
        </strong>
      )}
    </chakra.p>
  )
}
