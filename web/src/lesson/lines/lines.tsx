import { say } from '../../languages/en/desk/lines'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Actions, Small, Title, type CardProps } from '../cards'
import type { Mark } from '../part'
import { linesOrders } from './orders'

function marks(desk: Desk, person: string): Mark[] {
  return desk.lines.weak[person] ? [{ short: say.weakLine, words: say.hasAWeakLine, quiet: true }] : []
}

/** Several have a weak line: what makes the lesson light is proposed, and not done unasked. */
function Weak({ need, desk, give }: CardProps) {
  const names = desk.door.pupils.filter((one) => desk.lines.weak[one.id]).map((one) => one.name)
  return (
    <>
      <Title>{need.says}</Title>
      <Small>{say.aLightLessonCloses(names.join(', '))}</Small>
      <Actions>
        <Button onClick={() => give({ do: 'light', on: true })}>{say.lightLesson}</Button>
        <Button onClick={() => give({ do: 'leave-weak-lines' })}>{say.leaveIt}</Button>
      </Actions>
    </>
  )
}

export const lines = {
  orders: linesOrders,
  page: { cards: { LINES_WEAK: Weak }, marks },
}
