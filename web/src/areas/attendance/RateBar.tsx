import { Box, chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/attendance'
import type { Rate } from '../../shared/api/types'

/** A rate as a bar with its number; one from few lessons is drawn hatched and says so. */
export function RateBar({ rate, width = 90 }: { rate: Rate; width?: number }) {
  if (rate.rate === undefined) return <chakra.span color="ink2">{say.nobodyExpected}</chakra.span>
  const low = rate.rate < 80
  return (
    <Flex align="center" gap="8px" title={rateWords(rate)}>
      <Box w={`${width}px`} h="9px" border="1px solid" borderColor="ink" bg="sheet" flexShrink={0} aria-hidden="true">
        <Box
          h="100%"
          w={`${rate.rate}%`}
          color={low ? 'verdict.away' : 'verdict.in'}
          css={{
            background: rate.small ? 'repeating-linear-gradient(45deg, currentColor 0 2px, transparent 2px 4px)' : 'currentColor',
          }}
        />
      </Box>
      <chakra.span fontFamily="mono" fontSize="13px" whiteSpace="nowrap" fontWeight={low ? 650 : 400}>
        {rate.rate} %
      </chakra.span>
    </Flex>
  )
}

/** The same in words. */
export function rateWords(rate: Rate): string {
  const parts = [
    say.timesOf(rate.attended, rate.expected),
    rate.late > 0 && say.late(rate.late),
    rate.early > 0 && say.leftEarly(rate.early),
    rate.partly > 0 && say.inPart(rate.partly),
    rate.excused > 0 && say.excusedBesides(rate.excused),
    rate.small && say.soFewSayLittle,
  ]
  return parts.filter(Boolean).join(', ')
}
