import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/casebook'
import { get } from '../../shared/api/http'
import type { FairnessOfAct, FairnessPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Period } from '../../shared/ui/Period'

const BY: [FairnessPage['by'], string][] = [
  ['CLASS', say.byClass],
  ['YEAR', say.byYear],
  ['ADULT', say.byAdult],
]

/** Whether like acts are met alike (need G6). A number never accuses; it says where to look. */
export default function FairnessScreen() {
  return <Page title={say.fairness}>{() => <Shown />}</Page>
}

function Shown() {
  const [search, setSearch] = useSearchParams()
  const by = search.get('by') ?? 'ADULT'
  const asked = new URLSearchParams({ by, from: search.get('from') ?? '', until: search.get('until') ?? '' }).toString()
  const { data, error } = useQuery({
    queryKey: ['fairness', asked],
    queryFn: () => get<FairnessPage>(`/api/casebook/fairness?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.howActsWereMet} />
  const set = (more: Record<string, string>) => setSearch({ ...Object.fromEntries(search), ...more }, { replace: true })
  return (
    <Box className="paper" px="20px" py="16px" maxW="1160px" mx="auto">
      <Flex gap="16px" align="end" wrap="wrap" mb="8px">
        <Box>
          <chakra.p fontSize="13px" className="no-print">
            <Link to="/casebook">
              <chakra.span textDecoration="underline">{say.casebook}</chakra.span>
            </Link>
          </chakra.p>
          <chakra.h1 fontSize="25px">{say.areLikeActsMetAlike}</chakra.h1>
        </Box>
        <Flex role="group" aria-label={say.toldApart} gap="0">
          {BY.map(([value, name]) => (
            <Button
              key={value}
              aria-pressed={data.by === value}
              look={data.by === value ? 'main' : 'plain'}
              borderRadius="0"
              onClick={() => set({ by: value })}
            >
              {name}
            </Button>
          ))}
        </Flex>
        <Box flex="1" />
        <Period from={data.from} until={data.until} onChange={(next) => set({ ...next })} />
      </Flex>
      <Box
        bg="sheet"
        borderInlineStart="4px solid"
        borderColor="lineStrong"
        px="12px"
        py="7px"
        mb="14px"
        fontSize="13.5px"
        maxW="860px"
      >
        <strong>{say.whatThisPageCannotKnow}</strong> {say.whatWasNotWrittenDown}
      </Box>
      {data.acts.length === 0 ? (
        <EmptyNote>{say.noStepWasTaken}</EmptyNote>
      ) : (
        data.acts.map((one) => <OfAct key={one.act} act={one} steps={data.steps} />)
      )}
    </Box>
  )
}

const percent = (share: number) => `${Math.round(100 * share)} %`

function OfAct({ act, steps }: { act: FairnessOfAct; steps: string[] }) {
  const used = steps.map((_, place) => place).filter((place) => (act.levels[place] ?? 0) > 0)
  return (
    <Box as="section" mb="20px" aria-label={act.act}>
      <chakra.h2 fontSize="18px">
        {act.act}{' '}
        <chakra.span fontSize="13px" color="ink2" fontWeight="400">
          {say.outsideTheLesson(act.of, act.outside)}
        </chakra.span>
      </chakra.h2>
      <Box overflowX="auto">
        <chakra.table
          w="100%"
          bg="sheet"
          borderTop="1.5px solid"
          borderColor="ink"
          fontSize="13.5px"
          css={{ '& td, & th': { padding: '4px 8px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' } }}
        >
          <thead>
            <chakra.tr fontSize="12px" color="ink2">
              <th>
                <chakra.span srOnly>{say.who}</chakra.span>
              </th>
              {used.map((place) => (
                <chakra.th key={place} css={{ textAlign: 'right !important' }} title={steps[place]}>
                  {say.stepSaid(place + 1)}
                </chakra.th>
              ))}
              <chakra.th w="340px">{say.endedOutsideTheLesson}</chakra.th>
              <th>
                <chakra.span srOnly>{say.whatItComes}</chakra.span>
              </th>
            </chakra.tr>
          </thead>
          <tbody>
            {[{ ...act, name: say.all, few: false, apart: false }, ...act.groups].map((one) => (
              <tr key={one.name}>
                <chakra.td fontWeight={one.name === 'All' ? 650 : 400}>{one.name}</chakra.td>
                {used.map((place) => (
                  <chakra.td key={place} fontFamily="mono" css={{ textAlign: 'right !important' }}>
                    {one.levels[place] || '·'}
                  </chakra.td>
                ))}
                <td>
                  <Range
                    low={one.low}
                    high={one.high}
                    share={one.of ? one.outside / one.of : 0}
                    all={act.of ? act.outside / act.of : 0}
                  />
                </td>
                <chakra.td whiteSpace="nowrap">
                  <chakra.span fontFamily="mono">{say.of(one.outside, one.of)}</chakra.span>{' '}
                  <chakra.span fontSize="12px" color="ink2">
                    {say.to(percent(one.low), percent(one.high))}
                  </chakra.span>
                  {one.apart && <strong> {say.apart}</strong>}
                  {one.few && (
                    <chakra.span fontSize="12px" color="verdict.wait">
                      {' '}
                      {say.few}
                    </chakra.span>
                  )}
                </chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
      {act.unlike.length > 0 && (
        <Box mt="6px">
          <chakra.h3 fontSize="14px">{say.alikeMetDifferently}</chakra.h3>
          <Box as="ul" listStyleType="none" fontSize="13.5px">
            {act.unlike.slice(0, 6).map((pair) => (
              <Pair key={`${pair.mild.moment} ${pair.hard.moment}`} pair={pair} steps={steps} />
            ))}
          </Box>
        </Box>
      )}
    </Box>
  )
}

/** A share as a stroke in its range; the line across is the share of all. */
function Range({ low, high, share, all }: { low: number; high: number; share: number; all: number }) {
  return (
    <Box position="relative" h="16px" aria-hidden>
      <Box position="absolute" top="7.5px" left="0" right="0" h="1px" bg="line" />
      <Box
        position="absolute"
        top="5px"
        h="6px"
        bg="lineStrong"
        style={{ left: `${100 * low}%`, width: `${100 * (high - low)}%` }}
      />
      <Box position="absolute" top="1px" w="4px" h="14px" bg="ink" style={{ left: `calc(${100 * share}% - 2px)` }} />
      <Box
        position="absolute"
        top="0"
        bottom="0"
        borderInlineStart="1.5px dashed"
        borderColor="verdict.away"
        style={{ left: `${100 * all}%` }}
      />
    </Box>
  )
}

function Pair({ pair, steps }: { pair: FairnessOfAct['unlike'][number]; steps: string[] }) {
  const time = useSchoolTime()
  const one = (it: typeof pair.mild) => (
    <>
      <Link to={it.number > 0 ? `/casebook/${it.number}` : `/lessons/${it.lesson}/replay`}>
        <chakra.span textDecoration="underline">{say.noTheLesson(it.number)}</chakra.span>
      </Link>
      , {it.pupil}, {it.classTitle}, {time.day(it.moment)}: {steps[it.level - 1]?.toLowerCase()}
    </>
  )
  return (
    <Flex as="li" gap="14px" py="3px" borderBottom="1px dotted" borderColor="lineStrong" wrap="wrap">
      <Box flex="1" minW="260px">
        {one(pair.mild)}
      </Box>
      <Box flex="1" minW="260px">
        {one(pair.hard)}
      </Box>
      <chakra.span color="ink2">{say.stepWasProposedForBoth(pair.proposed)}</chakra.span>
    </Flex>
  )
}
