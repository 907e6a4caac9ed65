import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/today'
import { get } from '../../shared/api/http'
import type { Corridor, LessonLine } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Until } from '../../shared/ui/Clocks'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'
import { VerdictMark } from '../../shared/ui/VerdictMark'

const SHOWN = 5

/** The school as it is now, worst first, and the bell to come: what a lead looks at first. */
export function SchoolNow({ lessons, now }: { lessons: LessonLine[]; now: number }) {
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['corridor'],
    queryFn: () => get<Corridor>('/api/corridor'),
    refetchInterval: 5_000,
  })
  if (error && !data) return <ProblemNote problem={error} compact />
  if (!data) return null
  const worried = data.lessons.filter((one) => one.alerts.length > 0)
  const bell = lessons.filter((one) => Date.parse(one.starts) > now).map((one) => one.starts)[0]
  const ringing = lessons.filter((one) => one.starts === bell)
  return (
    <Box as="section" aria-label={say.theSchoolNow} mb="16px" bg="sheet" borderTop="3px double" borderColor="ink">
      <Flex px="12px" py="8px" gap="18px" wrap="wrap" align="baseline" borderBottom="1px solid" borderColor="line">
        <chakra.h2 fontSize="18px">{say.noLessonIsLiveLive(data.live, data.pupils)}</chakra.h2>
        {bell && (
          <chakra.span color="ink2">
            {say.nextBellIn(time.clock(bell))}{' '}
            <chakra.span fontFamily="mono" role="timer">
              <Until at={bell} />
            </chakra.span>
            : {ringing.length === 1 ? ringing[0]?.title : say.lessonsBegin(ringing.length)}
          </chakra.span>
        )}
        <Box flex="1" />
        <Link to="/corridor">{say.corridor}</Link>
      </Flex>
      {worried.length === 0 && data.live > 0 && (
        <chakra.p px="12px" py="8px" color="ink2">
          {say.allIsWell}
        </chakra.p>
      )}
      {worried.slice(0, SHOWN).map((line) => {
        const alert = line.alerts[0]
        return (
          <Flex
            key={line.lesson}
            px="12px"
            py="6px"
            gap="10px"
            align="center"
            borderBottom="1px solid"
            borderColor="line"
            bg={line.alerts.some((one) => one.grave && !one.takenBy) ? 'verdict.awaySoft' : 'transparent'}
          >
            <VerdictMark verdict={alert?.grave ? 'away' : 'wait'} />
            <Box flex="1" minW="0">
              <chakra.span fontWeight="650">{line.title}</chakra.span> {alert?.text}
              {alert?.takenBy && <chakra.span color="ink2"> {say.toIt(alert.mine, alert.takenBy)}</chakra.span>}
              {line.alerts.length > 1 && <chakra.span color="ink2"> {say.andMore(line.alerts.length - 1)}</chakra.span>}
            </Box>
            <Link to={`/lessons/${line.lesson}/desk`}>
              <Button as="span">{say.lookIn}</Button>
            </Link>
          </Flex>
        )
      })}
      {worried.length > SHOWN && (
        <chakra.p px="12px" py="6px">
          <Link to="/corridor">{say.moreInTheCorridor(worried.length - SHOWN)}</Link>
        </chakra.p>
      )}
    </Box>
  )
}
