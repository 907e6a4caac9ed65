import { Box } from '@chakra-ui/react'

/** Said to everybody in the room. */
export function PassedOn({ by }: { by: string[] }) {
  return (
    <Box
      role="status"
      px="14px"
      py="5px"
      bg="verdict.waitSoft"
      borderBottom="1px solid"
      borderColor="verdict.wait"
      fontSize="14px"
    >
      This lesson is passed on to people outside the room, by {by.join(' and ')}.
    </Box>
  )
}
