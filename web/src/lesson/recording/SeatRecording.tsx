import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Seat } from '../../shared/api/types'
import { Sheet } from '../../shared/ui/Sheet'
import { Pen, type PenState } from './Pen'

type Recording = Seat['recording']

const PENS: Record<Recording['shown'], PenState> = { NOT: 'off', SOON: 'soon', ON: 'on', PAUSED: 'paused' }

/** What is called out when it changes. */
function said({ shown, starts }: Recording, now: number): string {
  switch (shown) {
    case 'SOON':
      return `A recording begins in ${Math.max(0, Math.ceil((Date.parse(starts ?? '') - now) / 1000))} seconds`
    case 'ON':
      return 'This lesson is recorded'
    case 'PAUSED':
      return 'The recording is paused'
    case 'NOT':
      return ''
  }
}

/** The mark that everybody sees all the time, from the door on. It opens what is recorded and who may see it later. */
export function Sign({ seat, now }: { seat: Seat; now: number }) {
  const [open, setOpen] = useState(false)
  const { recording } = seat
  // Who hears the page hears that it began, pauses and ends; a countdown would be said each second.
  const [last, setLast] = useState(recording.shown)
  const [news, setNews] = useState('')
  if (last !== recording.shown) {
    setLast(recording.shown)
    setNews(NEWS[recording.shown])
  }
  return (
    <>
      <chakra.span srOnly role="status">
        {recording.announced ? news : ''}
      </chakra.span>
      {recording.shown !== 'NOT' && (
        <chakra.button
          type="button"
          display="flex"
          alignItems="center"
          gap="8px"
          px="9px"
          py="3px"
          my="2px"
          fontSize="14px"
          fontWeight="600"
          bg={recording.shown === 'ON' ? 'markSoft' : 'sheet'}
          border="1.5px solid"
          borderColor="ink"
          borderRadius="3px"
          cursor="pointer"
          css={{ '@media (pointer: coarse)': { minHeight: '38px' } }}
          onClick={() => setOpen(true)}
        >
          <Pen state={PENS[recording.shown]} />
          {said(recording, now)}
        </chakra.button>
      )}
      <Sheet title="What is recorded, and who may see it" open={open} onClose={() => setOpen(false)}>
        <About seat={seat} />
      </Sheet>
    </>
  )
}

const NEWS: Record<Recording['shown'], string> = {
  NOT: 'The recording has ended.',
  SOON: 'A recording begins in a few seconds.',
  ON: 'The recording has begun. This lesson is recorded.',
  PAUSED: 'The recording is paused. Nothing is recorded.',
}

function list(people: string[]): string {
  return people.length < 2 ? people.join('') : `${people.slice(0, -1).join(', ')} and ${people.at(-1)}`
}

function About({ seat }: { seat: Seat }) {
  const { recording, mine } = seat
  const now = mine.recording?.now
  return (
    <Flex direction="column" gap="8px" fontSize="15px">
      <p>
        {recording.shown === 'ON'
          ? 'What is said to all, shown, written to the class and drawn on the board is recorded. What you write to a teacher alone, and what happens in groups, never is.'
          : 'At this moment nothing is recorded.'}
      </p>
      {now === 'CLOSED' && (
        <p>
          You are not to be recorded, so your microphone and camera are closed while it runs. You can write to your teachers at
          any time, and nobody else is told.
        </p>
      )}
      <p>
        Later it may be watched by {list(recording.watch) || 'nobody'}
        {recording.ask.length > 0 && `; ${list(recording.ask)} may ask to`}. It is deleted after {recording.keptDays} days.
      </p>
      <p>If your family does not want you to be recorded any more, tell your teacher: from then on you are left out of it.</p>
    </Flex>
  )
}

/** For who is not to be recorded: said kindly, to them alone. */
export function AtSeat({ seat }: { seat: Seat }) {
  if (seat.mine.recording?.now !== 'CLOSED') return null
  return (
    <Box
      role="status"
      mx="16px"
      mb="14px"
      px="12px"
      py="8px"
      bg="sheet"
      borderInlineStart="4px solid"
      borderColor="ink"
      fontSize="15px"
    >
      You are not recorded. While the recording runs your microphone and camera are closed; write to your teachers instead. They
      open again when it is paused.
    </Box>
  )
}
