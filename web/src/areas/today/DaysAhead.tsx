import { Box, chakra, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/today'
import { get } from '../../shared/api/http'
import type { AheadLine } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** One's own lessons of the days after today: a column a day, as they stand in a timetable. */
export function DaysAhead() {
  const time = useSchoolTime()
  const { data } = useQuery({ queryKey: ['days-ahead'], queryFn: () => get<AheadLine[]>('/api/working-day/ahead') })
  if (!data || data.length === 0) return null
  const days = [...new Set(data.map((one) => time.isoDay(one.starts)))]
  return (
    <Box as="section" aria-label={say.yourNextDays} mt="20px">
      <chakra.h2 fontSize="16px" mb="4px">
        {say.yourNextDays}
      </chakra.h2>
      <Grid
        templateColumns="repeat(auto-fill, minmax(150px, 1fr))"
        bg="sheet"
        borderTop="1.5px solid"
        borderBottom="1px solid"
        borderColor="ink"
      >
        {days.map((day) => (
          <Box key={day} px="10px" py="7px" borderInlineEnd="1px solid" borderColor="line">
            <chakra.h3 fontSize="13px" mb="3px">
              {time.day(`${day}T12:00:00Z`)}
            </chakra.h3>
            {data
              .filter((one) => time.isoDay(one.starts) === day)
              .map((one) => (
                <Box
                  key={one.lesson}
                  display="grid"
                  gridTemplateColumns="44px 1fr"
                  py={{ base: '5px', md: '2px' }}
                  fontSize="13px"
                >
                  <chakra.span fontFamily="mono" color="ink2">
                    {time.clock(one.starts)}
                  </chakra.span>
                  <Link to={`/lessons/${one.lesson}/desk`}>{one.title}</Link>
                </Box>
              ))}
          </Box>
        ))}
      </Grid>
    </Box>
  )
}
