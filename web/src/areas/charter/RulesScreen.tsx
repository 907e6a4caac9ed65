import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/charter'
import type { Me, Rules } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { askConsequences, readRules, rulesKey } from './api'
import { useCharterKeys } from './keys'
import { counts, filtered, NO_FILTER, type Filter } from './filter'
import { Chapters } from './parts/Chapters'
import { ConsequencesView } from './parts/ConsequencesView'
import { DraftPanel } from './parts/DraftPanel'
import { Editor } from './parts/Editor'
import { Glance } from './parts/Glance'
import { History } from './parts/History'
import { PlaceHead } from './parts/PlaceHead'
import { RulesTable, type Chosen } from './parts/RulesTable'

type View = 'rules' | 'consequences' | 'history'

/** The rules of one place: the charter, a year group, a class, a lesson, or a ready-made set. */
export default function RulesScreen() {
  const { place = 'school' } = useParams()
  return (
    <Page title={place === 'school' ? say.charterTitle : say.rules}>{(me) => <OfPlace key={place} place={place} me={me} />}</Page>
  )
}

function OfPlace({ place, me }: { place: string; me: Me }) {
  const [on, setOn] = useState('')
  const { data, error } = useQuery({ queryKey: rulesKey(place, on), queryFn: () => readRules(place, on) })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theRules} />
  return <Document rules={data} me={me} on={on} onDay={setOn} />
}

interface DocumentProps {
  rules: Rules
  me: Me
  on: string
  onDay: (day: string) => void
}

function Document({ rules, me, on, onDay }: DocumentProps) {
  const find = useSearchParams()[0].get('find') ?? ''
  const [filter, setFilter] = useState<Filter>(() => ({
    ...NO_FILTER,
    search: find,
    only: find === '' && rules.place !== 'school' && counts(rules).here > 0 ? 'here' : '',
  }))
  const [chosen, setChosen] = useState<Chosen | null>(null)
  const [view, setView] = useState<View>('rules')
  const [from, setFrom] = useState('')
  const [said, setSaid] = useState('')
  const shown = filtered(rules, filter)
  const hasDraft = rules.draft.length > 0
  const report = useQuery({
    queryKey: ['consequences', rules.place, from, rules.draft],
    queryFn: () => askConsequences(rules.place, from),
    enabled: hasDraft && view === 'consequences',
  })
  const keys = useCharterKeys(rules, rules.editable && !on)
  const look = view === 'consequences' && !hasDraft ? 'rules' : view
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 300px', xl: look === 'rules' ? '196px 1fr 312px' : '1fr 312px' }}>
      {look === 'rules' && (
        <Box gridColumn={{ lg: '1 / -1', xl: 'auto' }}>
          <Chapters rules={rules} shown={shown} filter={filter} onFilter={setFilter} />
        </Box>
      )}
      <Box px={{ base: '12px', xl: look === 'rules' ? '0' : '24px' }} py="16px" minW="0">
        {look === 'rules' && (
          <>
            <Head rules={rules} on={on} onDay={onDay} said={said} />
            <PlaceHead rules={rules} />
            {rules.editable && !on && <KeysLine />}
            <ProblemNote problem={keys.problem} compact />
            {shown.length === 0 && (
              <EmptyNote>
                {say.noRuleFits} <Button onClick={() => setFilter(NO_FILTER)}>{say.showAllButton}</Button>
              </EmptyNote>
            )}
            <RulesTable
              chapters={shown}
              role={filter.role}
              layered={rules.place !== 'school'}
              chosen={chosen}
              onChoose={setChosen}
              onOver={keys.onOver}
            />
          </>
        )}
        {look === 'history' && (
          <History
            place={rules.place}
            onDay={(day) => {
              onDay(day)
              setView('rules')
            }}
          />
        )}
        {look === 'consequences' && report.error && <ProblemNote problem={report.error} />}
        {look === 'consequences' &&
          (report.data ? (
            <ConsequencesView report={report.data} place={rules.place} from={from} />
          ) : (
            !report.error && <LoadingNote what={say.theConsequences} />
          ))}
      </Box>
      <Box as="aside" aria-label={say.draftAndWhy} px="14px" py="16px" minW="0">
        <Box position={{ lg: 'sticky' }} top="12px" maxH={{ lg: 'calc(100vh - 24px)' }} overflowY={{ lg: 'auto' }} tabIndex={0}>
          {hasDraft && (
            <DraftPanel
              rules={rules}
              from={from}
              onFrom={setFrom}
              open={look === 'consequences'}
              onOpen={(open) => setView(open ? 'consequences' : 'rules')}
              onApplied={(words) => {
                setSaid(words)
                setView('rules')
                setChosen(null)
              }}
            />
          )}
          {look === 'history' && (
            <Button mb="10px" onClick={() => setView('rules')}>
              {say.backToTheRules}
            </Button>
          )}
          {chosen && look === 'rules' ? (
            <Editor
              key={chosen.rule.key + chosen.cell.role + chosen.when + chosen.cell.value}
              place={rules.place}
              chosen={chosen}
              editable={rules.editable}
              onDone={() => setChosen(null)}
            />
          ) : look !== 'rules' ? null : rules.place === 'school' ? (
            <Glance lead={me.position === 'LEAD'} editable={rules.editable && !hasDraft} onHistory={() => setView('history')} />
          ) : (
            <Flex direction="column" align="flex-start" gap="4px" css={{ '& a': { textDecoration: 'underline' } }}>
              <chakra.p color="ink2">{say.chooseAValueToSee(rules.editable)}</chakra.p>
              <Link to="/charter">{say.theCharter}</Link>
              <Link to={`/try?place=${rules.place}`}>{say.tryASituation}</Link>
              <Link to="/sets">{say.readyMadeSets}</Link>
              <Link to="/ladder">{say.theLadder}</Link>
              <Button look="quiet" onClick={() => setView('history')}>
                {say.historyAndTheRules}
              </Button>
            </Flex>
          )}
        </Box>
      </Box>
    </Grid>
  )
}

