import { say } from '../../languages/en/desk/groups'
import { Button } from '../../shared/ui/Button'
import { Select } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'

/** What groups ask of an adult. */
export const groupsNeeds: Cards = { GROUP_CALLS: Calls, GROUP_ALONE: Alone, GROUP_LATE: Late, GROUPS_PLANNED: Planned }

const table = ({ need, desk }: CardProps) => desk.groups.tables.find((one) => one.id === need.group)

function Calls(props: CardProps) {
  const { need, desk, give } = props
  const group = table(props)
  if (!group?.call) return null
  const first = desk.groups.next?.group === group.id
  return (
    <>
      <Title>{say.callsForAnAdult(group.name)}</Title>
      <Small>
        {say.pressed(group.call.by)}
        {group.last && say.lastWords(group.last.from, group.last.text)}
      </Small>
      <Actions>
        <Button onClick={() => give({ do: 'go-in', group: group.id })}>
          {say.goIn} {first && <Key>G</Key>}
        </Button>
        <Button onClick={() => give({ do: 'look-in', group: group.id })}>{say.lookInFirst}</Button>
        <Button onClick={() => give({ do: 'seen-to', group: need.group ?? '' })}>{say.seenTo}</Button>
      </Actions>
    </>
  )
}

function Alone(props: CardProps) {
  const { desk, give } = props
  const group = table(props)
  if (!group) return null
  const others = desk.groups.tables.filter(
    (one) => one.id !== group.id && one.beyondAt && !one.call && Date.parse(one.beyondAt) <= Date.parse(desk.now),
  )
  return (
    <>
      <Title>{say.withoutAnAdultForTooLong(group.name, others.length)}</Title>
      <Small>{say.itHasGoneQuiet(group.quiet, others.length, others.map((one) => one.name).join(', '))}</Small>
      <Actions>
        <Button onClick={() => give({ do: 'look-in', group: group.id })}>{say.lookInto(group.name)}</Button>
        <Button onClick={() => give({ do: 'go-in', group: group.id })}>
          {say.goIn} {desk.groups.next?.group === group.id && <Key>G</Key>}
        </Button>
      </Actions>
    </>
  )
}

function Late({ need, desk, give }: CardProps) {
  const late = desk.groups.late.find((one) => one.id === need.person)
  if (!late) return null
  const to = late.to
  return (
    <>
      <Title>{say.comesLate(late.name)}</Title>
      <Small>{to ? say.isNeededMost(late.toName ?? '') : say.everyGroupHoldsSomebody}</Small>
      <Actions>
        {to && (
          <Button onClick={() => give({ do: 'to-group', person: late.id, to })}>
            {say.to} {late.toName}
          </Button>
        )}
        <Elsewhere person={late.id} but={to} desk={desk} give={give} />
      </Actions>
    </>
  )
}

function Elsewhere({ person, but, desk, give }: { person: string; but: string | undefined } & Pick<CardProps, 'desk' | 'give'>) {
  return (
    <Select
      aria-label={say.toAnotherGroup}
      fontSize="13px"
      w="110px"
      py="1px"
      value=""
      onChange={(event) => event.target.value && give({ do: 'to-group', person, to: event.target.value })}
    >
      <option value="">{say.elsewhere}</option>
      {desk.groups.tables
        .filter((one) => one.id !== but)
        .map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
    </Select>
  )
}

function Planned({ need, give }: CardProps) {
  const set = need.group ?? ''
  return (
    <>
      <Title>{need.says}</Title>
      <Small>{say.theyAreDrawnUp}</Small>
      <Actions>
        <Button onClick={() => give({ do: 'send-prepared', set })}>{say.sendThemOut}</Button>
        <Button onClick={() => give({ do: 'groups-prepared', set })}>{say.drawUpFirst}</Button>
      </Actions>
    </>
  )
}
