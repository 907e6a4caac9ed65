import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'
import { ToYou } from '../ToYou'

/** Asked at the seat: nobody is put before all against their will. */
export function FocusAsked({ seat, act }: { seat: Seat; act: (one: Act) => void }) {
  const asks = seat.mine.signals?.asks
  if (!asks) return null
  return (
    <ToYou
      label="A question to you"
      acts={
        <>
          <Button onClick={() => act({ do: 'answer-focus', yes: true })}>Yes, show me</Button>
          <Button onClick={() => act({ do: 'answer-focus', yes: false })}>Rather not</Button>
        </>
      }
    >
      {asks} asks: may everyone see you large? You choose; no other pupil is told if you say no.
    </ToYou>
  )
}