/** The keys that set a value where the pointer or the focus is, said where they work. */
function KeysLine() {
  return (
    <Flex
      gap="4px 14px"
      wrap="wrap"
      fontSize="12.5px"
      color="ink2"
      mb="10px"
      css={{ '@media (pointer: coarse)': { display: 'none' } }}
    >
      <span>{say.keysOnAValue}</span>
      <span>
        <Key>O</Key> {say.open} <Key>R</Key> {say.onRequest} <Key>C</Key> {say.closed}
      </span>
      <span>
        <Key>1</Key>–<Key>9</Key> {say.aChoice}
      </span>
      <span>
        <Key>+</Key> <Key>−</Key> {say.aNumber}
      </span>
      <span>
        {say.with} <Key>Shift</Key> {say.bindingToo}
      </span>
      <span>
        <Key>B</Key> {say.bindsWhatStands}
      </span>
      <span>
        <Key>Del</Key> {say.takesBack}
      </span>
    </Flex>
  )
}

function Head({ rules, on, onDay, said }: { rules: Rules; on: string; onDay: (day: string) => void; said: string }) {
  return (
    <Box mb="12px">
      <chakra.h1 fontSize="27px">{say.set(rules.place.startsWith('set:'), rules.title)}</chakra.h1>
      {on ? (
        <chakra.p bg="markSoft" px="10px" py="4px">
          {say.theRulesAsOfSaid(on)} <Button onClick={() => onDay('')}>{say.backToToday}</Button>
        </chakra.p>
      ) : (
        <chakra.p color="ink2" maxW="640px">
          {ABOUT[rules.place.split(':')[0] ?? '']}
          {say.chooseAValueToChange(rules.editable)}
        </chakra.p>
      )}
      {said && (
        <chakra.p
          role="status"
          bg="verdict.inSoft"
          borderInlineStart="4px solid"
          borderColor="verdict.in"
          px="10px"
          py="4px"
          mt="6px"
        >
          ✓ {said}
        </chakra.p>
      )}
    </Box>
  )
}

const ABOUT: Record<string, string> = {
  school: say.whatHoldsInEveryLesson,
  year: say.whatThisYearGroupRefines,
  class: say.whatThisClassRefines,
  lesson: say.whatThisOneLessonRefines,
  set: say.whatAClassTakesOver,
}
