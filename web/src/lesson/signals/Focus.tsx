import { say } from '../../languages/en/desk/signals'
import type { Desk } from '../../shared/api/types'
import { Choice } from '../DeskMenu'
import type { Mark } from '../part'
import type { Give } from '../orders'
import type { PupilRow } from '../rows'

/** In the row of who was asked: the answer is waited for, or was no. */
export function focusMarks(desk: Desk, person: string): Mark[] {
  const { asked } = desk.signals
  if (asked?.person !== person) return []
  return asked.declined
    ? [{ short: say.notInFocus, words: say.wouldRatherNotBeShown, quiet: true }]
    : [{ short: say.asked, words: say.isAskedToBeShown, quiet: true }]
}

/** Where the rules make it a choice, the pupil is asked first; here it is one press either way. */
export function FocusChoice({ desk, pupil, give }: { desk: Desk; pupil: PupilRow; give: Give }) {
  const { focus, asked } = desk.signals
  const isAsked = asked?.person === pupil.id && !asked.declined
  if (focus === pupil.id || isAsked) {
    return (
      <Choice value="focus" onSelect={() => give({ do: 'focus', person: null })}>
        {say.takeTheQuestionAboutFocus(isAsked)}
      </Choice>
    )
  }
  return (
    <Choice value="focus" onSelect={() => give({ do: 'focus', person: pupil.id })}>
      {say.putInFocusForEveryone}
    </Choice>
  )
}
