import { Box, chakra, Flex } from '@chakra-ui/react'
import { say } from '../../../languages/en/staff/inspection'
import type { InspectedDay } from '../../../shared/api/types'

/** How it stood on the days somebody looked: columns to compare by height, with their numbers for who cannot see them. */
export function Trend({ days }: { days: InspectedDay[] }) {
  if (days.length < 2) {
    return (
      <chakra.p color="ink2" fontSize="13px" maxW="200px">
        {say.theTrendBeginsToday}
      </chakra.p>
    )
  }
  const [first] = days
  const last = days.at(-1)
  const most = Math.max(1, ...days.map((one) => one.dangers + one.weak))
  return (
    <Box as="figure" aria-label={say.dangersAndWeakSpotsOverTime} role="figure">
      <Flex align="end" gap="2px" h="42px" borderBottom="1px solid" borderColor="ink" aria-hidden>
        {days.map((one) => (
          <Flex key={one.day} direction="column" justify="end" w="9px" h="100%" title={`${one.day}: ${words(one)}`}>
            <Box bg="verdict.away" style={{ height: `${(100 * one.dangers) / most}%` }} />
            <Box
              color="verdict.wait"
              border="1px solid"
              backgroundImage="repeating-linear-gradient(115deg, currentColor 0 2px, transparent 2px 5px)"
              style={{ height: `${(100 * one.weak) / most}%` }}
            />
          </Flex>
        ))}
      </Flex>
      <chakra.figcaption fontSize="12px" color="ink2">
        {first && say.on(words(first), first.day.slice(5))} → {last && words(last)} {say.today}
      </chakra.figcaption>
    </Box>
  )
}

const words = (day: InspectedDay) => `${day.dangers} + ${day.weak}`
