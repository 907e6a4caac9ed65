import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'
import { ToYou } from '../ToYou'

/** Asked at the seat: nobody is put before all against their will. */
export function FocusAsked({ seat, act }: { seat: Seat; act: (one: Act) => void }) {
  const asks = seat.mine.signals?.asks
  const say = seatWords()
  if (!asks) return null
  return (
    <ToYou
      label={say.questionToYou}
      acts={
        <>
          <Button onClick={() => act({ do: 'answer-focus', yes: true })}>{say.yesShowMe}</Button>
          <Button onClick={() => act({ do: 'answer-focus', yes: false })}>{say.ratherNot}</Button>
        </>
      }
    >
      {say.mayAllSeeYou(asks)}
    </ToYou>
  )
}
