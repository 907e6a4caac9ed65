import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/upkeep'
import { get } from '../../shared/api/http'
import type { KeptAndForgotten } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

/** How long each kind of data is kept, what goes next week, what went, and what is held (need N4). */
export default function KeptScreen() {
  return <Page title={say.keptAndForgotten}>{() => <Shown />}</Page>
}

type Kind = KeptAndForgotten['kinds'][number]['kind']

const KINDS: Record<Kind, string> = {
  WORDS: say.wordsAndFilesOfLessons,
  BOARD: say.boards,
  ANSWERS: say.answersAndSlates,
  CAPTIONS: say.captions,
  RECORDINGS: say.recordings,
  REGISTERS: say.registersWithCorrectionsSignatures,
  INCIDENTS: say.whatIncidentsSay,
  MESSAGES: say.messagesThatWentOut,
  LOOKS: say.signInsAndWhoLooked,
  DEVICES: say.knownDevices,
}

const WENT: Record<string, string> = { ...KINDS, LEFT: say.aPupilWhoLeft }

function Shown() {
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['kept'], queryFn: () => get<KeptAndForgotten>('/api/kept') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.whatIsKept} />
  const next = data.kinds.reduce((sum, one) => sum + one.nextWeek, 0)
  return (
    <Box px="20px" py="16px" maxW="1120px" mx="auto">
      <Flex gap="14px" align="end" wrap="wrap" mb="10px">
        <Box maxW="860px">
          <chakra.h1 fontSize="25px">{say.keptAndForgotten}</chakra.h1>
          <chakra.p color="ink2">{say.thatSomethingHappenedIsKept(next, data.backupsKept)}</chakra.p>
        </Box>
        <Box flex="1" />
        <Link to="/recordings">
          <Button as="span">{say.recordings}</Button>
        </Link>
      </Flex>
      <chakra.table w="100%" mb="20px">
        <chakra.thead textAlign="start" fontSize="12.5px" color="ink2">
          <tr>
            <th scope="col">{say.what}</th>
            <th scope="col">{say.keptFor}</th>
            <th scope="col">{say.byTheRule}</th>
            <chakra.th scope="col" textAlign="end">
              {say.goesNextWeek}
            </chakra.th>
            <chakra.th scope="col" textAlign="end">
              {say.heldBack}
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
                {say.days(one.days)}
                {one.ofLessons && <chakra.span color="ink2"> {say.afterTheLesson}</chakra.span>}
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
            {say.heldWhateverItsTime}
          </chakra.h2>
          {data.held.length === 0 && <EmptyNote>{say.nothingIsHeldAsEvidence}</EmptyNote>}
          {data.held.map((one) => (
            <Box key={`${one.lesson} ${one.since}`} py="4px" borderBottom="1px solid" borderColor="line">
              <strong>{one.title}</strong>: {one.why}
              <chakra.span display="block" fontSize="12.5px" color="ink2">
                {say.since(one.by, time.longDay(one.since))}
              </chakra.span>
            </Box>
          ))}
        </Box>
        <Box>
          <chakra.h2 fontSize="17px" mb="4px">
            {say.whatWent}
          </chakra.h2>
          {data.went.length === 0 && <EmptyNote>{say.nothingHadToGo}</EmptyNote>}
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
