import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Guide } from '../../shared/ui/Guide'

/** A calm page with one message, for somebody at the door or on the way out. */
export function Quiet({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box minH="100%" px="16px" py={{ base: '16px', md: '56px' }} fontSize="17px">
      <Box
        as="main"
        maxW="560px"
        mx="auto"
        bg="sheet"
        border="1px solid"
        borderColor="lineStrong"
        borderTop="3px double"
        borderTopColor="ink"
        px={{ base: '18px', md: '32px' }}
        py="24px"
      >
        <Flex justify="space-between" align="start" gap="10px">
          <chakra.h1 fontSize={{ base: '24px', md: '29px' }} mb="8px">
            {title}
          </chakra.h1>
          <Guide />
        </Flex>
        {children}
      </Box>
    </Box>
  )
}
