import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState, type ReactNode } from 'react'
import type { Desk } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Choice, DeskMenu, MenuHead, Opener } from '../DeskMenu'
import { mayOrder } from '../orders'
import type { OrderOf } from '../send'
import type { PauseReason, recordingOrders } from './orders'
import { Pen, type PenState } from './Pen'

type Give = (order: OrderOf<typeof recordingOrders>) => void
type Recording = Desk['recording']

export const REASONS: { reason: PauseReason; says: string }[] = [
  { reason: 'CONFIDES', says: 'Somebody confides' },
  { reason: 'HEALTH_OR_FAMILY', says: 'Health or family' },
  { reason: 'PERSONAL_DATA', says: 'Names, marks or addresses are shown' },
  { reason: 'BREAK', says: 'A break' },
  { reason: 'OTHER', says: 'Another reason' },
]

export function penOf({ phase, isRecording, paused, waiting }: Recording): PenState {
  if (phase === 'OFF' || phase === 'ENDED') return 'off'
  if (phase === 'ANNOUNCED') return 'soon'
  if (phase === 'FAILED') return 'failed'
  return isRecording && !paused && !waiting ? 'on' : 'paused'
}

/** How much was recorded until now, in minutes and seconds. */
function recorded({ recordedSeconds, runningSince }: Recording, now: number): string {
  const running = runningSince ? Math.max(0, now - Date.parse(runningSince)) : 0
  return countdown(recordedSeconds * 1000 + running)
}

const WORDS: Record<PenState, string> = {
  off: 'Not recorded',
  soon: 'Recording begins',
  on: 'Recording',
  paused: 'Recording paused',
  failed: 'Not recording',
}

