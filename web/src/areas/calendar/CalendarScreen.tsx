import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/calendar'
import { edit, EDITED, get, post } from '../../shared/api/http'
import type { DaysRead, SchoolCalendar } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextField, TextInput } from '../../shared/ui/Fields'
import { FileBox } from '../../shared/ui/FileBox'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { NotTaken } from '../../shared/ui/NotTaken'
import { Page } from '../../shared/ui/Page'

const DAYS = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'] as const
const KEY = ['calendar']

/** When the school is held: terms, holidays, days and hours. Series leave holidays out, and the inspection goes by it. */
export default function CalendarScreen() {
  return <Page title={say.theSchoolsCalendar}>{(me) => <Shown mayChange={me.position === 'LEAD'} />}</Page>
}

function Shown({ mayChange }: { mayChange: boolean }) {
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<SchoolCalendar>('/api/calendar'), ...EDITED })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theSchoolsCalendarFetched} />
  return <Form key={JSON.stringify(data)} known={data} mayChange={mayChange} />
}

function Form({ known, mayChange }: { known: SchoolCalendar; mayChange: boolean }) {
  const cache = useQueryClient()
  const [wanted, setWanted] = useState(known)
  const save = useMutation({
    mutationFn: () => edit<SchoolCalendar>('/api/calendar', wanted),
    onSuccess: (next) => {
      cache.setQueryData(KEY, next)
      return Promise.all([
        cache.invalidateQueries({ queryKey: ['timetable'] }),
        cache.invalidateQueries({ queryKey: ['inspection'] }),
      ])
    },
  })
  const changed = JSON.stringify(wanted) !== JSON.stringify(known)
  return (
    <chakra.form
      px="20px"
      py="16px"
      maxW="1060px"
      mx="auto"
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate()
      }}
    >
      <chakra.h1 fontSize="25px">{say.theSchoolsCalendar}</chakra.h1>
      <chakra.p color="ink2" mb="14px">
        {say.seriesLeaveHolidaysOutLinks} <Link to="/inspection">{say.inspection}</Link> {say.goesByDaysAndHours}
      </chakra.p>
      <chakra.fieldset disabled={!mayChange} border="none" minW="0">
        <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="32px">
          <Stretches
            title={say.terms}
            empty={say.noTermsEveryDay}
            all={wanted.terms}
            onChange={(terms) => setWanted({ ...wanted, terms })}
          />
          <Stretches
            title={say.holidays}
            empty={say.noHolidays}
            all={wanted.holidays}
            onChange={(holidays) => setWanted({ ...wanted, holidays })}
          />
        </Grid>
        {mayChange && (
          <DaysOfFile
            onHoliday={(one) => setWanted({ ...wanted, holidays: [...wanted.holidays, one] })}
            onTerm={(one) => setWanted({ ...wanted, terms: [...wanted.terms, one] })}
          />
        )}
        <chakra.h2 fontSize="17px" mt="18px" mb="6px">
          {say.daysAndHoursOfLessons}
        </chakra.h2>
        <Flex gap="14px" wrap="wrap" mb="10px">
          {DAYS.map((day) => (
            <label key={day}>
              <input
                type="checkbox"
                checked={wanted.days.includes(day)}
                onChange={() =>
                  setWanted({
                    ...wanted,
                    days: DAYS.filter((one) => (one === day) !== wanted.days.includes(one)),
                  })
                }
              />{' '}
              {day[0] + day.slice(1).toLowerCase()}
            </label>
          ))}
        </Flex>
        <Flex gap="14px" maxW="300px">
          <TextField
            label={say.from}
            type="time"
            value={wanted.opens}
            onChange={(event) => setWanted({ ...wanted, opens: event.target.value })}
          />
          <TextField
            label={say.until}
            type="time"
            value={wanted.closes}
            onChange={(event) => setWanted({ ...wanted, closes: event.target.value })}
          />
        </Flex>
      </chakra.fieldset>
      <ProblemNote problem={save.error} />
      {mayChange ? (
        <Flex gap="8px" mt="10px" align="center">
          <Button type="submit" look="main" disabled={!changed || save.isPending}>
            {say.keepThisCalendar}
          </Button>
          {changed && <Button onClick={() => setWanted(known)}>{say.backTo}</Button>}
          <span role="status">{say.kept(save.isSuccess, changed)}</span>
        </Flex>
      ) : (
        <chakra.p color="ink2" mt="10px">
          {say.theSafeguardingLeadKeeps}
        </chakra.p>
      )}
    </chakra.form>
  )
}

