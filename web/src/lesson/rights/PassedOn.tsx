import { Box } from '@chakra-ui/react'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'

/** Said to everybody in the room. */
export function PassedOn({ by }: { by: string[] }) {
  return (
    <Box
      role="status"
      px={{ base: '14px', md: '22px' }}
      py="5px"
      bg="verdict.waitSoft"
      borderBottom="1px solid"
      borderColor="verdict.wait"
      fontSize="14px"
    >
      {seatWords().passedOn(by.join(words().and))}
    </Box>
  )
}
