import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { ownWords } from '../../languages/own'
import { get, post } from '../api/http'
import type { FeedAddress } from '../api/types'
import { Button } from './Button'
import { CopyButton } from './CopyButton'
import { LoadingNote, ProblemNote } from './Notes'

/** The secret address at which a calendar program finds lessons, and a new one if it got about (need B9). */
export function CalendarAddress({ path, renewable }: { path: string; renewable: boolean }) {
  const cache = useQueryClient()
  const key = ['feed', path]
  const say = ownWords()
  const { data, error } = useQuery({ queryKey: key, queryFn: () => get<FeedAddress>(path) })
  const renew = useMutation({
    mutationFn: () => post<FeedAddress>(`${path}/renew`),
    onSuccess: (next) => cache.setQueryData(key, next),
  })
  if (error) return <ProblemNote problem={error} compact />
  if (!data) return <LoadingNote says={say.fetchingAddress} />
  return (
    <Box>
      <chakra.p color="ink2" mb="4px">
        {say.calendarHow}
      </chakra.p>
      <chakra.p fontFamily="mono" fontSize="12.5px" overflowWrap="anywhere" mb="6px">
        {data.address}
      </chakra.p>
      <Flex gap="8px" align="center" wrap="wrap">
        <CopyButton text={data.address}>{say.copyAddress}</CopyButton>
        {renewable && (
          <Button disabled={renew.isPending} onClick={() => renew.mutate()}>
            {say.newAddress}
          </Button>
        )}
        <span role="status">{renew.isSuccess && say.oldAddress}</span>
      </Flex>
      <ProblemNote problem={renew.error} compact />
    </Box>
  )
}
