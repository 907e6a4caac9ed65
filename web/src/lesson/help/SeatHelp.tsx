import { chakra } from '@chakra-ui/react'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

const ORDER = ['', 'first', 'second', 'third']

/** For who stands in the row: the own place and how long it may take; for who has gone, that questions can still be asked. */
export function Sign({ seat }: { seat: Seat }) {
  const time = useSchoolTime()
  const { help } = seat
  if (!help) return null
  const mine = seat.mine.help
  return (
    <chakra.p role="status" my="2px" px="9px" py="3px" borderInlineStart="4px solid" borderColor="mark">
      Help hour until {time.clock(help.until)}.{' '}
      {mine && (
        <strong>
          You are {ORDER[mine.place] ?? `number ${mine.place}`} in the row
          {mine.minutes > 0 && `, about ${mine.minutes} min`}.
        </strong>
      )}
    </chakra.p>
  )
}
