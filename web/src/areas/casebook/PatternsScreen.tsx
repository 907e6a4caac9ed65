import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/casebook'
import { get } from '../../shared/api/http'
import type { PatternsPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Period } from '../../shared/ui/Period'

type Line = PatternsPage['patterns'][number]

const KINDS: Record<Line['kind'], string> = {
  SAME_PAIR: say.theSameTwoAgain,
  SAME_HOUR: say.theSameHour,
  SAME_KIND: say.theSameKind,
  ESCALATION: say.higherEachTime,
  ABOVE_PROPOSED: say.aboveWhatIsProposed,
  NEVER_ACTS: say.noStep,
  DOOR_TO_DOOR: say.fromDoorToDoor,
}

/** What comes again across classes, with what it rests on (needs G5, E7). */
export default function PatternsScreen() {
  return <Page title={say.patterns}>{() => <Shown />}</Page>
}

function Shown() {
  const [search, setSearch] = useSearchParams()
  const asked = new URLSearchParams({ from: search.get('from') ?? '', until: search.get('until') ?? '' }).toString()
  const { data, error } = useQuery({
    queryKey: ['patterns', asked],
    queryFn: () => get<PatternsPage>(`/api/casebook/patterns?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.patternsFetched} />
  return (
    <Box className="paper" px="20px" py="16px" maxW="1080px" mx="auto">
      <Flex gap="16px" align="end" wrap="wrap" mb="10px">
        <Box>
          <chakra.p fontSize="13px" className="no-print">
            <Link to="/casebook">
              <chakra.span textDecoration="underline">{say.casebook}</chakra.span>
            </Link>
          </chakra.p>
          <chakra.h1 fontSize="25px">{say.patterns}</chakra.h1>
          <chakra.p color="ink2">{say.whatComesAgainInIncidents(data.incidents)}</chakra.p>
        </Box>
        <Box flex="1" />
        <Period from={data.from} until={data.until} onChange={(next) => setSearch(next, { replace: true })} />
      </Flex>
      {data.patterns.length === 0 ? (
        <EmptyNote>{say.nothingComesAgainInTheseDays}</EmptyNote>
      ) : (
        data.patterns.map((one) => <Found key={`${one.kind} ${one.says}`} line={one} from={data.from} until={data.until} />)
      )}
    </Box>
  )
}

/** One pattern: its sentence, and each incident it rests on at its day. */
function Found({ line, from, until }: { line: Line; from: string; until: string }) {
  const time = useSchoolTime()
  const begins = Date.parse(`${from}T00:00:00Z`)
  const ends = Date.parse(`${until}T23:59:59Z`)
  const left = (at: string) => `${(100 * (Date.parse(at) - begins)) / (ends - begins)}%`
  return (
    <Box as="section" bg="sheet" borderTop="1.5px solid" borderColor="ink" px="14px" py="9px" mb="10px" aria-label={line.says}>
      <Flex gap="10px" align="baseline" wrap="wrap">
        <chakra.span fontSize="12px" color="ink2" w="150px">
          {KINDS[line.kind]}
        </chakra.span>
        <chakra.h2 fontSize="16px">{line.says}</chakra.h2>
        {line.few && (
          <chakra.span fontSize="12.5px" color="verdict.wait">
            {say.fewItMayWellBeChance}
          </chakra.span>
        )}
      </Flex>
      {line.rests.length > 0 && (
        <>
          <Box position="relative" h="15px" my="5px" borderBottom="1px solid" borderColor="lineStrong" aria-hidden>
            {line.rests.map((one) => (
              <Box
                key={one.number}
                position="absolute"
                bottom="-5px"
                w="9px"
                h="9px"
                bg="ink"
                transform="rotate(45deg)"
                style={{ left: `calc(${left(one.moment)} - 4px)` }}
              />
            ))}
          </Box>
          <Flex gap="4px 14px" wrap="wrap" fontSize="13px" css={{ '& a': { minHeight: '24px' } }}>
            {line.rests.map((one) => (
              <Link key={one.number} to={`/casebook/${one.number}`}>
                <chakra.span textDecoration="underline">{say.noSaid(one.number)}</chakra.span> {time.day(one.moment)},{' '}
                {one.classTitle || one.title}
              </Link>
            ))}
          </Flex>
        </>
      )}
    </Box>
  )
}
