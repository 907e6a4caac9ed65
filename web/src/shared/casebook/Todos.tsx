import { Box, Flex } from '@chakra-ui/react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/shared'
import type { TodoLine } from '../api/types'
import { useSchoolTime } from '../time'

/** The most urgent first; what is late, or due today, in the highlighter. */
export function Todos({ todos }: { todos: TodoLine[] }) {
  const time = useSchoolTime()
  return (
    <Flex as="ul" direction="column" gap="8px" listStyleType="none">
      {todos.map((one) => (
        <Box
          as="li"
          key={`${one.incident} ${one.number}`}
          bg={one.late ? 'markSoft' : 'transparent'}
          borderInlineStart="4px solid"
          borderColor={one.late ? 'mark' : 'lineStrong'}
          px="9px"
          py="5px"
        >
          <Link to={`/casebook/${one.incident}`}>
            <strong>{one.what}</strong>
          </Link>
          <Box fontSize="13px" color="ink2">
            {say.no(one.whoName, one.late, time.day(`${one.until}T12:00:00Z`), one.incident)}
          </Box>
        </Box>
      ))}
    </Flex>
  )
}
