import { Box, chakra, Flex } from '@chakra-ui/react'
import type { Rate } from '../../shared/api/types'

/** A rate as a bar with its number; one from few lessons is drawn hatched and says so. */
export function RateBar({ rate, width = 90 }: { rate: Rate; width?: number }) {
  if (rate.rate === undefined) return <chakra.span color="ink2">nobody expected</chakra.span>
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
    `${rate.attended} of ${rate.expected} times`,
    rate.late > 0 && `${rate.late} late`,
    rate.early > 0 && `${rate.early} left early`,
    rate.partly > 0 && `${rate.partly} in part`,
    rate.excused > 0 && `${rate.excused} excused besides`,
    rate.small && 'so few say little',
  ]
  return parts.filter(Boolean).join(', ')
}
