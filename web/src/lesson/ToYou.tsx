import { chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'

/** Something for this one pupil, over everything else of the seat until it is answered. @param acts the buttons */
export function ToYou({ label, acts, children }: { label: string; acts: ReactNode; children: ReactNode }) {
  return (
    <Flex
      role="group"
      aria-label={label}
      bg="markSoft"
      borderBottom="1px solid"
      borderColor="ink"
      px={{ base: '14px', md: '22px' }}
      py="8px"
      gap="10px"
      align="center"
      wrap="wrap"
    >
      <chakra.div role="status" flex="1 1 260px" overflowWrap="anywhere">
        {children}
      </chakra.div>
      {acts}
    </Flex>
  )
}
