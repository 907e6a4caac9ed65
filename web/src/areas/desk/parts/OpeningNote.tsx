import { Box, chakra, Flex } from '@chakra-ui/react'
import { Link } from 'react-router'
import type { Desk } from '../../../shared/api/types'
import { countdown, useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { DeviceCheck } from '../../../shared/devices/DeviceCheck'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import type { Give } from '../api'
import { RunningOrderPlan } from './RunningOrderPlan'

/** Getting ready: who knocks is seen, nobody is let in, and looking opens nothing (need D1). */
export function OpeningNote({ desk, now, give, busy }: { desk: Desk; now: number; give: Give; busy: boolean }) {
  const time = useSchoolTime()
  const before = Date.parse(desk.starts) - now
  return (
    <Box px="14px" py="12px" overflowY="auto">
      <chakra.h2 fontSize="17px" mb="4px">
        Not open yet
      </chakra.h2>
      <chakra.p color="ink2" mb="12px">
        {before > 0
          ? `Begins in ${countdown(before)}, at ${time.clock(desk.starts)}.`
          : `Should have begun at ${time.clock(desk.starts)}.`}{' '}
        Nobody is in. When you open, you are in first; pupils then wait or walk in as the door says.
      </chakra.p>
      <Button look="main" size="large" disabled={busy} onClick={() => give({ do: 'open' })}>
        Open the lesson
      </Button>
      <Box mt="12px">
        <DeviceCheck />
      </Box>
      <chakra.h2 fontSize="15px" mt="18px" mb="4px">
        Who knocks
      </chakra.h2>
      {desk.waiting.length === 0 && <chakra.p color="ink2">Nobody yet.</chakra.p>}
      <Box aria-live="polite">
        {desk.waiting.map((one) => (
          <Flex key={one.visit} gap="7px" py="3px" borderBottom="1px dotted" borderColor="line">
            <VerdictMark verdict="wait" />
            <Box flex="1" overflowWrap="anywhere">
              {one.name}
              {!one.person && (
                <chakra.span fontSize="12px" color="verdict.wait">
                  {' '}
                  not on the class list
                </chakra.span>
              )}
            </Box>
            <chakra.span fontFamily="mono" fontSize="12px" color="ink2">
              {countdown(now - Date.parse(one.since))}
            </chakra.span>
          </Flex>
        ))}
      </Box>
      <RunningOrderPlan desk={desk} give={give} />
    </Box>
  )
}

const CLOSING: Record<Desk['ending']['closing'][number]['step'], (count: number) => string> = {
  LINK_RETIRED: () => 'The link counts no more; a new one is on the class page.',
  CHAT_KEPT: (count) =>
    count === 0 ? 'Nothing was written.' : `${count} ${count === 1 ? 'message' : 'messages'} kept in the record.`,
  BOARD_KEPT: (count) =>
    count === 0 ? 'The board was empty.' : `The board is kept, with ${count} ${count === 1 ? 'line' : 'lines'}.`,
  REGISTER_DRAFTED: (count) => `The register is drafted: ${count} ${count === 1 ? 'was' : 'were'} here.`,
}

/** After the dismissal: what was done by itself, who has not gone yet, and the register. */
export function OverNote({ desk }: { desk: Desk }) {
  const time = useSchoolTime()
  return (
    <Box px="14px" py="12px">
      <chakra.h2 fontSize="17px" mb="4px">
        Dismissed at {desk.dismissedAt ? time.clock(desk.dismissedAt) : ''}
      </chakra.h2>
      <chakra.p color="ink2" mb="12px">
        The door is shut. This was done by itself:
      </chakra.p>
      <chakra.ul mb="12px" pl="18px" listStyleType="'✓  '">
        {desk.ending.closing.map((one) => (
          <li key={one.step}>{CLOSING[one.step](one.count)}</li>
        ))}
      </chakra.ul>
      <Box role="status" mb="14px">
        <chakra.h3 fontSize="15px">
          {desk.ending.leaving.length === 0 ? 'Everyone has gone' : `${desk.ending.leaving.length} still leaving`}
        </chakra.h3>
        <chakra.p color="ink2">
          {desk.ending.leaving.length === 0 ? 'No device of a pupil is in the room any more.' : desk.ending.leaving.join(', ')}
        </chakra.p>
      </Box>
      <Link to={`/lessons/${desk.lesson}/register`}>
        <Button as="span" look="main" size="large">
          Look at the register
        </Button>
      </Link>
    </Box>
  )
}
