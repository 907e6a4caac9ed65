import { Box, chakra, Grid } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/replay'
import type { Replay } from '../../shared/api/types'
import { countdown, useSchoolTime } from '../../shared/time'

/** Who was in which group and when, how long each was without an adult, and who met that is kept apart. */
export function InGroups({ replay }: { replay: Replay }) {
  const time = useSchoolTime()
  if (replay.groups.length === 0) return null
  const names = [...new Set(replay.groups.map((one) => one.group))].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }))
  const alone = new Map(replay.aloneInGroups.map((one) => [one.group, one.seconds]))
  return (
    <Box as="section" aria-label={say.inGroups} mt="18px">
      <chakra.h2 fontSize="17px">{say.inGroups}</chakra.h2>
      {replay.keptApart.map((met) => (
        <Box key={`${met.one} ${met.other} ${met.from}`} color="verdict.away" fontWeight="650">
          {say.andAreKeptApart(
            met.one,
            met.other,
            met.reason && ` (${met.reason})`,
            met.group,
            time.clock(met.from),
            time.clock(met.until),
          )}
        </Box>
      ))}
      <Grid templateColumns={{ base: '1fr', md: 'repeat(2, 1fr)', xl: 'repeat(4, 1fr)' }} gap="14px" mt="6px">
        {names.map((name) => (
          <Box key={name} bg="sheet" borderTop="1.5px solid" borderColor="ink" px="10px" py="5px">
            <chakra.h3 fontSize="15px">{name}</chakra.h3>
            <Box fontSize="12.5px" color="ink2">
              {(alone.get(name) ?? 0) > 0
                ? say.withoutAnAdult(countdown((alone.get(name) ?? 0) * 1000))
                : say.alwaysSeenByAnAdult}
            </Box>
            {replay.groups
              .filter((one) => one.group === name)
              .map((one) => (
                <Box key={`${one.person} ${one.from}`}>
                  {one.person}{' '}
                  <chakra.span fontFamily="mono" fontSize="12px" color="ink2">
                    {time.clock(one.from)}–{time.clock(one.until)}
                  </chakra.span>
                </Box>
              ))}
          </Box>
        ))}
      </Grid>
    </Box>
  )
}
