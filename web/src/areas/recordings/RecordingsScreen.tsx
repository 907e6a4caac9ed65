import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/recordings'
import { get } from '../../shared/api/http'
import type { RecordingLine, RecordingsPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Period } from '../../shared/ui/Period'
import { Cover } from './Cover'
import { CAUSES, length, spoken } from './words'

/** What was recorded of what had to be, lesson by lesson (need I5). */
export default function RecordingsScreen() {
  return <Page title={say.recordings}>{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
}

function Shown({ isLead }: { isLead: boolean }) {
  const [search, setSearch] = useSearchParams()
  const asked = new URLSearchParams({
    from: search.get('from') ?? '',
    until: search.get('until') ?? '',
    ofClass: search.get('ofClass') ?? '',
  }).toString()
  const { data, error } = useQuery({
    queryKey: ['recordings', asked],
    queryFn: () => get<RecordingsPage>(`/api/recordings?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theRecordings} />
  const asks = data.lines.reduce((sum, one) => sum + one.asks, 0)
  return (
    <Box px="20px" py="16px" maxW="1180px" mx="auto">
      <Flex gap="16px" align="end" wrap="wrap" mb="10px">
        <Box>
          <chakra.h1 fontSize="25px">{say.recordings}</chakra.h1>
          <chakra.p color="ink2">{say.whatHadToBeRecorded(isLead)}</chakra.p>
        </Box>
        <Box flex="1" />
        <Link to="/consents">
          <Button as="span">{say.whoMayBeRecorded}</Button>
        </Link>
        {isLead && (
          <Link to="/kept">
            <Button as="span">{say.keptAndForgotten}</Button>
          </Link>
        )}
        <Period
          from={data.from}
          until={data.until}
          onChange={(next) => setSearch({ ...Object.fromEntries(search), ...next }, { replace: true })}
        />
      </Flex>
      <Sum page={data} />
      {asks > 0 && (
        <Box borderInlineStart="5px solid" borderColor="mark" ps="12px" mb="12px" role="note">
          {say.toWatchARecording(asks)}
        </Box>
      )}
      {data.lines.length === 0 ? (
        <EmptyNote>{say.nothingWasRecorded}</EmptyNote>
      ) : (
        <Box as="ul" listStyleType="none" aria-label={say.recordingsTheLatestFirst}>
          {data.lines.map((one) => (
            <Line key={one.id ?? one.lesson} one={one} />
          ))}
        </Box>
      )}
      {data.isCut && (
        <chakra.p mt="8px" color="ink2">
          {say.onlyTheLatest}
        </chakra.p>
      )}
    </Box>
  )
}

function Sum({ page }: { page: RecordingsPage }) {
  const { sum } = page
  if (sum.lessons === 0) return null
  return (
    <Flex
      gap="28px"
      wrap="wrap"
      bg="sheet"
      borderTop="1.5px solid"
      borderColor="ink"
      px="16px"
      py="10px"
      mb="14px"
      align="baseline"
    >
      <Big number={say.ofAll(sum.whole, sum.lessons)} what={say.lessonsThatHad} />
      <Big number={say.minutesOfAll(sum.requiredMinutes - sum.coveredMinutes, sum.requiredMinutes)} what={say.missing} />
      <Box fontSize="13.5px" color="ink2">
        {sum.missing.map((one) => `${CAUSES[one.cause]} ${spoken(one.seconds)}`).join(' · ')}
      </Box>
    </Flex>
  )
}

function Big({ number, what }: { number: string; what: string }) {
  return (
    <Box>
      <chakra.strong fontFamily="heading" fontSize="21px">
        {number}
      </chakra.strong>{' '}
      <chakra.span color="ink2">{what}</chakra.span>
    </Box>
  )
}

function Line({ one }: { one: RecordingLine }) {
  const time = useSchoolTime()
  const to = one.id ? `/recordings/${one.id}` : `/lessons/${one.lesson}/replay`
  return (
    <Flex
      as="li"
      gap="14px"
      align="center"
      wrap="wrap"
      py="7px"
      borderBottom="1px solid"
      borderColor="line"
      color={one.erasedAt ? 'ink3' : 'ink'}
    >
      <chakra.span fontFamily="mono" fontSize="13px" w="164px" flexShrink={0} whiteSpace="nowrap">
        {time.day(one.begun)} {time.clock(one.begun)}
      </chakra.span>
      <Box flex="1 1 240px" minW="0">
        <Link to={to}>
          <chakra.span textDecoration="underline" textUnderlineOffset="2px" fontWeight="600">
            {one.title}
          </chakra.span>
        </Link>{' '}
        {one.isAhead && <chakra.span color="ink2">{say.recordedAhead}</chakra.span>}
        {one.asks > 0 && (
          <chakra.span bg="mark" color="onMark" px="5px" ms="4px" fontSize="12.5px" fontWeight="650">
            {say.toWatch(one.asks)}
          </chakra.span>
        )}
      </Box>
      <Box w="210px">
        {one.requiredSeconds > 0 ? (
          <Cover required={one.requiredSeconds} covered={one.coveredSeconds} missing={one.missing} />
        ) : (
          <chakra.span fontSize="13px" color="ink2">
            {say.didNot(one.isAhead, one.isGoingOn)}
          </chakra.span>
        )}
      </Box>
      <chakra.span fontFamily="mono" w="74px" textAlign="end">
        {say.goesOnNone(one.isGoingOn, one.lengthSeconds, length(one.lengthSeconds))}
      </chakra.span>
      <chakra.span fontSize="13px" w="170px" color="ink2">
        {one.erasedAt
          ? say.deleted(time.day(one.erasedAt))
          : one.keptUntil
            ? say.keptUntil(time.day(one.keptUntil), one.isExtended)
            : ''}
      </chakra.span>
    </Flex>
  )
}
