import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/recording'
import type { Desk } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Choice, DeskMenu, MenuHead, Opener } from '../DeskMenu'
import { mayOrder } from '../mayOrder'
import type { OrderOf } from '../send'
import type { PauseReason, recordingOrders } from './orders'
import { Pen, type PenState } from './Pen'

type Give = (order: OrderOf<typeof recordingOrders>) => void
type Recording = Desk['recording']

export const REASONS: { reason: PauseReason; says: string }[] = [
  { reason: 'CONFIDES', says: say.somebodyConfides },
  { reason: 'HEALTH_OR_FAMILY', says: say.healthOrFamily },
  { reason: 'PERSONAL_DATA', says: say.namesMarksOrAddressesAreShown },
  { reason: 'BREAK', says: say.aBreak },
  { reason: 'OTHER', says: say.anotherReason },
]

export function penOf({ phase, isRecording, paused, waiting }: Recording): PenState {
  if (phase === 'OFF' || phase === 'ENDED') return 'off'
  // Until the recorder says that it records, nothing is claimed.
  if (phase === 'ANNOUNCED' || phase === 'ASKED') return 'soon'
  if (phase === 'FAILED') return 'failed'
  return isRecording && !paused && !waiting ? 'on' : 'paused'
}

/** How much was recorded until now, in whole minutes. */
function minutes({ recordedSeconds, runningSince }: Recording, now: number): number {
  const running = runningSince ? Math.max(0, now - Date.parse(runningSince)) : 0
  return Math.floor((recordedSeconds + running / 1000) / 60)
}

const WORDS: Record<PenState, string> = {
  off: say.notRecorded,
  soon: say.recordingBegins,
  on: say.recording,
  paused: say.recordingPaused,
  failed: say.notRecording,
}

