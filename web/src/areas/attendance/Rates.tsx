import { chakra } from '@chakra-ui/react'
import type { NamedRate } from '../../shared/api/types'
import { SumTable } from '../../shared/ui/SumTable'
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
  return (
    <SumTable title={title} rows={rates} name={name} to={to}>
      {(one) => (
        <>
          <chakra.td w="138px">
            <RateBar rate={one.rate} width={64} />
          </chakra.td>
          <chakra.td fontSize="12.5px" color="ink2">
            {rateWords(one.rate)}
          </chakra.td>
        </>
      )}
    </SumTable>
  )
}
