import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/charter'
import { get } from '../../shared/api/http'
import type { ClassLine, ClassPage, ReadySet, Role, Tried, TriedRight } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextInput } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Shutter } from '../../shared/ui/Shutter'
import { WhySheet } from '../../shared/ui/Why'
import { ROLES } from './roles'

/** A moment somebody tries out. `facts` is empty for the ordinary situation. */
interface Case {
  place: string
  role: Role
  /** Somebody of the class, whose role it is; empty for anybody of the role. */
  person: string
  day: string
  time: string
  minute: string
  stance: string
  facts: string[]
  draft: boolean
}

const ORDINARY = ['adult-present', 'school-account']

/** Every right of a person in a class, at a moment and in a situation; and another case beside it. */
export default function TryScreen() {
  return <Page title={say.tryASituation}>{() => <Try />}</Page>
}

function Try() {
  const [params] = useSearchParams()
  const first: Case = {
    place: params.get('place') ?? 'school',
    role: 'PUPIL',
    person: '',
    day: '',
    time: '',
    minute: '',
    stance: '',
    facts: ORDINARY,
    draft: false,
  }
  const [left, setLeft] = useState(first)
  const [right, setRight] = useState<Case | null>(null)
  const [why, setWhy] = useState<string | null>(null)
  const one = useTried(left)
  const other = useTried(right)
  return (
    <Box maxW="1180px" mx="auto" px="20px" py="18px">
      <chakra.h1 fontSize="27px">{say.tryASituation}</chakra.h1>
      <chakra.p color="ink2" mb="12px">
        {say.whoMay}
      </chakra.p>
      <Grid templateColumns={right ? { base: '1fr', md: '1fr 1fr' } : '1fr'} gap="18px" mb="14px">
        <CaseForm title={say.thisCase} value={left} onChange={setLeft} tried={one.data} />
        {right && <CaseForm title={say.besideIt} value={right} onChange={setRight} tried={other.data} />}
      </Grid>
      {right ? (
        <Button onClick={() => setRight(null)}>{say.withoutTheSecondCase}</Button>
      ) : (
        <Button look="main" onClick={() => setRight({ ...left })}>
          {say.putAnotherCaseBeside}
        </Button>
      )}
      <ProblemNote problem={one.error ?? other.error} />
      {!one.data && !one.error && <LoadingNote what={say.theRights} />}
      {one.data && (
        <Outcome
          left={one.data}
          right={right ? other.data : undefined}
          onWhy={(rule, second) => setWhy(pathOf(second && right ? right : left, `/why/${rule}`))}
        />
      )}
      <WhySheet path={why} onClose={() => setWhy(null)} />
    </Box>
  )
}

function pathOf(one: Case, more = ''): string {
  const query = new URLSearchParams({ facts: one.facts.join(','), draft: String(one.draft) })
  for (const part of ['day', 'time', 'minute', 'stance'] as const) {
    if (one[part] !== '') query.set(part, one[part])
  }
  return `/api/try/${one.place}/${one.role}${more}?${query}`
}

function useTried(one: Case | null) {
  const path = one ? pathOf(one) : ''
  return useQuery({
    queryKey: ['try', path],
    queryFn: () => get<Tried>(path),
    enabled: one !== null,
    placeholderData: (before) => before,
  })
}

interface CaseFormProps {
  title: string
  value: Case
  onChange: (next: Case) => void
  tried: Tried | undefined
}

