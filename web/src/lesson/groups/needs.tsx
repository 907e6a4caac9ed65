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
      <Title>{group.name} calls for an adult</Title>
      <Small>
        {group.call.by} pressed.{group.last && ` Last words: ${group.last.from}: “${group.last.text}”`}
      </Small>
      <Actions>
        <Button onClick={() => give({ do: 'go-in', group: group.id })}>Go in {first && <Key>G</Key>}</Button>
        <Button onClick={() => give({ do: 'look-in', group: group.id })}>Look in first</Button>
        <Button onClick={() => give({ do: 'seen-to', group: need.group ?? '' })}>Seen to</Button>
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
      <Title>
        {group.name} {others.length > 0 && `and ${others.length} more `}without an adult for too long
      </Title>
      <Small>
        {group.quiet ? 'It has gone quiet by itself.' : 'Nobody has looked in for longer than the rule lets.'}
        {others.length > 0 && ` The same in ${others.map((one) => one.name).join(', ')}.`}
      </Small>
      <Actions>
        <Button onClick={() => give({ do: 'look-in', group: group.id })}>Look into {group.name}</Button>
        <Button onClick={() => give({ do: 'go-in', group: group.id })}>
          Go in {desk.groups.next?.group === group.id && <Key>G</Key>}
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
      <Title>{late.name} comes late</Title>
      <Small>
        {to
          ? `Is needed most in ${late.toName}, and nobody to be kept apart from is there.`
          : 'Every group holds somebody to be kept apart from. Choose yourself.'}
      </Small>
      <Actions>
        {to && <Button onClick={() => give({ do: 'to-group', person: late.id, to })}>To {late.toName}</Button>}
        <Elsewhere person={late.id} but={to} desk={desk} give={give} />
      </Actions>
    </>
  )
}

function Elsewhere({ person, but, desk, give }: { person: string; but: string | undefined } & Pick<CardProps, 'desk' | 'give'>) {
  return (
    <Select
      aria-label="To another group"
      fontSize="13px"
      w="110px"
      py="1px"
      value=""
      onChange={(event) => event.target.value && give({ do: 'to-group', person, to: event.target.value })}
    >
      <option value="">elsewhere…</option>
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
      <Small>They are drawn up from what was prepared; who is not here is left out.</Small>
      <Actions>
        <Button onClick={() => give({ do: 'send-prepared', set })}>Send them out</Button>
        <Button onClick={() => give({ do: 'groups-prepared', set })}>Draw up first</Button>
      </Actions>
    </>
  )
}
