import { say } from '../../languages/en/desk/rights'
import type { Desk } from '../../shared/api/types'
import { Choice } from '../DeskMenu'
import type { Give } from '../orders'
import { PassedOn } from './PassedOn'

const SAYS: Record<string, { open: string; closed: string }> = {
  'names.see-list': { open: say.letPupilsSeeWhoIsHere, closed: say.hideFromPupilsWhoIsHere },
  'voice.see-cameras': { open: say.letPupilsSeeEachOthersCameras, closed: say.hideCamerasFromEachOther },
}

/** A whole screen, what pupils see of each other, and whether the lesson is passed on: switched now and then. */
export function InMore({ desk, give }: { desk: Desk; give: Give }) {
  const { seen, passedOn, mayShowAll, mayPassOn, showing } = desk.rights
  return (
    <>
      {mayShowAll && !showing && (
        <Choice value="show-all" onSelect={() => give({ do: 'show-all' })}>
          {say.showAllOfMyScreen}
        </Choice>
      )}
      {seen
        .filter((one) => !one.bound || one.value === 'open')
        .map((one) => {
          const next = one.value === 'open' ? 'closed' : 'open'
          return (
            <Choice key={one.rule} value={one.rule} onSelect={() => give({ do: 'set', rule: one.rule, value: next })}>
              {SAYS[one.rule]?.[next] ?? one.title}
            </Choice>
          )
        })}
      {passedOn.map((one) => (
        <Choice
          key={one.id}
          value={`not on ${one.id}`}
          onSelect={() => give({ do: 'turn-off', person: one.id, what: 'PASSING_ON' })}
        >
          {say.endPassingTheLesson(one.name)}
        </Choice>
      ))}
      {mayPassOn && passedOn.length === 0 && (
        <Choice value="pass-on" onSelect={() => give({ do: 'pass-on' })}>
          {say.passTheLesson}
        </Choice>
      )}
    </>
  )
}

/** That people outside watch must not be overlooked. */
export function UnderHead({ desk }: { desk: Desk }) {
  return desk.rights.passedOn.length > 0 ? <PassedOn by={desk.rights.passedOn.map((one) => one.name)} /> : null
}