type Stretch = SchoolCalendar['terms'][number]

function Stretches({
  title,
  empty,
  all,
  onChange,
}: {
  title: string
  empty: string
  all: Stretch[]
  onChange: (all: Stretch[]) => void
}) {
  const change = (place: number, part: Partial<Stretch>) =>
    onChange(all.map((one, index) => (index === place ? { ...one, ...part } : one)))
  return (
    <Box>
      <chakra.h2 fontSize="17px" mb="4px">
        {title}
      </chakra.h2>
      {all.length === 0 && <chakra.p color="ink2">{empty}</chakra.p>}
      {all.map((one, place) => (
        <Flex key={place} gap="6px" mb="6px" align="center">
          <TextInput
            aria-label={say.name(title, place + 1)}
            value={one.name}
            maxLength={80}
            onChange={(event) => change(place, { name: event.target.value })}
          />
          <TextInput
            aria-label={say.firstDay(title, place + 1)}
            type="date"
            w="150px"
            flexShrink={0}
            value={one.first}
            onChange={(event) => change(place, { first: event.target.value })}
          />
          <TextInput
            aria-label={say.lastDay(title, place + 1)}
            type="date"
            w="150px"
            flexShrink={0}
            value={one.last}
            onChange={(event) => change(place, { last: event.target.value })}
          />
          <Button size="small" onClick={() => onChange(all.filter((_, index) => index !== place))}>
            {say.remove}
            <chakra.span srOnly> {one.name}</chakra.span>
          </Button>
        </Flex>
      ))}
      <Button size="small" onClick={() => onChange([...all, { name: '', first: '', last: '' }])}>
        {say.add(title)}
      </Button>
    </Box>
  )
}

type NamedDays = SchoolCalendar['holidays'][number]

/** Whole days of a calendar file, each to be taken as a holiday or a term; nothing counts before the calendar is kept. */
function DaysOfFile({ onHoliday, onTerm }: { onHoliday: (one: NamedDays) => void; onTerm: (one: NamedDays) => void }) {
  const [done, setDone] = useState<string[]>([])
  const read = useMutation({ mutationFn: (file: File) => post<DaysRead>('/api/calendar/days', file) })
  const key = (one: NamedDays) => `${one.name} ${one.first}`
  const take = (one: NamedDays, to: (one: NamedDays) => void) => {
    setDone([...done, key(one)])
    to(one)
  }
  const left = read.data?.days.filter((one) => !done.includes(key(one))) ?? []
  return (
    <Box mt="14px">
      <chakra.p color="ink2" mb="4px">
        {say.orChooseThem}
      </chakra.p>
      <FileBox
        label={say.daysOfACalendarFile}
        accept=".ics,text/calendar"
        onFile={(file) => {
          setDone([])
          read.mutate(file)
        }}
      />
      <ProblemNote problem={read.error} compact />
      {read.data && (
        <Box role="region" aria-label={say.daysInTheFile} maxH="260px" overflowY="auto" tabIndex={0}>
          {left.length === 0 && <p>{say.noDay}</p>}
          {left.map((one) => (
            <Flex key={key(one)} gap="10px" align="center" py="3px" borderBottom="1px solid" borderColor="line" wrap="wrap">
              <Box flex="1" minW="200px">
                <strong>{one.name}</strong> {say.to(one.first, one.last)}
              </Box>
              <Button size="small" onClick={() => take(one, onHoliday)}>
                {say.aHoliday}
              </Button>
              <Button size="small" onClick={() => take(one, onTerm)}>
                {say.aTerm}
              </Button>
            </Flex>
          ))}
        </Box>
      )}
      <NotTaken what={say.notReadAsDays} wrong={read.data?.told ?? []} />
    </Box>
  )
}
