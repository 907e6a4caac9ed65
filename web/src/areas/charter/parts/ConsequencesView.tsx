import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { say } from '../../../languages/en/staff/charter'
import { get } from '../../../shared/api/http'
import type { DraftEffect, Report, RuleCase, Shift, TwoWhys, WeakSpot } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../../shared/ui/Notes'
import { SeverityMark } from '../../../shared/ui/SeverityMark'
import { Shutter } from '../../../shared/ui/Shutter'
import { WhyChain } from '../../../shared/ui/Why'

interface Case {
  shift: Shift
  one: RuleCase
}

/** All that a draft changes: values, with the classes and lessons; what is overruled; and any single case with its why. */
export function ConsequencesView({ report, place, from }: { report: Report; place: string; from: string }) {
  const [chosen, setChosen] = useState<Case | null>(null)
  const nothing = report.shifts.length + report.overruled.length + report.freed.length === 0
  return (
    <Box>
      <chakra.h1 fontSize="27px">{say.whatChanges(report.from)}</chakra.h1>
      <chakra.p color="ink2" mb="10px" maxW="640px">
        {say.lessonsAreJudged}
      </chakra.p>
      {nothing && <EmptyNote>{say.nothingChangesForAnyClass}</EmptyNote>}
      {report.shifts.map((shift) => (
        <ShiftSection
          key={shift.rule + shift.role + shift.before + shift.after}
          shift={shift}
          chosen={chosen?.shift === shift ? chosen.one : null}
          onChoose={(one) => setChosen({ shift, one })}
        >
          {chosen?.shift === shift && (
            <SingleCase key={chosen.one.place + chosen.one.at} chosen={chosen} place={place} from={from} />
          )}
        </ShiftSection>
      ))}
      <Held title={say.getsOverruled} lines={report.overruled} />
      <Held title={say.countsAgain} lines={report.freed} />
      <Findings title={say.findingsThatAppear} lines={report.appearing} />
      <Findings title={say.findingsThatGo} lines={report.vanishing} />
      <WeakSpots place={place} from={from} />
    </Box>
  )
}

