import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/staff/inspection'
import type { InspectionPage, Me, WeakSpot } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { SeverityMark, type Severity } from '../../shared/ui/SeverityMark'
import { useInspection, useReopen, useUndoMend } from './api'
import { MendSheet } from './parts/MendSheet'
import { Spot } from './parts/Spot'
import { Trend } from './parts/Trend'

/** The weak spots of everything planned: what matters most first, its evidence and its mend beside it. */
export default function InspectionScreen() {
  return <Page title={say.inspection}>{(me) => <Shown me={me} />}</Page>
}

function Shown({ me }: { me: Me }) {
  const { data, error } = useInspection()
  const [chosen, setChosen] = useState<string | null>(null)
  const [mending, setMending] = useState<string[] | null>(null)
  const [mended, setMended] = useState<{ change: string; mends: number } | null>(null)
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theInspection} />
  const kinds = byKind(data.open)
  const spot = data.open.find((one) => one.key === chosen) ?? data.open[0]
  return (
    <Box maxW="1240px" mx="auto" px="20px" py="14px">
      <Flex
        justify="space-between"
        align="end"
        gap="20px"
        wrap="wrap"
        borderBottom="3px double"
        borderColor="ink"
        pb="8px"
        mb="12px"
      >
        <Box>
          <chakra.h1 fontSize="25px">{say.inspection}</chakra.h1>
          <chakra.p color="ink2">{say.plannedLessonsAgainstTheRules(data.lessons, me.position)}</chakra.p>
        </Box>
        <Counts page={data} />
        {me.position === 'LEAD' && <Trend days={data.trend} />}
      </Flex>
      {mended && <Mended mended={mended} onClose={() => setMended(null)} />}
      {data.open.length === 0 ? (
        <EmptyNote>{say.noWeakSpotIsOpen}</EmptyNote>
      ) : (
        <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 440px' }} gap="22px" alignItems="start">
          <Box>
            {kinds.map((kind) => (
              <Kind key={kind.kind} kind={kind} chosen={spot?.key} onChoose={setChosen} onMend={setMending} />
            ))}
            <Accepted page={data} canReopen={me.position === 'LEAD'} />
          </Box>
          <Box position={{ lg: 'sticky' }} top="10px">
            {spot && <Spot key={spot.key} spot={spot} canAccept={me.position === 'LEAD'} onMend={() => setMending([spot.key])} />}
          </Box>
        </Grid>
      )}
      {mending && <MendSheet keys={mending} onClose={() => setMending(null)} onMended={setMended} />}
    </Box>
  )
}

interface KindOf {
  kind: string
  heading: string
  severity: Severity
  spots: WeakSpot[]
}

/** They come gravest first; so do their kinds. */
function byKind(spots: WeakSpot[]): KindOf[] {
  const kinds = new Map<string, KindOf>()
  for (const spot of spots) {
    const kind = kinds.get(spot.kind) ?? { kind: spot.kind, heading: spot.heading, severity: spot.severity, spots: [] }
    kind.spots.push(spot)
    kinds.set(spot.kind, kind)
  }
  return [...kinds.values()]
}

const SHOWN = 4

