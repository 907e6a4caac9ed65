import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Sheet } from '../../shared/ui/Sheet'
import { Pen, type PenState } from './Pen'

type Recording = Seat['recording']

const PENS: Record<Recording['shown'], PenState> = { NOT: 'off', SOON: 'soon', ON: 'on', PAUSED: 'paused' }

/** What is called out when it changes. */
function said({ shown, starts }: Recording, now: number): string {
  const say = seatWords()
  switch (shown) {
    case 'SOON':
      return say.recordingSoon(Math.max(0, Math.ceil((Date.parse(starts ?? '') - now) / 1000)))
    case 'ON':
      return say.isRecorded
    case 'PAUSED':
      return say.recordingPaused
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
    setNews(seatWords().recordingNews[recording.shown])
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
      <Sheet title={seatWords().recordingTitle} open={open} onClose={() => setOpen(false)}>
        <About seat={seat} />
      </Sheet>
    </>
  )
}

function list(people: string[]): string {
  return people.length < 2 ? people.join('') : `${people.slice(0, -1).join(', ')}${words().and}${people.at(-1)}`
}

function About({ seat }: { seat: Seat }) {
  const { recording, mine } = seat
  const now = mine.recording?.now
  const say = seatWords()
  return (
    <Flex direction="column" gap="8px" fontSize="15px">
      <p>{recording.shown === 'ON' ? say.whatIsRecorded : say.nothingRecorded}</p>
      {now === 'CLOSED' && <p>{say.youClosedWhile}</p>}
      <p>
        {say.watchedBy(list(recording.watch.map((role) => say.roles[role])) || say.nobody)}
        {recording.ask.length > 0 && say.mayAsk(list(recording.ask.map((role) => say.roles[role])))}.{' '}
        {say.deletedAfter(recording.keptDays)}
      </p>
      <p>{say.noMore}</p>
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
      {seatWords().notRecorded}
    </Box>
  )
}