/** What the draft does to the inspection of what is planned. */
function WeakSpots({ place, from }: { place: string; from: string }) {
  const { data, error } = useQuery({
    queryKey: ['consequences', 'inspection', place, from],
    queryFn: () => get<DraftEffect>(`/api/inspection/draft/${place}?from=${from}`),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theInspectionWithThisDraft} />
  return (
    <chakra.section
      aria-label={say.inTheInspection}
      bg="sheet"
      borderTop="1.5px solid"
      borderColor="ink"
      px="14px"
      py="8px"
      mb="12px"
    >
      <chakra.h2 fontSize="17px">{say.inTheInspectionOfPlannedLessons}</chakra.h2>
      {data.appearing.length + data.gone.length === 0 && <p>{say.noWeakSpotComesOrGoes}</p>}
      <Kinds words="appear" spots={data.appearing} />
      <Kinds words="go" spots={data.gone} />
    </chakra.section>
  )
}

/** Weak spots of a kind together, the gravest first, with the first few sentences. */
function Kinds({ words, spots }: { words: string; spots: WeakSpot[] }) {
  const kinds = [...new Set(spots.map((one) => one.kind))]
  return kinds.map((kind) => {
    const all = spots.filter((one) => one.kind === kind)
    return (
      <chakra.details key={kind} py="2px">
        <chakra.summary cursor="pointer">
          <SeverityMark severity={all[0]!.severity} size={12} /> <strong>{all.length}</strong> {words}: {all[0]!.heading}
        </chakra.summary>
        <chakra.ul ps="24px" listStyleType="square" fontSize="13px" color="ink2">
          {all.slice(0, 12).map((one) => (
            <li key={one.key}>{one.sentence}</li>
          ))}
          {all.length > 12 && <li>{say.andMore(all.length - 12)}</li>}
        </chakra.ul>
      </chakra.details>
    )
  })
}

interface ShiftSectionProps {
  shift: Shift
  chosen: RuleCase | null
  onChoose: (one: RuleCase) => void
  children: ReactNode
}

function ShiftSection({ shift, chosen, onChoose, children }: ShiftSectionProps) {
  const rights = ['open', 'on-request', 'closed']
  return (
    <chakra.section
      bg="sheet"
      borderTop="1.5px solid"
      borderColor="ink"
      px="14px"
      py="8px"
      mb="12px"
      aria-label={say.becomes(shift.title, shift.roleWords, shift.beforeWords, shift.afterWords)}
    >
      <Flex align="baseline" gap="8px" wrap="wrap">
        <chakra.h2 fontSize="17px">
          {shift.title}, {shift.roleWords}
        </chakra.h2>
        <span>
          {rights.includes(shift.before) && <Shutter value={shift.before} />} <s>{shift.beforeWords}</s> {say.becomesWord}{' '}
          {rights.includes(shift.after) && <Shutter value={shift.after} />} <strong>{shift.afterWords}</strong>
          {shift.stricter && <chakra.span color="ink2"> {say.stricter}</chakra.span>}
        </span>
      </Flex>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="18px">
        <Box>
          <chakra.h3 fontSize="13px" color="ink2">
            {say.whereItCanCome(shift.classes.length)}
          </chakra.h3>
          <Cases cases={shift.classes} chosen={chosen} onChoose={onChoose} />
        </Box>
        <Box>
          <chakra.h3 fontSize="13px" color="ink2">
            {say.plannedWhere(shift.lessonCount)}
          </chakra.h3>
          <Cases cases={shift.lessons} chosen={chosen} onChoose={onChoose} />
          {shift.lessonCount > shift.lessons.length && (
            <chakra.p color="ink2">{say.andLaterOnes(shift.lessonCount - shift.lessons.length)}</chakra.p>
          )}
        </Box>
      </Grid>
      {children}
    </chakra.section>
  )
}

const FIRST = 6

function Cases({ cases, chosen, onChoose }: { cases: RuleCase[]; chosen: RuleCase | null; onChoose: (one: RuleCase) => void }) {
  const [all, setAll] = useState(false)
  return (
    <chakra.ul listStyleType="none">
      {(all ? cases : cases.slice(0, FIRST)).map((one) => (
        <li key={one.place}>
          <chakra.button
            type="button"
            cursor="pointer"
            textAlign="start"
            w="100%"
            px="4px"
            py="2px"
            minH="24px"
            bg={chosen === one ? 'markSoft' : undefined}
            aria-pressed={chosen === one}
            onClick={() => onChoose(one)}
            _hover={{ bg: 'markSoft' }}
          >
            {one.title}
            {one.when && `, ${one.when}`}
            {one.situation && <chakra.em color="ink2"> {one.situation}</chakra.em>}
          </chakra.button>
        </li>
      ))}
      {cases.length > FIRST && !all && (
        <Button size="small" mt="3px" onClick={() => setAll(true)}>
          {say.showAll(cases.length)}
        </Button>
      )}
    </chakra.ul>
  )
}

/** Before and after, side by side. */
function SingleCase({ chosen: { shift, one }, place, from }: { chosen: Case; place: string; from: string }) {
  const path =
    `/api/rules/${place}/draft/why?rule=${shift.rule}&role=${shift.role}&of=${encodeURIComponent(one.place)}` +
    `&from=${from}&facts=${one.facts.join(',')}&present=${one.present}&at=${one.at}` +
    (one.minute < 0 ? '' : `&minute=${one.minute}`)
  const { data, error } = useQuery({ queryKey: ['why', path], queryFn: () => get<TwoWhys>(path) })
  return (
    <Box borderTop="1px solid" borderColor="line" mt="8px" pt="8px" role="region" aria-label={say.whyIn(one.title)}>
      <chakra.h3 fontSize="15px" mb="4px">
        {one.title}
        {one.when && `, ${one.when}`}
        {one.situation && `, ${one.situation}`}
      </chakra.h3>
      {error && <ProblemNote problem={error} />}
      {!data && !error && <LoadingNote what={say.theReasons} />}
      {data && (
        <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="18px">
          <Box>
            <chakra.h4 color="ink2">{say.asItIs}</chakra.h4>
            <WhyChain why={data.before} reason={false} />
          </Box>
          <Box>
            <chakra.h4 color="ink2">{say.withTheDraft}</chakra.h4>
            <WhyChain why={data.after} reason={false} />
          </Box>
        </Grid>
      )}
    </Box>
  )
}

function Held({ title, lines }: { title: string; lines: Report['overruled'] }) {
  if (lines.length === 0) return null
  return (
    <chakra.section mb="12px" aria-label={title}>
      <chakra.h2 fontSize="17px">{title}</chakra.h2>
      {lines.map((one) => (
        <Box key={one.place + one.says + one.by} bg="sheet" borderTop="1px solid" borderColor="line" px="14px" py="4px">
          <strong>{one.title}</strong>: {one.says}
          <chakra.span display="block" color="ink2" fontSize="12.5px">
            {say.heldBy(one.by)}
          </chakra.span>
        </Box>
      ))}
    </chakra.section>
  )
}

export function Findings({ title, lines }: { title: string; lines: Report['appearing'] }) {
  if (lines.length === 0) return null
  return (
    <chakra.section mb="12px" aria-label={title}>
      <chakra.h2 fontSize="17px">{title}</chakra.h2>
      {lines.map((one) => (
        <Box key={one.kind + one.causes.join()} bg="sheet" borderTop="1px solid" borderColor="line" px="14px" py="4px">
          <strong>{one.title}</strong>
          {one.causes.map((cause) => (
            <chakra.span key={cause} display="block" color="ink2" fontSize="12.5px">
              {cause}
            </chakra.span>
          ))}
        </Box>
      ))}
    </chakra.section>
  )
}
