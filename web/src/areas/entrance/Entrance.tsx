import { Box, chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { say } from '../../languages/en/staff/entrance'

/** The page of somebody who is not in yet: a sheet of ledger paper with one thing to do. */
export function Entrance({ title, wide = false, children }: { title: string; wide?: boolean; children: ReactNode }) {
  return (
    <Box minH="100%" px="16px" py={{ base: '20px', md: '48px' }}>
      <Box
        as="main"
        maxW={wide ? '880px' : '440px'}
        mx="auto"
        bg="sheet"
        border="1px solid"
        borderColor="lineStrong"
        borderTop="3px double"
        borderTopColor="ink"
        px={{ base: '18px', md: '30px' }}
        py="22px"
        fontSize="15px"
      >
        <chakra.p fontFamily="heading" fontWeight="700" fontSize="17px" color="ink2">
          {say.juricast}
        </chakra.p>
        <chakra.h1 fontSize="26px" mb="14px">
          {title}
        </chakra.h1>
        {children}
      </Box>
    </Box>
  )
}
