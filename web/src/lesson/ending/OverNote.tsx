import { Box, chakra } from '@chakra-ui/react'
import { Link } from 'react-router'
import { say } from '../../languages/en/desk/ending'
import type { Desk } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'

const CLOSING: Record<Desk['ending']['closing'][number]['step'], (count: number) => string> = {
  LINK_RETIRED: () => say.theLinkCountsNoMore,
  GROUPS_CLOSED: (count) => say.groupsWereTogetherAgain(count),
  CHAT_KEPT: (count) => (count === 0 ? say.nothingWasWritten : say.keptInTheRecord(count)),
  BOARD_KEPT: (count) => (count === 0 ? say.theBoardWasEmpty : say.theBoardIsKept(count)),
  RECORDING_KEPT: (count) => say.theRecordingIsKept(count),
  REGISTER_DRAFTED: (count) => say.theRegisterIsDraftedHere(count),
}

/** After the dismissal: what was done by itself, who has not gone yet, and the register. */
export function OverNote({ desk }: { desk: Desk }) {
  const time = useSchoolTime()
  return (
    <Box px="14px" py="12px">
      <chakra.h2 fontSize="17px" mb="4px">
        {say.dismissedAt(desk.door.dismissedAt ? time.clock(desk.door.dismissedAt) : '')}
      </chakra.h2>
      <chakra.p color="ink2" mb="12px">
        {say.theDoorIsShut}
      </chakra.p>
      <chakra.ul mb="12px" ps="18px" listStyleType="'✓  '">
        {desk.ending.closing.map((one) => (
          <li key={one.step}>{CLOSING[one.step](one.count)}</li>
        ))}
      </chakra.ul>
      <Box role="status" mb="14px">
        <chakra.h3 fontSize="15px">{say.everyoneHasGoneStillLeaving(desk.ending.leaving.length)}</chakra.h3>
        <chakra.p color="ink2">{say.noDeviceOfAPupil(desk.ending.leaving.length, desk.ending.leaving.join(', '))}</chakra.p>
      </Box>
      <Link to={`/lessons/${desk.lesson}/register`}>
        <Button as="span" look="main" size="large">
          {say.lookAtTheRegister}
        </Button>
      </Link>
    </Box>
  )
}