/** The one quiet mark in the head: that it is recorded, for how long, and the key to pause. All else is behind it. */
export function InHead({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const { recording, mine } = desk
  const pen = penOf(recording)
  const orders = mayOrder(desk)
  if (pen === 'off' && (recording.mode === 'FORBIDDEN' || !orders || !mine.recording.mayStart)) return null
  const on = pen === 'on' || pen === 'paused'
  const grave = pen === 'failed' || (pen === 'paused' && recording.required)
  return (
    <>
      <Opener onOpen={setAnchor}>
        <Flex
          align="center"
          gap="6px"
          px="8px"
          py="2px"
          border="1.5px solid"
          borderColor={grave ? 'verdict.away' : pen === 'off' ? 'lineStrong' : 'ink'}
          borderRadius="3px"
          bg={pen === 'on' ? 'markSoft' : 'sheet'}
          color={grave ? 'verdict.away' : 'ink'}
          fontWeight={pen === 'off' ? 400 : 600}
        >
          <Pen state={pen} />
          {WORDS[pen]}
          {on && <chakra.span fontFamily="mono">{recorded(recording, now)}</chakra.span>}
          {on && mine.recording.mayPause && <Key>R</Key>}
        </Flex>
      </Opener>
      <DeskMenu anchor={anchor} onClose={() => setAnchor(null)}>
        <Orders desk={desk} give={give} />
      </DeskMenu>
    </>
  )
}

/** Everything that can be ordered about it now. */
function Orders({ desk, give }: { desk: Desk; give: Give }) {
  const { phase, paused, mode } = desk.recording
  const { mayStart, mayPause, mayEnd } = desk.mine.recording
  const going = phase !== 'OFF' && phase !== 'ENDED'
  return (
    <>
      <MenuHead>
        {mode === 'REQUIRED'
          ? 'The rules want this lesson recorded'
          : mode === 'OPTIONAL'
            ? 'May be recorded'
            : 'Not to be recorded'}
      </MenuHead>
      {!going && mayStart && (
        <Choice value="record" onSelect={() => give({ do: 'record' })}>
          Record: everybody is told ten seconds before
        </Choice>
      )}
      {phase === 'FAILED' && mayStart && (
        <Choice value="again" onSelect={() => give({ do: 'record' })}>
          Try again now
        </Choice>
      )}
      {going && phase !== 'ANNOUNCED' && mayPause && !paused && (
        <>
          {REASONS.map(({ reason, says }) => (
            <Choice key={reason} value={reason} onSelect={() => give({ do: 'pause-recording', reason })}>
              Pause: {says.toLowerCase()}
            </Choice>
          ))}
        </>
      )}
      {paused && mayPause && (
        <Choice value="on" onSelect={() => give({ do: 'recording-on' })}>
          Go on recording
        </Choice>
      )}
      {going && mayEnd && (
        <Choice value="end" grave onSelect={() => give({ do: 'end-recording' })}>
          {phase === 'ANNOUNCED' ? 'Call it off' : 'End the recording'}
        </Choice>
      )}
      {going && !mayEnd && (
        <Box px="8px" py="4px" fontSize="12px" color="ink2">
          The rules let nobody here end it before the lesson.
        </Box>
      )}
    </>
  )
}

/** What must not be overlooked: that it begins, is paused, waits or fails, and who is not recorded. */
export function UnderHead({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const { recording, mine } = desk
  const pen = penOf(recording)
  if (pen === 'off') return null
  return (
    <Box role="status">
      {pen === 'soon' && recording.starts && (
        <Line>
          <strong>Recording begins in {Math.max(0, Math.ceil((Date.parse(recording.starts) - now) / 1000))} s.</strong> Everybody
          was told.
          {mayOrder(desk) && mine.recording.mayEnd && (
            <Button size="small" onClick={() => give({ do: 'end-recording' })}>
              Call it off
            </Button>
          )}
        </Line>
      )}
      {recording.paused && <Paused desk={desk} now={now} give={give} />}
      {recording.waiting && !recording.paused && (
        <Line>
          <strong>Nothing is recorded for now:</strong> {recording.waiting.says}. It goes on by itself.
        </Line>
      )}
      {recording.failure && (
        <Line grave>The recorder does not record: {recording.failure.says}. It is asked again and again by itself.</Line>
      )}
      {recording.unheard.length > 0 && <Unheard recording={recording} />}
    </Box>
  )
}

function Paused({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const { paused, required } = desk.recording
  if (!paused) return null
  const since = now - Date.parse(paused.since)
  const long = since > paused.asksAfterMinutes * 60_000
  const may = mayOrder(desk) && desk.mine.recording.mayPause
  return (
    <Line grave={long && required}>
      <strong>Paused for {countdown(since)}</strong>: {paused.says} ({paused.by}).{' '}
      {paused.until ? `Goes on by itself in ${countdown(Date.parse(paused.until) - now)}.` : 'It lasts until you let it go on.'}
      {may && (
        <>
          <Button size="small" look="main" onClick={() => give({ do: 'recording-on' })}>
            Go on recording <Key>R</Key>
          </Button>
          {!paused.until &&
            [5, 10].map((minutes) => (
              <Button key={minutes} size="small" onClick={() => give({ do: 'pause-recording', reason: paused.reason, minutes })}>
                by itself in {minutes} min
              </Button>
            ))}
        </>
      )}
    </Line>
  )
}

const BECOMES: Record<Recording['unheard'][number]['what'], string> = {
  CLOSED: 'voice and camera closed while recording',
  WAITS: 'the recording waits while they speak',
  NO_RECORDING: 'nothing is recorded while they are here',
  NOT_ASKED: '',
}

const STANDING: Record<Recording['unheard'][number]['standing'], string> = {
  GIVEN: '',
  REFUSED: 'refused',
  WITHDRAWN: 'withdrawn',
  UNKNOWN: 'nothing is known',
}

/** For whom and why; pupils are told for themselves alone. */
function Unheard({ recording }: { recording: Recording }) {
  const kinds = [...new Set(recording.unheard.map((one) => one.what))]
  return (
    <Line>
      <span>
        {kinds.map((what, place) => (
          <span key={what}>
            {place > 0 && ' · '}
            Not to be recorded:{' '}
            {recording.unheard
              .filter((one) => one.what === what)
              .map((one) => `${one.name} (${STANDING[one.standing]})`)
              .join(', ')}
            , so {BECOMES[what]}
          </span>
        ))}
      </span>
    </Line>
  )
}

function Line({ grave = false, children }: { grave?: boolean; children: ReactNode }) {
  return (
    <Flex
      gap="10px"
      align="center"
      wrap="wrap"
      px="16px"
      py="3px"
      fontSize="13px"
      bg={grave ? 'verdict.awaySoft' : 'sheet'}
      borderBottom="1px solid"
      borderColor={grave ? 'verdict.away' : 'line'}
    >
      {children}
    </Flex>
  )
}
