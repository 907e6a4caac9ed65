import { Box, chakra } from '@chakra-ui/react'
import { Link } from 'react-router'
import type { Desk } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'

const CLOSING: Record<Desk['ending']['closing'][number]['step'], (count: number) => string> = {
  LINK_RETIRED: () => 'The link counts no more; a new one is on the class page.',
  GROUPS_CLOSED: (count) => `${count} groups were together again.`,
  CHAT_KEPT: (count) =>
    count === 0 ? 'Nothing was written.' : `${count} ${count === 1 ? 'message' : 'messages'} kept in the record.`,
  BOARD_KEPT: (count) =>
    count === 0 ? 'The board was empty.' : `The board is kept, with ${count} ${count === 1 ? 'line' : 'lines'}.`,
  RECORDING_KEPT: (count) => `The recording is kept: ${count} ${count === 1 ? 'minute' : 'minutes'}.`,
  REGISTER_DRAFTED: (count) => `The register is drafted: ${count} ${count === 1 ? 'was' : 'were'} here.`,
}

/** After the dismissal: what was done by itself, who has not gone yet, and the register. */
export function OverNote({ desk }: { desk: Desk }) {
  const time = useSchoolTime()
  return (
    <Box px="14px" py="12px">
      <chakra.h2 fontSize="17px" mb="4px">
        Dismissed at {desk.door.dismissedAt ? time.clock(desk.door.dismissedAt) : ''}
      </chakra.h2>
      <chakra.p color="ink2" mb="12px">
        The door is shut. This was done by itself:
      </chakra.p>
      <chakra.ul mb="12px" ps="18px" listStyleType="'✓  '">
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
