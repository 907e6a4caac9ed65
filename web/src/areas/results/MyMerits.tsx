import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { ownWords } from '../../languages/own'
import { get } from '../../shared/api/http'
import type { GivenMerit } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** On a pupil's own page: what one was praised for, where the rules show it. */
export function MyMerits() {
  const time = useSchoolTime()
  const { data } = useQuery({ queryKey: ['my-merits'], queryFn: () => get<GivenMerit[]>('/api/my-merits') })
  if (!data || data.length === 0) return null
  return (
    <Box as="section" mt="22px">
      <chakra.h2 fontSize="19px">{ownWords().yourMerits}</chakra.h2>
      <chakra.ul listStyleType="none" fontSize="16px">
        {data.slice(0, 10).map((one) => (
          <chakra.li key={`${one.lesson} ${one.at}`} py="3px" borderBottom="1px solid" borderColor="line">
            ✦ {one.reason}{' '}
            <chakra.span color="ink2" fontSize="14px">
              {one.title}, {time.day(one.at)}
            </chakra.span>
          </chakra.li>
        ))}
      </chakra.ul>
    </Box>
  )
}
