import { Box, chakra } from '@chakra-ui/react'
import { Link } from 'react-router'
import { say } from '../../../languages/en/staff/desk'
import type { Problem } from '../../../shared/api/http'
import { ProblemNote } from '../../../shared/ui/Notes'

/** One may not look any more: signed out, or no adult of this lesson now. Nothing of it stays on the screen. */
export function NoDesk({ problem }: { problem: Problem }) {
  return (
    <Box maxW="640px" mx="auto" px="20px" py="30px">
      <chakra.h1 fontSize="23px" mb="8px">
        {say.thisDeskIsClosed}
      </chakra.h1>
      <ProblemNote problem={problem} />
      <Link to="/today">
        <chakra.span textDecoration="underline">{say.toYourOwnPage}</chakra.span>
      </Link>
    </Box>
  )
}
