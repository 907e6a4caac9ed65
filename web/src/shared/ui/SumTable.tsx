import { Box, chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'

interface SumTableProps<T> {
  title: string
  rows: T[]
  name: (row: T) => string
  /** Where what a row is made of is shown. */
  to?: (row: T) => string
  /** The cells after the name. */
  children: (row: T) => ReactNode
}

/** Figures beside each other, each of something with a name; nothing if there are none. */
export function SumTable<T extends { id: string }>({ title, rows, name, to, children }: SumTableProps<T>) {
  if (rows.length === 0) return null
  return (
    <Box mb="16px">
      <chakra.h2 fontSize="17px" mb="4px">
        {title}
      </chakra.h2>
      <chakra.table
        w="100%"
        bg="sheet"
        borderTop="1.5px solid"
        borderColor="ink"
        css={{ '& td, & th': { padding: '3px 8px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' } }}
      >
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <chakra.th scope="row" fontWeight="400" whiteSpace="nowrap">
                {to ? <Link to={to(row)}>{name(row)}</Link> : name(row)}
              </chakra.th>
              {children(row)}
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}
