import { Box, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'
import { Labelled, Select } from './Fields'

interface ColumnPickerProps<Part extends string> {
  heading: string[]
  /** Which column was read as what, from 0, or -1. */
  columns: Record<Part, number>
  parts: { part: Part; label: string }[]
  /** What was said last, as it is sent: it counts also while its preview is on the way. */
  said: string
  onColumns: (columns: string) => void
}

/** Which column of a table holds what: as it was read, or as a person says. */
export function ColumnPicker<Part extends string>({ heading, columns, parts, said, onColumns }: ColumnPickerProps<Part>) {
  const numbers = said ? said.split(',').map(Number) : parts.map(({ part }) => columns[part])
  return (
    <Flex gap="10px" wrap="wrap">
      {parts.map(({ part, label }, at) => (
        <Box key={part} w="150px" fontSize="13px">
          <Labelled label={label}>
            {(id) => (
              <Select
                id={id}
                py="2px"
                value={numbers[at]}
                onChange={(event) =>
                  onColumns(numbers.map((one, other) => (other === at ? Number(event.target.value) : one)).join(','))
                }
              >
                <option value={-1}>{say.none}</option>
                {heading.map((one, place) => (
                  <option key={place} value={place}>
                    {one || say.column(place + 1)}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        </Box>
      ))}
    </Flex>
  )
}