function CaseForm({ title, value, onChange, tried }: CaseFormProps) {
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => get<ClassLine[]>('/api/classes') })
  const sets = useQuery({ queryKey: ['sets'], queryFn: () => get<ReadySet[]>('/api/sets') })
  const ofClass = value.place.startsWith('class:') ? value.place.slice('class:'.length) : ''
  const members = useQuery({
    queryKey: ['class', ofClass],
    queryFn: () => get<ClassPage>(`/api/classes/${ofClass}`),
    enabled: ofClass !== '',
  })
  const people = ofClass === '' ? [] : [...(members.data?.adults ?? []), ...(members.data?.pupils ?? [])]
  const set = (more: Partial<Case>) => onChange({ ...value, ...more })
  const field = (label: string, box: (id: string) => React.ReactNode) => <Labelled label={label}>{box}</Labelled>
  return (
    <chakra.section bg="sheet" borderTop="1.5px solid" borderColor="ink" px="14px" py="10px" aria-label={title}>
      <Grid templateColumns="repeat(auto-fit, minmax(136px, 1fr))" gap="0 12px">
        {field(say.where, (id) => (
          <Select id={id} value={value.place} onChange={(event) => set({ place: event.target.value, person: '' })}>
            <option value="school">{say.theSchool}</option>
            {[7, 8, 9, 10, 11].map((year) => (
              <option key={year} value={`year:${year}`}>
                {say.yearSaid(year)}
              </option>
            ))}
            {value.place.startsWith('lesson:') && <option value={value.place}>{say.thisLesson}</option>}
            {classes.data?.map((one) => (
              <option key={one.id} value={`class:${one.id}`}>
                {one.title}
              </option>
            ))}
          </Select>
        ))}
        {field(say.who, (id) => (
          <Select
            id={id}
            value={value.person || value.role}
            onChange={(event) => {
              const person = people.find((one) => one.id === event.target.value)
              set(person ? { person: person.id, role: person.role } : { person: '', role: event.target.value as Role })
            }}
          >
            <optgroup label={say.anybodyWhoIs}>
              {ROLES.map((one) => (
                <option key={one.role} value={one.role}>
                  {one.name}
                </option>
              ))}
            </optgroup>
            {people.length > 0 && (
              <optgroup label={say.ofThisClass}>
                {people.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.name}
                  </option>
                ))}
              </optgroup>
            )}
          </Select>
        ))}
        {field(say.day, (id) => (
          <TextInput id={id} type="date" value={value.day} onChange={(event) => set({ day: event.target.value })} />
        ))}
        {field(say.time, (id) => (
          <TextInput id={id} type="time" value={value.time} onChange={(event) => set({ time: event.target.value })} />
        ))}
        {field(say.minuteOfTheLesson, (id) => (
          <TextInput
            id={id}
            type="number"
            min={0}
            max={49}
            placeholder={say.any}
            value={value.minute}
            onChange={(event) => set({ minute: event.target.value })}
          />
        ))}
        {field(say.stance, (id) => (
          <Select id={id} value={value.stance} onChange={(event) => set({ stance: event.target.value })}>
            <option value="">{say.none}</option>
            {sets.data?.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        ))}
      </Grid>
      <Flex gap="4px 14px" wrap="wrap">
        {tried?.facts.map((fact) => (
          <label key={fact.fact}>
            <input
              type="checkbox"
              checked={value.facts.includes(fact.fact)}
              onChange={() =>
                set({
                  facts: value.facts.includes(fact.fact)
                    ? value.facts.filter((one) => one !== fact.fact)
                    : [...value.facts, fact.fact],
                })
              }
            />{' '}
            {fact.words}
          </label>
        ))}
        <label>
          <input type="checkbox" checked={value.draft} onChange={() => set({ draft: !value.draft })} /> {say.withMyDraft}
        </label>
      </Flex>
      <chakra.p color="ink2" fontSize="12.5px" mt="4px">
        {tried?.at}
      </chakra.p>
    </chakra.section>
  )
}

interface OutcomeProps {
  left: Tried
  right: Tried | undefined
  onWhy: (rule: string, second: boolean) => void
}

function Outcome({ left, right, onWhy }: OutcomeProps) {
  const beside = new Map(right?.areas.flatMap((area) => area.rules).map((one) => [one.rule, one]))
  const same = (one: TriedRight) => beside.get(one.rule)?.value === one.value
  const different = left.areas.flatMap((area) => area.rules).filter((one) => right && beside.has(one.rule) && !same(one)).length
  return (
    <>
      {right && (
        <chakra.p my="8px" role="status">
          {say.nothingDiffersRuleDiffersRules(different)}
        </chakra.p>
      )}
      <Box mt="8px" css={{ columns: right ? 1 : { base: 1, lg: 2 }, columnGap: '24px' }}>
        {left.areas.map((area) => (
          <chakra.section key={area.title} breakInside="avoid" mb="14px" bg="sheet" borderTop="1.5px solid" borderColor="ink">
            <chakra.h2 fontSize="15px" px="10px" py="3px" borderBottom="1px solid" borderColor="lineStrong">
              {area.title}
            </chakra.h2>
            {area.rules.map((one) => {
              const second = beside.get(one.rule)
              return (
                <Grid
                  key={one.rule}
                  templateColumns={right ? '1fr 1fr 1fr' : '1fr 1fr'}
                  gap="10px"
                  px="10px"
                  py="2px"
                  borderBottom="1px solid"
                  borderColor="line"
                  bg={second && !same(one) ? 'markSoft' : undefined}
                >
                  <span>{one.title}</span>
                  <TriedCell one={one} onWhy={() => onWhy(one.rule, false)} />
                  {right &&
                    (second ? (
                      <TriedCell one={second} onWhy={() => onWhy(one.rule, true)} />
                    ) : (
                      <chakra.span color="ink2">{say.noSuchRuleForThisRole}</chakra.span>
                    ))}
                </Grid>
              )
            })}
          </chakra.section>
        ))}
      </Box>
    </>
  )
}

function TriedCell({ one, onWhy }: { one: TriedRight; onWhy: () => void }) {
  return (
    <chakra.button type="button" textAlign="start" cursor="pointer" onClick={onWhy} _hover={{ bg: 'markSoft' }}>
      {one.right && <Shutter value={one.value} bound={one.bound} />} <strong>{one.words}</strong>{' '}
      <chakra.span fontSize="12.5px" color="ink2">
        {one.because}
        {one.until && `; ${one.until}`}
      </chakra.span>
    </chakra.button>
  )
}
