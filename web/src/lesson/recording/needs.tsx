import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'

/** What a recording asks of an adult. */
export const recordingNeeds: Cards = { RECORDING_FAILS: Fails, RECORDING_PAUSED: StillPaused }

function Fails({ need, desk, give }: CardProps) {
  return (
    <>
      <Title>{need.says}</Title>
      <Small>
        {desk.recording.required
          ? 'This lesson has to be recorded; what is missing is noted with its cause.'
          : 'It is tried again by itself.'}
      </Small>
      {desk.mine.recording.mayStart && (
        <Actions>
          <Button onClick={() => give({ do: 'record' })}>Try again now</Button>
        </Actions>
      )}
    </>
  )
}

function StillPaused({ need, desk, give }: CardProps) {
  const paused = desk.recording.paused
  if (!paused) return null
  return (
    <>
      <Title mark={need.number > 1}>{need.says}</Title>
      <Small>
        {paused.says}, by {paused.by}.
      </Small>
      {desk.mine.recording.mayPause && (
        <Actions>
          <Button onClick={() => give({ do: 'recording-on' })}>
            Go on recording <Key>R</Key>
          </Button>
          <Button onClick={() => give({ do: 'pause-recording', reason: paused.reason, minutes: 5 })}>5 min more</Button>
        </Actions>
      )}
    </>
  )
}
