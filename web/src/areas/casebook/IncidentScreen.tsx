import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { say } from '../../languages/en/staff/casebook'
import { get } from '../../shared/api/http'
import type { IncidentPage, StoryLine } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { ActSheet, type Act } from './parts/ActSheet'
import { People } from './parts/People'

/** One incident, to be read from top to bottom (need G5). */
export default function IncidentScreen() {
  const { number = '' } = useParams()
  return <Page title={say.incident(number)}>{() => <Shown key={number} number={number} />}</Page>
}

function Shown({ number }: { number: string }) {
  const cache = useQueryClient()
  const { data, error } = useQuery({
    queryKey: ['incident', number],
    queryFn: () => get<IncidentPage>(`/api/casebook/${encodeURIComponent(number)}`),
  })
  const [act, setAct] = useState<Act | null>(null)
  const mayNote = data?.may.includes('NOTE') && !data.mergedInto
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest('input, textarea, select, [role=dialog]')
      if (!typing && event.key.toLowerCase() === 'n' && !event.ctrlKey && !event.metaKey && mayNote) {
        event.preventDefault()
        setAct({ do: 'note' })
      }
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  }, [mayNote])
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theIncident} />
  const shown = (page: IncidentPage) => {
    cache.setQueryData(['incident', number], page)
    void cache.invalidateQueries({ queryKey: ['casebook'] })
    setAct(null)
  }
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 330px' }} minH="calc(100vh - 50px)">
      <Box as="article" className="paper" bg="sheet" px={{ base: '16px', md: '26px' }} py="16px" minW="0">
        <Head page={data} />
        <Box
          as="ol"
          listStyleType="none"
          borderTop="1px solid"
          borderColor="line"
          mt="12px"
          aria-label={say.whatHappenedAndWhatWasDone}
        >
          {data.lines.map((line, place) => (
            <Told
              key={place}
              line={line}
              before={data.lines[place - 1]}
              lines={data.lines}
              mayCorrect={!!mayNote}
              onCorrect={() => setAct({ do: 'note', corrects: line.number })}
            />
          ))}
        </Box>
        <Seal page={data} />
      </Box>
      <Box
        as="aside"
        borderInlineStart={{ lg: '1px solid' }}
        borderColor="lineStrong"
        px="16px"
        py="14px"
        aria-label={say.whatIsKnown}
      >
        <Due page={data} onAct={setAct} />
        <People page={data} onChanged={shown} />
        {data.why && <WhyProposed why={data.why} />}
        {data.links.length > 0 && (
          <Box mb="14px">
            <chakra.h2 fontSize="15px">{say.hasTo}</chakra.h2>
            {data.links.map((one) => (
              <p key={one.number}>
                <Link to={`/casebook/${one.number}`}>{say.numberAndTitle(one.number, one.title)}</Link>
              </p>
            ))}
          </Box>
        )}
        <Actions page={data} onAct={setAct} />
        {data.looks && data.looks.length > 0 && <Looks looks={data.looks} />}
      </Box>
      {act && <ActSheet page={data} act={act} onDone={shown} onClose={() => setAct(null)} />}
    </Grid>
  )
}

function Head({ page }: { page: IncidentPage }) {
  const time = useSchoolTime()
  return (
    <>
      <chakra.p fontSize="13px" className="no-print">
        <Link to="/casebook">
          <chakra.span textDecoration="underline">{say.casebook}</chakra.span>
        </Link>
      </chakra.p>
      <chakra.h1 fontSize="25px">{page.title}</chakra.h1>
      <chakra.p color="ink2">
        <strong>{say.noSaid(page.number)}</strong> · {page.classTitle ? `${page.classTitle}, ` : ''}
        {time.day(page.moment)} {time.clock(page.moment)} ·{' '}
        {page.mergedInto ? (
          <>
            {say.goesOnAs} <Link to={`/casebook/${page.mergedInto}`}>{say.incidentNumber(page.mergedInto)}</Link>
          </>
        ) : page.open ? (
          say.open
        ) : (
          say.closed
        )}{' '}
        {say.severity(page.actName.toLowerCase())} <strong>{page.severity.toLowerCase()}</strong>
        {page.leadOnly && (
          <>
            {' '}
            · <strong>{say.readBySafeguardingLeadsAloneStrong}</strong>
          </>
        )}
      </chakra.p>
      {page.lesson && (
        <chakra.p fontSize="13px" className="no-print">
          <Link to={`/lessons/${page.lesson}/replay`}>
            <chakra.span textDecoration="underline">{say.theLessonAgain}</chakra.span>
          </Link>{' '}
          ·{' '}
          <Link to={`/lessons/${page.lesson}/register`}>
            <chakra.span textDecoration="underline">{say.itsRegister}</chakra.span>
          </Link>
        </chakra.p>
      )}
    </>
  )
}

