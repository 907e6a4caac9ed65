import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/keeping'
import { get } from '../../shared/api/http'
import type { KeepingPage, KeptPart } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Period } from '../../shared/ui/Period'
import { SumTable } from '../../shared/ui/SumTable'

/** Where lessons drifted from their plan, and how often (need M3). */
export default function KeepingScreen() {
  return <Page title={say.keptToThePlan}>{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
}

function Shown({ isLead }: { isLead: boolean }) {
  const [search, setSearch] = useSearchParams()
  const part = (name: string) => search.get(name) ?? ''
  const asked = new URLSearchParams({
    from: part('from'),
    until: part('until'),
    rule: part('rule'),
    ofClass: part('ofClass'),
  }).toString()
  const { data, error } = useQuery({
    queryKey: ['keeping', asked],
    queryFn: () => get<KeepingPage>(`/api/keeping?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.howLessonsKeptToTheirPlan} />
  const only = (more: Record<string, string>) => {
    const next = { from: data.from, until: data.until, ...more }
    return `/keeping?${new URLSearchParams(next)}`
  }
  const chosen =
    data.rules.find((one) => one.id === part('rule'))?.name ?? data.classes.find((one) => one.id === part('ofClass'))?.name
  return (
    <Box px="20px" py="16px" maxW="1240px" mx="auto">
      <Flex gap="16px" align="end" wrap="wrap" mb="8px">
        <Box>
          <chakra.h1 fontSize="25px">{say.keptToThePlan}</chakra.h1>
          <chakra.p color="ink2">{say.whatAdultsSetOtherwiseWhile(isLead)}</chakra.p>
        </Box>
        <Box flex="1" />
        <Period
          from={data.from}
          until={data.until}
          onChange={(next) => setSearch({ ...Object.fromEntries(search), ...next }, { replace: true })}
        />
      </Flex>
      {data.all.lessons === 0 ? (
        <EmptyNote>{say.noLessonWasHeld}</EmptyNote>
      ) : (
        <>
          <Flex
            gap="30px"
            wrap="wrap"
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            px="16px"
            py="10px"
            mb="14px"
            align="baseline"
          >
            <Big number={say.ofAll(data.all.lessons - data.all.departed, data.all.lessons)} what={say.lessonsWentAsPlanned} />
            {data.all.times > 0 && <Big number={`${data.all.times}`} what={say.departuresInTheOthers} />}
            <Big
              number={say.min(data.all.aloneMinutes)}
              what={say.withoutAnAdultWithout(data.all.lessonsAlone)}
              grave={data.all.aloneMinutes > 0}
            />
          </Flex>
          {data.habits.length > 0 && (
            <Box borderInlineStart="5px solid" borderColor="mark" ps="12px" mb="14px" role="note">
              <strong>{say.thePlanMayNotFit}</strong> {say.inEveryThirdLesson}{' '}
              {data.habits.map((one, place) => (
                <span key={one.id}>
                  {place > 0 && ', '}
                  {say.of(one.name, one.sum.departed, one.sum.lessons)}
                </span>
              ))}
              {say.aClassCan}{' '}
              <Link to="/charter">
                <u>{say.planIt}</u>
              </Link>
              {say.orAStance}
            </Box>
          )}
          <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 470px' }} gap="32px" alignItems="start">
            <Box>
              <Flex align="baseline" gap="10px" mb="4px">
                <chakra.h2 fontSize="17px">
                  {chosen ? say.lessonsThatDeparted(chosen) : say.lessonsThatDepartedTheLatestFirst}
                </chakra.h2>
                {chosen && (
                  <Link to={only({})}>
                    <Button as="span" size="small">
                      {say.allLessons}
                    </Button>
                  </Link>
                )}
              </Flex>
              {data.lessons.length === 0 && <EmptyNote>{say.noneEveryLessonWent}</EmptyNote>}
              <Lessons page={data} />
              {data.driftedInAll > data.lessons.length && (
                <chakra.p fontSize="13px" color="ink2" mt="4px">
                  {say.moreAreNotShownChoose(data.driftedInAll - data.lessons.length)}
                </chakra.p>
              )}
            </Box>
            <Box>
              <Parts title={say.byRule} parts={data.rules} to={(one) => only({ rule: one.id })} of />
              <Parts
                title={say.byClass}
                parts={data.classes.filter((one) => one.sum.departed > 0)}
                to={(one) => only({ ofClass: one.id })}
                of
              />
              <Parts title={say.byAdult} parts={data.adults} />
            </Box>
          </Grid>
        </>
      )}
    </Box>
  )
}

function Big({ number, what, grave = false }: { number: string; what: string; grave?: boolean }) {
  return (
    <span>
      <chakra.b fontFamily="heading" fontSize="24px" fontWeight="650" color={grave ? 'verdict.away' : 'ink'}>
        {number}
      </chakra.b>{' '}
      {what}
    </span>
  )
}

const KIND: Record<KeepingPage['lessons'][number]['departures'][number]['kind'], string> = {
  LIVE_ORDER: say.setTo,
  PASS: say.lentTo,
  CURB: say.takenFrom,
}

function Lessons({ page }: { page: KeepingPage }) {
  const time = useSchoolTime()
  return (
    <chakra.ol listStyleType="none" bg="sheet" borderTop={page.lessons.length ? '1.5px solid' : 'none'} borderColor="ink">
      {page.lessons.map((one) => (
        <chakra.li key={one.lesson} px="10px" py="5px" borderBottom="1px solid" borderColor="line">
          <Flex gap="10px" align="baseline" wrap="wrap">
            <chakra.span fontFamily="mono" fontSize="12.5px">
              {time.day(one.starts)} {time.clock(one.starts)}
            </chakra.span>
            <chakra.span fontWeight="650">
              <Link to={`/lessons/${one.lesson}/replay`}>{one.title}</Link>
            </chakra.span>
            {one.aloneMinutes > 0 && (
              <chakra.span color="verdict.away" fontWeight="650">
                {say.minWithoutAnAdult(one.aloneMinutes)}
              </chakra.span>
            )}
          </Flex>
          {one.departures.map((departure, place) => (
            <chakra.span key={place} display="block" fontSize="13px" color="ink2">
              <chakra.span color="ink">{departure.title}</chakra.span> {KIND[departure.kind]} {departure.value ?? departure.of}
              {say.byForMin(departure.by, departure.minutes)}
            </chakra.span>
          ))}
        </chakra.li>
      ))}
    </chakra.ol>
  )
}

/** How often each departed: as a bar of its lessons where that says something, always as numbers. */
function Parts({
  title,
  parts,
  to,
  of = false,
}: {
  title: string
  parts: KeptPart[]
  to?: (one: KeptPart) => string
  of?: boolean
}) {
  return (
    <SumTable title={title} rows={parts} name={(one) => one.name} to={to}>
      {(one) => (
        <>
          {of && (
            <chakra.td w="86px">
              <Box w="70px" h="9px" border="1px solid" borderColor="ink" aria-hidden="true">
                <Box h="100%" bg="ink" w={`${(100 * one.sum.departed) / one.sum.lessons}%`} />
              </Box>
            </chakra.td>
          )}
          <chakra.td fontSize="12.5px" color="ink2" whiteSpace="nowrap">
            {say.inOfLessonsInLessons(of, one.sum.departed, one.sum.lessons, one.sum.times, one.sum.minutes)}
          </chakra.td>
        </>
      )}
    </SumTable>
  )
}
