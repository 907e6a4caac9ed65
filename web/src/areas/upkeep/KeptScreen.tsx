import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { get } from '../../shared/api/http'
import type { KeptAndForgotten } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

/** How long each kind of data is kept, what goes next week, what went, and what is held (need N4). */
export default function KeptScreen() {
  return <Page title="Kept and forgotten">{() => <Shown />}</Page>
}

type Kind = KeptAndForgotten['kinds'][number]['kind']

const KINDS: Record<Kind, string> = {
  WORDS: 'Words and files of lessons',
  BOARD: 'Boards',
  ANSWERS: 'Answers and slates',
  CAPTIONS: 'Captions',
  RECORDINGS: 'Recordings',
  REGISTERS: 'Registers, with corrections, signatures and logs from elsewhere',
  INCIDENTS: 'What incidents say, from when they were closed',
  MESSAGES: 'Messages that went out',
  LOOKS: 'Sign-ins, and who looked at what',
  DEVICES: 'Known devices',
}

const WENT: Record<string, string> = { ...KINDS, LEFT: 'A pupil who left' }

function Shown() {
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['kept'], queryFn: () => get<KeptAndForgotten>('/api/kept') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="what is kept" />
  const next = data.kinds.reduce((sum, one) => sum + one.nextWeek, 0)
  return (
    <Box px="20px" py="16px" maxW="1120px" mx="auto">
      <Flex gap="14px" align="end" wrap="wrap" mb="10px">
        <Box maxW="860px">
          <chakra.h1 fontSize="25px">Kept and forgotten</chakra.h1>
          <chakra.p color="ink2">
            {next === 0
              ? 'Nothing has to go in the next seven days.'
              : `${next} ${next === 1 ? 'thing goes' : 'things go'} in the next seven days, each at night.`}{' '}
            That something happened is kept for ever; what it said is not. {data.backupsKept} backups are kept, in which it is
            found until they are replaced.
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Link to="/recordings">
          <Button as="span">Recordings</Button>
        </Link>
      </Flex>
      <chakra.table w="100%" mb="20px">
        <chakra.thead textAlign="start" fontSize="12.5px" color="ink2">
          <tr>
            <th scope="col">What</th>
            <th scope="col">Kept for</th>
            <th scope="col">By the rule</th>
            <chakra.th scope="col" textAlign="end">
              Goes next week
            </chakra.th>
            <chakra.th scope="col" textAlign="end">
              Held back
            </chakra.th>
          </tr>
        </chakra.thead>
        <tbody>
          {data.kinds.map((one) => (
            <chakra.tr key={one.kind} borderBottom="1px solid" borderColor="line">
              <chakra.th scope="row" textAlign="start" fontWeight="600" py="6px">
                {KINDS[one.kind]}
              </chakra.th>
              <td>
                {one.days} days{one.ofLessons && <chakra.span color="ink2"> after the lesson</chakra.span>}
              </td>
              <td>
                <Link to="/charter">
                  <u>{one.title}</u>
                </Link>
              </td>
              <chakra.td textAlign="end" fontFamily="mono" fontWeight={one.nextWeek > 0 ? 650 : 400}>
                {one.nextWeek}
              </chakra.td>
              <chakra.td textAlign="end" fontFamily="mono">
                {one.held}
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="30px" alignItems="start">
        <Box>
          <chakra.h2 fontSize="17px" mb="4px">
            Held, whatever its time
          </chakra.h2>
          {data.held.length === 0 && <EmptyNote>Nothing is held as evidence.</EmptyNote>}
          {data.held.map((one) => (
            <Box key={`${one.lesson} ${one.since}`} py="4px" borderBottom="1px solid" borderColor="line">
              <strong>{one.title}</strong>: {one.why}
              <chakra.span display="block" fontSize="12.5px" color="ink2">
                {one.by}, since {time.longDay(one.since)}
              </chakra.span>
            </Box>
          ))}
        </Box>
        <Box>
          <chakra.h2 fontSize="17px" mb="4px">
            What went
          </chakra.h2>
          {data.went.length === 0 && <EmptyNote>Nothing had to go in the last sixty days.</EmptyNote>}
          {data.went.map((one) => (
            <Flex key={`${one.at} ${one.kind} ${one.about}`} gap="12px" py="3px" borderBottom="1px solid" borderColor="line">
              <chakra.span fontFamily="mono" fontSize="13px" w="92px" flexShrink={0}>
                {time.day(one.at)}
              </chakra.span>
              <span>
                {WENT[one.kind] ?? one.kind}
                {one.about && `: ${one.about}`} <chakra.span color="ink2">({one.count})</chakra.span>
              </span>
            </Flex>
          ))}
        </Box>
      </Grid>
    </Box>
  )
}
