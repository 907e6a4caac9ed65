import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/results'
import { get } from '../../shared/api/http'
import type { ClassMerits } from '../../shared/api/types'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'

/** Merits of a class over weeks; those with fewest stand first, so that nobody is overlooked. */
export function MeritsOfClass({ id }: { id: string }) {
  const { data, error } = useQuery({
    queryKey: ['class-merits', id],
    queryFn: () => get<ClassMerits>(`/api/classes/${encodeURIComponent(id)}/merits`),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theMerits} />
  const all = data.pupils.reduce((sum, one) => sum + one.count, 0)
  return (
    <Box>
      <chakra.p mb="8px">
        {say.meritsInTheLastWeeks(all, data.weeks)}{' '}
        {data.never.length > 0 && all > 0 && (
          <>
            <strong>{say.nobodyHasPraised}</strong> {say.onlyTheAdults(data.never.join(', '))}
          </>
        )}
      </chakra.p>
      <Box overflowX="auto">
        <chakra.table
          bg="sheet"
          fontSize="14px"
          css={{ '& td, & th': { padding: '2px 10px', borderBottom: '1px solid var(--chakra-colors-line)' } }}
        >
          <thead>
            <tr>
              <chakra.th textAlign="start">{say.pupil}</chakra.th>
              <chakra.th textAlign="start">{say.weekByWeekThisOneLast}</chakra.th>
              <chakra.th textAlign="end">{say.merits}</chakra.th>
            </tr>
          </thead>
          <tbody>
            {data.pupils.map((one) => (
              <tr key={one.person}>
                <td>
                  <Link to={`/pupils/${one.person}/attendance`}>{one.name}</Link>
                </td>
                <chakra.td fontFamily="mono">{one.byWeek.map((count) => (count === 0 ? '·' : count)).join(' ')}</chakra.td>
                <chakra.td textAlign="end" fontFamily="mono">
                  {one.count}
                </chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  )
}