/** Told apart by shape: what was done, steps, notes, decisions. */
function Shape({ kind }: { kind: StoryLine['kind'] }) {
  const common = { display: 'inline-block', w: '9px', h: '9px', mt: '6px', flexShrink: 0 } as const
  switch (kind) {
    case 'ACT':
      return <Box {...common} bg="ink" aria-label={say.whatHappened} role="img" />
    case 'STEP':
      return (
        <Box
          {...common}
          bg="mark"
          border="1.5px solid"
          borderColor="ink"
          transform="rotate(45deg)"
          aria-label={say.aStep}
          role="img"
        />
      )
    case 'NOTE':
      return <Box {...common} borderRadius="50%" border="1.5px solid" borderColor="ink" aria-label={say.aNoteLabel} role="img" />
    case 'DECISION':
      return <Box {...common} bg="verdict.in" borderRadius="50%" aria-label={say.aDecision} role="img" />
    case 'FOLLOW_UP':
      return <Box {...common} border="1.5px solid" borderColor="ink" aria-label={say.toDoLabel} role="img" />
    default:
      return <Box {...common} h="2px" mt="10px" bg="ink3" aria-label={say.aChange} role="img" />
  }
}

function Told({
  line,
  before,
  lines,
  mayCorrect,
  onCorrect,
}: {
  line: StoryLine
  before: StoryLine | undefined
  lines: StoryLine[]
  mayCorrect: boolean
  onCorrect: () => void
}) {
  const time = useSchoolTime()
  const corrected = lines.filter((one) => line.number > 0 && one.corrects === line.number)
  return (
    <Grid
      as="li"
      templateColumns="84px 16px 1fr"
      gap="8px"
      py="7px"
      borderBottom="1px solid"
      borderColor="line"
      css={{ '&:hover [data-correct], &:focus-within [data-correct]': { opacity: 1 } }}
    >
      <chakra.span fontFamily="mono" fontSize="12.5px" color="ink2" mt="1px">
        {(!before || time.day(before.at) !== time.day(line.at)) && (
          <chakra.span display="block" fontWeight="600" color="ink">
            {time.day(line.at)}
          </chakra.span>
        )}
        {time.clock(line.at)}
      </chakra.span>
      <Shape kind={line.kind} />
      <Box overflowWrap="anywhere">
        {line.corrects > 0 && <chakra.span color="ink2">{say.correctingWhatStandsAbove} </chakra.span>}
        {line.text}
        {line.quote && (
          <chakra.q
            display="inline-block"
            ms="6px"
            px="8px"
            bg="paper"
            borderInlineStart="3px solid"
            borderColor="lineStrong"
            quotes="none"
          >
            {line.quote}
          </chakra.q>
        )}
        {line.leadOnly && (
          <chakra.span fontSize="12.5px" color="ink2">
            {' '}
            {say.readByLeadsOnly}
          </chakra.span>
        )}
        {corrected.length > 0 && (
          <chakra.span fontSize="12.5px" color="verdict.wait">
            {' '}
            {say.aCorrectionStandsBelow}
          </chakra.span>
        )}
        {mayCorrect && line.number > 0 && (
          <Button data-correct look="quiet" ms="8px" fontSize="12.5px" opacity="0" className="no-print" onClick={onCorrect}>
            {say.correct}
          </Button>
        )}
      </Box>
    </Grid>
  )
}

