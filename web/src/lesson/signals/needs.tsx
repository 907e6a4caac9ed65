import { say } from '../../languages/en/desk/signals'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'

/** Raised hands, and signals that ask an adult to do something. */
export const signalsNeeds: Cards = { HAND: Hand, SIGN: Asks }

function Hand({ need, desk, give }: CardProps) {
  const person = need.person ?? ''
  const hands = desk.needs.filter((one) => one.kind === 'HAND').length
  return (
    <>
      <Title>{need.says}</Title>
      <Small>{spoken(desk.rights.pupils[person]?.timesSpoken ?? 0)}</Small>
      <Actions>
        <Button onClick={() => give({ do: 'pass', person, rule: 'voice.speak', minutes: 2 })}>
          {say.letSpeak2Min} <Key>S</Key>
        </Button>
        <Button onClick={() => give({ do: 'lower-hand', person })}>{say.lower}</Button>
        {hands > 1 && (
          <Button look="quiet" aria-label={say.allDown(hands)} onClick={() => give({ do: 'hands-down' })}>
            {say.all(hands)}
          </Button>
        )}
      </Actions>
    </>
  )
}

function Asks({ need, give }: CardProps) {
  const ask = say.iSawYourSignalWrite
  return (
    <>
      <Title>{need.says}</Title>
      <Actions>
        <Button onClick={() => give({ do: 'say', to: 'ONE', person: need.person ?? null, text: ask })}>
          {say.askWhatIsWrong}
        </Button>
      </Actions>
    </>
  )
}

function spoken(times: number): string {
  return times === 0 ? say.hasNotSpokenYet : times === 1 ? say.hasSpokenOnce : say.hasSpokenTimes(times)
}