function Kind({
  kind,
  chosen,
  onChoose,
  onMend,
}: {
  kind: KindOf
  chosen?: string
  onChoose: (key: string) => void
  onMend: (keys: string[]) => void
}) {
  const [all, setAll] = useState(false)
  const time = useSchoolTime()
  const mendable = kind.spots.filter((one) => one.mend)
  const shown = all ? kind.spots : kind.spots.slice(0, SHOWN)
  return (
    <Box as="section" mb="14px" aria-label={kind.heading}>
      <Flex align="center" gap="8px" borderBottom="1.5px solid" borderColor="ink" pb="2px">
        <SeverityMark severity={kind.severity} size={14} />
        <chakra.h2 fontSize="16px">{kind.heading}</chakra.h2>
        <chakra.span fontFamily="mono" fontSize="13px" color="ink2">
          {kind.spots.length}
        </chakra.span>
        <Box flex="1" />
        {mendable.length > 1 && (
          <Button size="small" onClick={() => onMend(mendable.map((one) => one.key))}>
            {say.mendAll(mendable.length)}
          </Button>
        )}
      </Flex>
      {shown.map((one) => (
        <chakra.button
          key={one.key}
          type="button"
          aria-pressed={one.key === chosen}
          display="grid"
          gridTemplateColumns="108px minmax(0, 190px) minmax(0, 1fr)"
          gap="10px"
          w="100%"
          textAlign="start"
          px="8px"
          py="3px"
          cursor="pointer"
          borderBottom="1px solid"
          borderColor="line"
          bg={one.key === chosen ? 'markSoft' : 'sheet'}
          boxShadow={one.key === chosen ? 'inset 4px 0 0 var(--chakra-colors-mark)' : 'none'}
          onClick={() => onChoose(one.key)}
        >
          <chakra.span fontFamily="mono" fontSize="12.5px" color="ink2">
            {one.starts ? `${time.day(one.starts).replace(/^\w+,? /, '')} ${time.clock(one.starts)}` : say.everyLesson}
          </chakra.span>
          <chakra.span fontWeight="600" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
            {one.title}
          </chakra.span>
          <chakra.span color="ink2" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
            {one.sentence}
          </chakra.span>
        </chakra.button>
      ))}
      {kind.spots.length > SHOWN && (
        <Button look="quiet" mt="3px" ms="8px" onClick={() => setAll(!all)}>
          {say.showFewerShow(all, kind.spots.length)}
        </Button>
      )}
    </Box>
  )
}

function Counts({ page }: { page: InspectionPage }) {
  const count = (severity: Severity) => page.open.filter((one) => one.severity === severity).length
  const words: [Severity, string][] = [
    ['DANGER', 'dangers'],
    ['WEAK_SPOT', say.weakSpots],
    ['NOTE', 'notes'],
  ]
  return (
    <Flex gap="18px">
      {words.map(([severity, word]) => (
        <Flex key={severity} gap="6px" align="baseline">
          <SeverityMark severity={severity} size={14} silent />
          <chakra.span fontFamily="heading" fontWeight="650" fontSize="24px">
            {count(severity)}
          </chakra.span>
          <chakra.span color="ink2">{word}</chakra.span>
        </Flex>
      ))}
    </Flex>
  )
}

function Mended({ mended, onClose }: { mended: { change: string; mends: number }; onClose: () => void }) {
  const undo = useUndoMend()
  return (
    <Flex
      role="status"
      bg="markSoft"
      borderInlineStart="4px solid"
      borderColor="ink"
      px="12px"
      py="7px"
      mb="10px"
      gap="10px"
      align="center"
    >
      <strong>{say.mendedMendsCarriedOut(mended.mends)}</strong>
      <Button size="small" disabled={undo.isPending} onClick={() => undo.mutate(mended.change, { onSuccess: onClose })}>
        {say.undo}
      </Button>
      <Button size="small" look="quiet" onClick={onClose}>
        {say.fine}
      </Button>
      <ProblemNote problem={undo.error} compact />
    </Flex>
  )
}

function Accepted({ page, canReopen }: { page: InspectionPage; canReopen: boolean }) {
  const reopen = useReopen()
  if (page.accepted.length === 0) return null
  return (
    <Box as="section" aria-label={say.accepted}>
      <chakra.h2 fontSize="16px" borderBottom="1.5px solid" borderColor="lineStrong">
        {say.accepted}
      </chakra.h2>
      {page.accepted.map((one) => (
        <Flex key={one.key} gap="10px" py="4px" borderBottom="1px solid" borderColor="line" align="baseline">
          <Box flex="1">
            {one.title}: {one.sentence}
            <chakra.span display="block" color="ink2" fontSize="13px">
              “{one.accepted?.why}” {one.accepted?.by}
              {say.untilWord} {one.accepted?.until}
            </chakra.span>
          </Box>
          {canReopen && (
            <Button size="small" look="quiet" onClick={() => reopen.mutate(one.key)}>
              {say.lookAtItAgain}
            </Button>
          )}
        </Flex>
      ))}
    </Box>
  )
}
