import { Box, chakra, Flex } from '@chakra-ui/react'
import { Link } from 'react-router'
import { say as staffSays } from '../../languages/en/staff/today'
import type { NextLesson, WorkingDay } from '../../shared/api/types'
import { until, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EachSecond } from '../../shared/ui/Clocks'

const WORDS: Record<NextLesson['nearness'], { say: string; act: string }> = {
  LIVE: { say: staffSays.isLiveEnds, act: staffSays.goToTheDesk },
  SHOULD_RUN: { say: staffSays.shouldHaveBegun, act: staffSays.openItNow },
  SOON: { say: staffSays.beginsIn, act: staffSays.getReady },
  LATER: { say: staffSays.beginsIn, act: staffSays.lookAhead },
}

/** The one lesson that is next, with the one act for it. */
export function NextBox({ next, waiting }: { next: NextLesson; waiting: WorkingDay['waiting'] }) {
  const time = useSchoolTime()
  const knocks = waiting.find((one) => one.duty === 'KNOCK')?.count ?? 0
  const end = Date.parse(next.nearness === 'LIVE' ? next.ends : next.starts)
  const pressing = next.nearness !== 'LATER'
  const words = WORDS[next.nearness]
  return (
    <Box
      as="section"
      aria-label={staffSays.yourNextLesson}
      bg={pressing ? 'markSoft' : 'sheet'}
      borderTop="3px double"
      borderBottom="1px solid"
      borderColor="ink"
      px="16px"
      py="12px"
      mb="16px"
    >
      <Flex justify="space-between" align="center" gap="16px" wrap="wrap">
        <Box minW="0" flex="1 1 260px">
          <chakra.h2 fontSize={{ base: '22px', md: '26px' }} overflowWrap="anywhere">
            {next.title}
          </chakra.h2>
          <p>
            {staffSays.to(time.clock(next.starts), time.clock(next.ends))}
            {next.nearness === 'LIVE' && knocks > 0 && (
              <chakra.strong fontWeight="650"> {staffSays.waitsAtTheDoorWait(knocks)}</chakra.strong>
            )}
          </p>
        </Box>
        <Box textAlign={{ base: 'left', md: 'right' }} whiteSpace="nowrap">
          <chakra.p fontSize="13px" color="ink2">
            {words.say}
          </chakra.p>
          {next.nearness !== 'SHOULD_RUN' && (
            <chakra.p fontFamily="mono" fontSize="26px" lineHeight="1.1" role="timer">
              <EachSecond>{(second) => until(end - second)}</EachSecond>
            </chakra.p>
          )}
        </Box>
        <Link to={`/lessons/${next.id}/desk`}>
          <Button as="span" size="large" look={pressing ? 'main' : 'plain'}>
            {words.act}
          </Button>
        </Link>
        <chakra.span fontSize="13px">
          <Link to={`/rules/lesson:${next.id}`}>{staffSays.rulesAndVisitors}</Link>
        </chakra.span>
      </Flex>
    </Box>
  )
}
