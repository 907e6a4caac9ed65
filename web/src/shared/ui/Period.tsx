import { Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'
import { TextInput } from './Fields'

/** Which days are looked at. Both count. */
export function Period({
  from,
  until,
  onChange,
}: {
  from: string
  until: string
  onChange: (next: { from: string; until: string }) => void
}) {
  return (
    <Flex gap="6px" align="center">
      <TextInput
        type="date"
        w="150px"
        aria-label={say.from}
        value={from}
        onChange={(event) => event.target.value && onChange({ from: event.target.value, until })}
      />
      <span>{say.to}</span>
      <TextInput
        type="date"
        w="150px"
        aria-label={say.until}
        value={until}
        onChange={(event) => event.target.value && onChange({ from, until: event.target.value })}
      />
    </Flex>
  )
}

/** What the address says of it, for the server, which knows what is usual. */
export function periodOf(search: URLSearchParams): string {
  return new URLSearchParams({ from: search.get('from') ?? '', until: search.get('until') ?? '' }).toString()
}
