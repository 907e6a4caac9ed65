import { Box, chakra } from '@chakra-ui/react'
import { Link } from 'react-router'
import type { NamedRate } from '../../shared/api/types'
import { RateBar, rateWords } from './RateBar'

interface RatesProps {
  title: string
  rates: NamedRate[]
  name?: (one: NamedRate) => string
  /** Where the lessons behind a rate are shown. */
  to?: (one: NamedRate) => string
}

/** Rates beside each other, as bars with their numbers. */
export function Rates({ title, rates, name = (one) => one.name, to }: RatesProps) {
  if (rates.length === 0) return null
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
          {rates.map((one) => (
            <tr key={one.id}>
              <chakra.th scope="row" fontWeight="400" whiteSpace="nowrap">
                {to ? <Link to={to(one)}>{name(one)}</Link> : name(one)}
              </chakra.th>
              <chakra.td w="138px">
                <RateBar rate={one.rate} width={64} />
              </chakra.td>
              <chakra.td fontSize="12.5px" color="ink2">
                {rateWords(one.rate)}
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}