/** What is proven, and until when it is held. */
function Seal({ page }: { page: IncidentPage }) {
  const time = useSchoolTime()
  const { events, own, first, last } = page.proof
  return (
    <Flex gap="16px" align="center" py="12px" borderTop="1.5px solid" borderBottom="3px double" borderColor="ink" mt="8px">
      <chakra.svg viewBox="0 0 110 22" w="110px" flexShrink={0} aria-hidden color="verdict.in">
        {[2, 22, 42, 62, 82].map((x) => (
          <rect key={x} x={x} y="4" width="26" height="14" rx="7" fill="none" stroke="currentColor" strokeWidth="2" />
        ))}
      </chakra.svg>
      <Box>
        <strong>{say.nothingIsMissingBetweenEvent(events, first, last)}</strong>
        <chakra.p fontSize="13px" color="ink2">
          {say.ofTheIncidentEachProven(events, own)}{' '}
          {page.heldUntil ? say.heldUntil(time.day(page.heldUntil)) : say.nothingThatItRests}
        </chakra.p>
      </Box>
    </Flex>
  )
}

function Due({ page, onAct }: { page: IncidentPage; onAct: (act: Act) => void }) {
  const time = useSchoolTime()
  if (page.followUps.length === 0 && page.out.length === 0) return null
  return (
    <Box mb="14px">
      {page.followUps.map((one) => (
        <Box key={one.number} bg="markSoft" borderInlineStart="5px solid" borderColor="mark" px="12px" py="8px" mb="8px">
          <strong>{say.wasDue(one.late)}</strong>
          <p>{say.untilSaid(one.what, one.whoName, time.day(`${one.until}T12:00:00Z`))}</p>
          <Flex gap="7px" mt="5px" className="no-print">
            <Button look="main" size="small" onClick={() => onAct({ do: 'done', followUp: one.number, what: one.what })}>
              {say.doneButton}
            </Button>
            <Button size="small" onClick={() => onAct({ do: 'later', followUp: one.number, what: one.what })}>
              {say.later}
            </Button>
          </Flex>
        </Box>
      ))}
      {page.out.map((one) => (
        <Box
          key={one.id}
          borderInlineStart="5px solid"
          borderColor="verdict.away"
          bg="verdict.awaySoft"
          px="12px"
          py="8px"
          mb="8px"
        >
          <strong>{say.isNotLetIntoTheseLessons(one.name)}</strong> {say.untilSomebodyHasTalked}
          {page.may.includes('TALK') && (
            <Box mt="5px">
              <Button size="small" onClick={() => onAct({ do: 'talk', pupil: one.id, name: one.name })}>
                {say.somebodyHasTalkedButton}
              </Button>
            </Box>
          )}
        </Box>
      ))}
    </Box>
  )
}

function Actions({ page, onAct }: { page: IncidentPage; onAct: (act: Act) => void }) {
  const may = (deed: IncidentPage['may'][number]) => page.may.includes(deed)
  if (page.mergedInto) return null
  return (
    <Flex gap="7px" wrap="wrap" mb="14px" className="no-print" role="group" aria-label={say.whatCanBeDone}>
      {may('NOTE') && (
        <Button onClick={() => onAct({ do: 'note' })}>
          {say.writeANote} <Key>N</Key>
        </Button>
      )}
      {page.open && may('FOLLOW_UP') && <Button onClick={() => onAct({ do: 'follow-up' })}>{say.followUp}</Button>}
      {page.open && may('DECIDE') && <Button onClick={() => onAct({ do: 'decide' })}>{say.decide}</Button>}
      {page.open && may('CLASSIFY') && <Button onClick={() => onAct({ do: 'kind' })}>{say.kindAndSeverityButton}</Button>}
      {page.open && may('WRITE_PARENTS') && page.people.some((one) => one.part !== 'ACTED') && (
        <Button onClick={() => onAct({ do: 'parents' })}>{say.writeToParentsButton}</Button>
      )}
      {page.open && may('NOTE') && <Button onClick={() => onAct({ do: 'link' })}>{say.link}</Button>}
      {page.open && may('JOIN') && <Button onClick={() => onAct({ do: 'merge' })}>{say.itIsTheSameAsButton}</Button>}
      {page.open && may('JOIN') && page.people.length > 1 && (
        <Button onClick={() => onAct({ do: 'split' })}>{say.itIsTwoButton}</Button>
      )}
      {page.open && may('CLOSE') && <Button onClick={() => onAct({ do: 'close' })}>{say.closeItButton}</Button>}
      {!page.open && may('CLOSE') && <Button onClick={() => onAct({ do: 'reopen' })}>{say.openItAgainButton}</Button>}
      {may('PACK') && <Packs page={page} />}
      <Button look="quiet" onClick={() => window.print()}>
        {say.print}
      </Button>
    </Flex>
  )
}

