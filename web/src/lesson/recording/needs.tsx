import { say } from '../../languages/en/desk/recording'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'

/** What a recording asks of an adult. */
export const recordingNeeds: Cards = { RECORDING_FAILS: Fails, RECORDING_PAUSED: StillPaused }

function Fails({ need, desk, give }: CardProps) {
  return (
    <>
      <Title>{need.says}</Title>
      <Small>{say.thisLesson(desk.recording.required)}</Small>
      {desk.mine.recording.mayStart && (
        <Actions>
          <Button onClick={() => give({ do: 'record' })}>{say.tryAgainNow}</Button>
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
      <Small>{say.by(paused.says, paused.by)}</Small>
      {desk.mine.recording.mayPause && (
        <Actions>
          <Button onClick={() => give({ do: 'recording-on' })}>
            {say.goOnRecording} <Key>R</Key>
          </Button>
          <Button onClick={() => give({ do: 'pause-recording', reason: paused.reason, minutes: 5 })}>{say.minMore}</Button>
        </Actions>
      )}
    </>
  )
}
