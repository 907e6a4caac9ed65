import type { Desk, Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Choice } from '../DeskMenu'
import type { Mark } from '../part'
import type { Act, Give } from '../orders'
import type { PupilRow } from '../rows'
import { ToYou } from '../ToYou'

/** In the row of who was asked: the answer is waited for, or was no. */
export function focusMarks(desk: Desk, person: string): Mark[] {
  const { asked } = desk.signals
  if (asked?.person !== person) return []
  return asked.declined
    ? [{ short: 'not in focus', words: 'would rather not be shown to everyone', quiet: true }]
    : [{ short: 'asked', words: 'is asked to be shown to everyone', quiet: true }]
}

/** Where the rules make it a choice, the pupil is asked first; here it is one press either way. */
export function FocusChoice({ desk, pupil, give }: { desk: Desk; pupil: PupilRow; give: Give }) {
  const { focus, asked } = desk.signals
  const isAsked = asked?.person === pupil.id && !asked.declined
  if (focus === pupil.id || isAsked) {
    return (
      <Choice value="focus" onSelect={() => give({ do: 'focus', person: null })}>
        {isAsked ? 'Take the question about focus back' : 'End the focus'}
      </Choice>
    )
  }
  return (
    <Choice value="focus" onSelect={() => give({ do: 'focus', person: pupil.id })}>
      Put in focus for everyone
    </Choice>
  )
}

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