/** The whole pack, or a copy for one family in which no other child is named. */
function Packs({ page }: { page: IncidentPage }) {
  const children = page.people.filter((one) => one.part !== 'ACTED')
  const to = `/api/casebook/${page.number}/pack`
  return (
    <Box w="100%" borderTop="1px solid" borderColor="lineStrong" pt="8px" mt="2px">
      <chakra.a href={to} download>
        <Button as="span" look="main">
          {say.evidencePack}
        </Button>
      </chakra.a>
      {children.map((one) => (
        <chakra.p key={one.id} fontSize="13px" mt="4px">
          <chakra.a href={`${to}?cover=${encodeURIComponent(one.id)}`} download textDecoration="underline">
            {say.aCopyForTheParents(one.name)}
          </chakra.a>
          {say.noOtherChildNamed}
        </chakra.p>
      ))}
    </Box>
  )
}

/** What the proposal rested on, and how it fades. */
function WhyProposed({ why }: { why: NonNullable<IncidentPage['why']> }) {
  return (
    <Box mb="14px">
      <chakra.h2 fontSize="15px" borderBottom="1px solid" borderColor="ink" mb="4px">
        {say.whyStepWasProposed(why.step)}
      </chakra.h2>
      <Box borderInlineStart="2px solid" borderColor="ink" ps="10px" fontSize="13.5px">
        {why.says.map((one) => (
          <p key={one}>{one}</p>
        ))}
        {why.fades.map((one) => (
          <Fades key={one.at} step={one} now={why.at} />
        ))}
      </Box>
    </Box>
  )
}

/** The curve of one earlier step: whole when it was taken, half after its days; the stroke is the moment of the proposal. */
function Fades({ step, now }: { step: NonNullable<IncidentPage['why']>['fades'][number]; now: string }) {
  const days = (Date.parse(now) - Date.parse(step.at)) / 86_400_000
  const all = Math.max(days * 1.4, step.halfDays * 2)
  const at = (day: number) => `${4 + (292 * day) / all} ${30 - 24 * 2 ** (-day / step.halfDays)}`
  const curve = Array.from({ length: 25 }, (_, place) => at((all * place) / 24)).join('L')
  const x = 4 + (292 * days) / all
  return (
    <chakra.svg
      viewBox="0 0 300 34"
      w="100%"
      role="img"
      aria-label={say.daysBeforeOfItWasLeft(step.name, Math.round(days), step.left.toFixed(2))}
      color="ink"
      mt="3px"
    >
      <path d={`M${curve}`} fill="none" stroke="currentColor" strokeWidth="1.6" />
      <chakra.path d="M4 31h292" stroke="currentColor" opacity="0.4" />
      <circle cx="4" cy="6" r="3.5" fill="currentColor" />
      <chakra.g color="verdict.away">
        <path d={`M${x} 31V${30 - 24 * step.left}`} stroke="currentColor" strokeWidth="2" />
      </chakra.g>
      {/* Below the curve while that is high, above it once it has sunk. */}
      <text x={Math.min(x + 6, 240)} y={step.left > 0.5 ? 28 : 10} fontSize="10" fill="currentColor">
        {say.left(step.left.toFixed(2))}
      </text>
    </chakra.svg>
  )
}

function Looks({ looks }: { looks: NonNullable<IncidentPage['looks']> }) {
  const time = useSchoolTime()
  return (
    <Box fontSize="13px" color="ink2" className="no-print">
      <chakra.h2 fontSize="14px">{say.lookedAtBy}</chakra.h2>
      {looks.map((one, place) => (
        <p key={place}>{say.takenAway(one.name, time.day(one.at), time.clock(one.at), one.tookAway)}</p>
      ))}
    </Box>
  )
}
