import { say } from '../../languages/en/desk/groups'
import type { Desk } from '../../shared/api/types'
import type { Mark } from '../part'
import { groupsNeeds } from './needs'
import { groupsOrders } from './orders'
import { Choice } from '../DeskMenu'

/** Beside the name while the class is apart: in which group. */
function marks(desk: Desk, person: string): Mark[] {
  if (!desk.groups.out) return []
  const table = desk.groups.tables.find((one) => one.mates.some((mate) => mate.id === person && mate.where === 'IN'))
  return table ? [{ short: table.name, words: say.in(table.name), quiet: true }] : []
}

type Move = (order: { do: 'to-group'; person: string; to: string | null }) => void

/** In the menu of a pupil while the class is apart: to another group, or back to the class. */
function InRowMenu({ desk, pupil, give }: { desk: Desk; pupil: { id: string }; give: Move }) {
  if (!desk.groups.out) return null
  const now = desk.groups.tables.find((one) => one.mates.some((mate) => mate.id === pupil.id && mate.where === 'IN'))
  return (
    <>
      {desk.groups.tables
        .filter((one) => one.id !== now?.id)
        .map((one) => (
          <Choice key={one.id} value={one.id} onSelect={() => give({ do: 'to-group', person: pupil.id, to: one.id })}>
            {say.sendTo(one.name)}
          </Choice>
        ))}
      {now && (
        <Choice value="together" onSelect={() => give({ do: 'to-group', person: pupil.id, to: null })}>
          {say.backFromToTheClass(now.name)}
        </Choice>
      )}
    </>
  )
}

export const groups = {
  orders: groupsOrders,
  page: { cards: groupsNeeds, marks, InRowMenu },
}
