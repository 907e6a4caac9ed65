import { Box, chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { say } from '../../languages/en/staff/frame'
import { words } from '../../languages/language'
import { Problem } from '../api/http'

/** What went wrong, and what to do. Read out at once. */
export function ProblemNote({ problem, compact = false }: { problem: unknown; compact?: boolean }) {
  if (!problem) return null
  const body = problem instanceof Problem ? problem.body : undefined
  return (
    <Box
      role="alert"
      bg="verdict.awaySoft"
      borderInlineStart="4px solid"
      borderColor="verdict.away"
      px="12px"
      py={compact ? '4px' : '8px'}
      my={compact ? '4px' : '8px'}
    >
      <chakra.strong fontWeight="650">{body?.title ?? words().wentWrong}.</chakra.strong> {body?.detail} {body?.whatToDo}
      {body && body.wrong.length > 0 && (
        <chakra.ul ps="18px" listStyleType="disc">
          {body.wrong.map((one) => (
            <li key={one.field + one.message}>{one.message}</li>
          ))}
        </chakra.ul>
      )}
    </Box>
  )
}

/** Where there is nothing, say so and what comes next. */
export function EmptyNote({ children }: { children: ReactNode }) {
  return (
    <Box px="14px" py="18px" color="ink2" border="1px dashed" borderColor="lineStrong">
      {children}
    </Box>
  )
}

/** While something is fetched: words, never a bare spinner. @param says the whole sentence, where the page speaks other languages too */
export function LoadingNote({ what = '', says = say.fetching(what) }: { what?: string; says?: string }) {
  return (
    <Box role="status" px="14px" py="18px" color="ink2">
      {says}
    </Box>
  )
}
