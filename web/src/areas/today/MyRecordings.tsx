import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { ownWords } from '../../languages/own'
import { get } from '../../shared/api/http'
import type { MyRecording } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'

const FIRST = 4

/** What a pupil may watch, until when, and how much of it they have. Nothing stands here while there is nothing. */
export function MyRecordings() {
  const time = useSchoolTime()
  const [all, setAll] = useState(false)
  const say = ownWords()
  const { data } = useQuery({ queryKey: ['my-recordings'], queryFn: () => get<MyRecording[]>('/api/recordings/mine') })
  if (!data || data.length === 0) return null
  return (
    <Box as="section" aria-label={say.mayWatch} mt="22px">
      <chakra.h2 fontSize="17px" mb="2px">
        {say.toWatch}
      </chakra.h2>
      {data.slice(0, all ? undefined : FIRST).map((one) => (
        <Flex key={one.id} py="6px" gap="12px" borderBottom="1px solid" borderColor="line" align="baseline" wrap="wrap">
          <Box flex="1 1 200px">
            <Link to={one.watch === 'YES' ? `/recordings/${one.id}/watch` : `/recordings/${one.id}`}>
              <u>{one.title}</u>
            </Link>
            <chakra.span display="block" fontSize="13.5px" color="ink2">
              {`${time.longDay(one.begun)}, ${Math.max(1, Math.round(one.lengthSeconds / 60))} min`}
              {one.until && say.watchUntil(time.day(one.until))}
            </chakra.span>
          </Box>
          <chakra.span fontSize="14px">
            {one.watch === 'ASK' ? (one.isAsked ? say.haveAsked : say.askToWatch) : say.watched(one.watchedPercent)}
          </chakra.span>
        </Flex>
      ))}
      {data.length > FIRST && !all && (
        <Button look="quiet" mt="6px" onClick={() => setAll(true)}>
          {say.more(data.length - FIRST)}
        </Button>
      )}
    </Box>
  )
}
