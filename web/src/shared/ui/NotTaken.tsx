import { Box } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'

/** What of a file is not taken, each with its line; told beside what would change, so that nothing is lost unseen. */
export function NotTaken({
  what,
  all,
  wrong,
  mild = false,
}: {
  what: string
  all?: number
  /** Whether it is taken all the same, and only to be known. */
  mild?: boolean
  wrong: { file?: string; line: number; message: string }[]
}) {
  if (wrong.length === 0) return null
  return (
    <Box
      bg={mild ? 'paper' : 'verdict.awaySoft'}
      borderInlineStart="4px solid"
      borderColor={mild ? 'line' : 'verdict.away'}
      px="10px"
      py="5px"
      my="6px"
      maxH="180px"
      overflowY="auto"
      tabIndex={0}
      role="region"
      aria-label={mild ? say.whatIsTaken : say.whatIsNotTaken}
    >
      <strong>{what}</strong>
      {wrong.map((one) => (
        <Box key={`${one.file}${one.line}${one.message}`} overflowWrap="anywhere">
          {[one.file, one.line > 0 && `${one.file ? say.line : say.lineWord} ${one.line}`].filter(Boolean).join(', ')}
          {(one.file || one.line > 0) && ': '}
          {one.message}
        </Box>
      ))}
      {all !== undefined && all > wrong.length && <Box>{say.andMore(all - wrong.length)}</Box>}
    </Box>
  )
}
