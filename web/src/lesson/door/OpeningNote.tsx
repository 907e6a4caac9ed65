import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { say } from '../../languages/en/desk/door'
import { post } from '../../shared/api/http'
import type { Desk, Nudged } from '../../shared/api/types'
import { countdown, until, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { DeviceCheck } from '../../shared/devices/DeviceCheck'
import { ProblemNote } from '../../shared/ui/Notes'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import type { Give } from '../orders'
import { RehearseButton } from '../rehearsal/RehearseButton'
import { RunningOrderPlan } from '../rights/RunningOrderPlan'

/** One act for both: it opens, and those of the class who are not there are told that it begins. */
function OpenAndTell({ lesson, busy }: { lesson: string; busy: boolean }) {
  const path = `/api/lessons/${encodeURIComponent(lesson)}`
  const open = useMutation({
    mutationFn: async () => {
      await post(`${path}/open`, {})
      return post<Nudged>(`${path}/nudges`, {})
    },
  })
  return (
    <>
      <Button disabled={busy || open.isPending} onClick={() => open.mutate()}>
        {say.openAndTell}
      </Button>
      <ProblemNote problem={open.error} compact />
    </>
  )
}

/** Getting ready: who knocks is seen, nobody is let in, and looking opens nothing (need D1). */
export function OpeningNote({ desk, now, give, busy }: { desk: Desk; now: number; give: Give; busy: boolean }) {
  const time = useSchoolTime()
  const before = Date.parse(desk.starts) - now
  return (
    <Box px="14px" py="12px" overflowY="auto">
      <chakra.h2 fontSize="17px" mb="4px">
        {say.notOpenYet}
      </chakra.h2>
      <chakra.p color="ink2" mb="12px">
        {say.nobodyIs(before, until(before), time.clock(desk.starts))}
      </chakra.p>
      <Button look="main" size="large" disabled={busy} onClick={() => give({ do: 'open' })}>
        {say.openTheLesson}
      </Button>
      {!desk.rehearses && (
        <>
          <Box mt="8px">
            <OpenAndTell lesson={desk.lesson} busy={busy} />
          </Box>
          <Box mt="8px">
            <RehearseButton lesson={desk.lesson}>{say.rehearseItWithASimulatedClass}</RehearseButton>
          </Box>
        </>
      )}
      <Box mt="12px">
        <DeviceCheck />
      </Box>
      <chakra.h2 fontSize="15px" mt="18px" mb="4px">
        {say.whoKnocks}
      </chakra.h2>
      {desk.door.waiting.length === 0 && <chakra.p color="ink2">{say.nobodyYet}</chakra.p>}
      <Box aria-live="polite">
        {desk.door.waiting.map((one) => (
          <Flex key={one.visit} gap="7px" py="3px" borderBottom="1px dotted" borderColor="line">
            <VerdictMark verdict="wait" />
            <Box flex="1" overflowWrap="anywhere">
              {one.name}
              {!one.person && (
                <chakra.span fontSize="12px" color="verdict.wait">
                  {' '}
                  {say.notOnTheClassList}
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