/** The one quiet mark of the desk: that it is recorded and for how long; all orders are behind it. */
function RecordingMark({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const { recording, mine } = desk
  const pen = penOf(recording)
  const shown = (
    <Flex as="span" align="center" gap="8px" fontWeight="650">
      <Pen state={pen} size={30} />
      {WORDS[pen]}
      {(pen === 'on' || pen === 'paused') && <chakra.span fontFamily="mono">{say.min(minutes(recording, now))}</chakra.span>}
    </Flex>
  )
  if (!mayOrder(desk)) return shown
  return (
    <>
      <Opener onOpen={setAnchor}>
        <chakra.span display="block" border="1px solid" borderColor="lineStrong" borderRadius="3px" px="8px" py="1px" bg="sheet">
          {shown}
        </chakra.span>
      </Opener>
      {pen === 'on' && mine.recording.mayPause && (
        <chakra.span color="ink2">
          <Key>R</Key> {say.pauses}
        </chakra.span>
      )}
      <DeskMenu anchor={anchor} onClose={() => setAnchor(null)}>
        <Orders desk={desk} give={give} />
      </DeskMenu>
    </>
  )
}

/** In the menu of what is needed less often: a recording is started where the rules leave it open. */
export function InMore({ desk, give }: { desk: Desk; give: Give }) {
  const { recording, mine } = desk
  if (penOf(recording) !== 'off' || recording.mode === 'FORBIDDEN' || !mine.recording.mayStart) return null
  return (
    <Choice value="record" onSelect={() => give({ do: 'record' })}>
      {say.recordEverybodyIsToldTen}
    </Choice>
  )
}

/** Everything that can be ordered about it now. */
function Orders({ desk, give }: { desk: Desk; give: Give }) {
  const { phase, paused, mode } = desk.recording
  const { mayStart, mayPause, mayEnd } = desk.mine.recording
  const going = phase !== 'OFF' && phase !== 'ENDED'
  return (
    <>
      <MenuHead>{say.theRulesWantThisLesson(mode)}</MenuHead>
      {!going && mayStart && (
        <Choice value="record" onSelect={() => give({ do: 'record' })}>
          {say.recordEverybodyIsToldTen}
        </Choice>
      )}
      {phase === 'FAILED' && mayStart && (
        <Choice value="again" onSelect={() => give({ do: 'record' })}>
          {say.tryAgainNow}
        </Choice>
      )}
      {going && phase !== 'ANNOUNCED' && mayPause && !paused && (
        <>
          {REASONS.map(({ reason, says }) => (
            <Choice key={reason} value={reason} onSelect={() => give({ do: 'pause-recording', reason })}>
              {say.pause(says.toLowerCase())}
            </Choice>
          ))}
        </>
      )}
      {paused && mayPause && (
        <Choice value="on" onSelect={() => give({ do: 'recording-on' })}>
          {say.goOnRecording}
        </Choice>
      )}
      {going && mayEnd && (
        <Choice value="end" grave onSelect={() => give({ do: 'end-recording' })}>
          {say.callItOffEndTheRecording(phase)}
        </Choice>
      )}
      {going && !mayEnd && (
        <Box px="8px" py="4px" fontSize="12px" color="ink2">
          {say.theRulesLetNobodyHere}
        </Box>
      )}
    </>
  )
}

/** The line of the recording under the head: the mark, and what must not be overlooked beside it. */
export function UnderHead({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const { recording } = desk
  const pen = penOf(recording)
  if (pen === 'off') return null
  const asked = recording.paused && now - Date.parse(recording.paused.since) > recording.paused.asksAfterMinutes * 60_000
  const grave = recording.failure !== undefined || (asked && recording.required)
  return (
    <Flex
      gap="12px"
      align="center"
      wrap="wrap"
      px="16px"
      py="3px"
      fontSize="13px"
      bg={grave ? 'verdict.awaySoft' : 'sheet'}
      borderBottom="1px solid"
      borderColor={grave ? 'verdict.away' : 'line'}
    >
      <RecordingMark desk={desk} now={now} give={give} />
      <Flex role="status" gap="10px" align="center" wrap="wrap">
        {pen === 'soon' && recording.starts && <Soon desk={desk} now={now} give={give} />}
        {recording.paused && <Paused desk={desk} now={now} give={give} />}
        {recording.waiting && !recording.paused && (
          <span>
            <strong>{say.nothingIsRecordedForNow}</strong> {say.itGoesOnByItself(recording.waiting.says)}
          </span>
        )}
        {recording.failure && <span>{say.theRecorderDoesNotRecord(recording.failure.says)}</span>}
        {recording.unheard.length > 0 && <Unheard recording={recording} />}
      </Flex>
    </Flex>
  )
}

function Soon({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const seconds = Math.max(0, Math.ceil((Date.parse(desk.recording.starts ?? '') - now) / 1000))
  return (
    <>
      <span>
        <strong>{say.beginsInS(seconds)}</strong> {say.everybodyWasTold}
      </span>
      {mayOrder(desk) && desk.mine.recording.mayEnd && (
        <Button size="small" onClick={() => give({ do: 'end-recording' })}>
          {say.callItOff}
        </Button>
      )}
    </>
  )
}

function Paused({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const { paused } = desk.recording
  if (!paused) return null
  return (
    <>
      <span>
        <strong>{say.for(countdown(now - Date.parse(paused.since)))}</strong>: {paused.says} ({paused.by}).{' '}
        {paused.until ? say.goesOnByItself(countdown(Date.parse(paused.until) - now)) : say.itLastsUntilYouLet}
      </span>
      {mayOrder(desk) && desk.mine.recording.mayPause && (
        <>
          <Button size="small" look="main" onClick={() => give({ do: 'recording-on' })}>
            {say.goOnRecording} <Key>R</Key>
          </Button>
          {!paused.until &&
            [5, 10].map((each) => (
              <Button
                key={each}
                size="small"
                onClick={() => give({ do: 'pause-recording', reason: paused.reason, minutes: each })}
              >
                {say.byItselfInMin(each)}
              </Button>
            ))}
        </>
      )}
    </>
  )
}

const BECOMES: Record<Recording['unheard'][number]['what'], string> = {
  CLOSED: say.theirVoiceAndCameraAreClosed,
  WAITS: say.theRecordingWaitsWhileTheySpeak,
  NO_RECORDING: say.nothingIsRecordedWhile,
  NOT_ASKED: '',
}

const STANDING: Record<Recording['unheard'][number]['standing'], string> = {
  GIVEN: '',
  REFUSED: say.refused,
  WITHDRAWN: say.withdrawn,
  UNKNOWN: say.nothingIsKnown,
}

/** For whom and why; pupils are told for themselves alone. */
function Unheard({ recording }: { recording: Recording }) {
  const kinds = [...new Set(recording.unheard.map((one) => one.what))]
  return (
    <span>
      {kinds.map((what, place) => (
        <span key={what}>
          {place > 0 && ' · '}
          {say.notRecordedSaid(
            recording.unheard
              .filter((one) => one.what === what)
              .map((one) => `${one.name} (${STANDING[one.standing]})`)
              .join(', '),
            BECOMES[what],
          )}
        </span>
      ))}
    </span>
  )
}
