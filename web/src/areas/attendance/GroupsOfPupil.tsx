import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/attendance'
import { get } from '../../shared/api/http'
import type { PupilStay } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** In which groups a pupil was in the last weeks, and with whom. */
export function GroupsOfPupil({ id }: { id: string }) {
  const time = useSchoolTime()
  const { data } = useQuery({
    queryKey: ['pupil-groups', id],
    queryFn: () => get<PupilStay[]>(`/api/pupils/${encodeURIComponent(id)}/groups`),
  })
  if (!data || data.length === 0) return null
  return (
    <Box as="section" aria-label={say.inGroups} mt="16px">
      <chakra.h2 fontSize="17px">{say.inGroups}</chakra.h2>
      <chakra.ul listStyleType="none" bg="sheet" borderTop="1.5px solid" borderColor="ink">
        {data.slice(0, 12).map((one) => (
          <chakra.li key={`${one.lesson} ${one.from}`} px="8px" py="3px" borderBottom="1px solid" borderColor="line">
            <chakra.span fontFamily="mono" fontSize="12.5px">
              {time.day(one.from)} {time.clock(one.from)}–{time.clock(one.until)}
            </chakra.span>{' '}
            <Link to={`/lessons/${one.lesson}/replay`}>{one.title}</Link>, {one.group}
            <Box color="ink2" fontSize="13px">
              {say.withAlone(one.with.length, one.with.join(', '))}
            </Box>
          </chakra.li>
        ))}
      </chakra.ul>
    </Box>
  )
}
