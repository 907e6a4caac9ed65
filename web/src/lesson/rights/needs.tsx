import { say } from '../../languages/en/desk/rights'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'

/** Passes that end, and the stance that is planned. */
export const rightsNeeds: Cards = { ENDING: Ending, STANCE: Planned }

function Ending({ need, give }: CardProps) {
  const order = { person: need.person ?? '', rule: need.rule ?? '' }
  return (
    <>
      <Title>{need.says}</Title>
      <Actions>
        <Button onClick={() => give({ do: 'pass', ...order, minutes: 2 })}>{say.minMore}</Button>
        <Button onClick={() => give({ do: 'end-loan', ...order })}>{say.endNow}</Button>
      </Actions>
    </>
  )
}

function Planned({ need, desk, give }: CardProps) {
  const stance = desk.course.stances.find((one) => one.id === need.stance)
  if (!stance) return null
  return (
    <>
      <Title>{need.says}</Title>
      <Small>{say.byTheRunningOrderNothing}</Small>
      <Actions>
        <Button onClick={() => give({ do: 'stance', stance: stance.id, keepLive: false })}>
          {say.switchTo(stance.name)} <Key>N</Key>
        </Button>
      </Actions>
    </>
  )
}
