import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/casebook'
import { get } from '../../shared/api/http'
import type { CasebookPage, IncidentLine } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Todos } from '../../shared/casebook/Todos'
import { WriteDown } from './parts/WriteDown'

/** Incidents across classes as a working list: what is due, by whom, and what happened (need G5). */
export default function CasebookScreen() {
  return <Page title={say.casebook}>{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
}

const PAGES = [
  { to: '/casebook/patterns', name: say.patternsAcrossClasses, leads: true },
  { to: '/casebook/fairness', name: say.areLikeActsMetAlike, leads: true },
  { to: '/casebook/evidence', name: say.checkAnEvidencePack, leads: false },
  { to: '/ladder', name: say.theLadderAndHeadsOfYears, leads: false },
]

function Shown({ isLead }: { isLead: boolean }) {
  const [search, setSearch] = useSearchParams()
  const [words, setWords] = useState(search.get('find') ?? '')
  const [writing, setWriting] = useState(false)
  const asked = new URLSearchParams({
    find: search.get('find') ?? '',
    open: search.get('open') ?? 'false',
    before: search.get('before') ?? '2147483647',
  }).toString()
  const { data, error } = useQuery({
    queryKey: ['casebook', asked],
    queryFn: () => get<CasebookPage>(`/api/casebook?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theCasebook} />
  const onlyOpen = search.get('open') === 'true'
  const set = (more: Record<string, string>) => {
    const next = Object.entries({ ...Object.fromEntries(search), before: '', ...more }).filter(([, value]) => value)
    setSearch(next, { replace: true })
  }
  const last = data.lines.at(-1)
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 330px' }} minH="calc(100vh - 50px)">
      <Box className="paper" px="20px" py="14px" minW="0">
        <Flex align="baseline" gap="14px" wrap="wrap" mb="8px">
          <chakra.h1 fontSize="25px">{say.casebook}</chakra.h1>
          <chakra.span color="ink2">
            {say.nothingIsOpenOpenLate(data.open, data.todos.length, data.todos.filter((one) => one.late).length)}
          </chakra.span>
          <Box flex="1" />
          <Button onClick={() => setWriting(true)}>{say.writeOneDown}</Button>
        </Flex>
        <chakra.form
          role="search"
          display="flex"
          gap="8px"
          mb="8px"
          flexWrap="wrap"
          onSubmit={(event) => {
            event.preventDefault()
            set({ find: words.trim() })
          }}
        >
          <TextInput
            w="300px"
            aria-label={say.findByNamesWordsOrKinds}
            placeholder={say.namesWordsKinds}
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <Button type="submit">{say.find}</Button>
          {search.get('find') && (
            <Button
              look="quiet"
              onClick={() => {
                setWords('')
                set({ find: '' })
              }}
            >
              {say.allAgain}
            </Button>
          )}
          <chakra.label display="flex" gap="6px" alignItems="center" ms="8px">
            <input type="checkbox" checked={onlyOpen} onChange={() => set({ open: onlyOpen ? '' : 'true' })} />{' '}
            {say.onlyWhatIsOpen}
          </chakra.label>
        </chakra.form>
        {data.lines.length === 0 ? (
          <EmptyNote>{search.get('find') ? say.nothingWasFound : say.nothingHasHappened}</EmptyNote>
        ) : (
          <Incidents lines={data.lines} />
        )}
        {data.more && last && (
          <Button mt="10px" onClick={() => set({ before: String(last.number) })}>
            {say.olderOnes}
          </Button>
        )}
      </Box>
      <Box as="aside" borderInlineStart={{ lg: '1px solid' }} borderColor="lineStrong" px="16px" py="14px" aria-label={say.toDo}>
        <chakra.h2 fontSize="16px" mb="6px">
          {say.toDoYours(isLead)}
        </chakra.h2>
        {data.todos.length === 0 ? <chakra.p color="ink2">{say.nothingIsWaiting}</chakra.p> : <Todos todos={data.todos} />}
        <Flex direction="column" gap="6px" mt="18px" borderTop="1px solid" borderColor="lineStrong" pt="10px">
          {PAGES.filter((one) => isLead || !one.leads).map((one) => (
            <Link key={one.to} to={one.to}>
              <chakra.span textDecoration="underline">{one.name}</chakra.span>
            </Link>
          ))}
        </Flex>
      </Box>
      {writing && <WriteDown acts={data.acts} isLead={isLead} onClose={() => setWriting(false)} />}
    </Grid>
  )
}

const GRAVE: Record<IncidentLine['severity'], string> = { SLIGHT: say.slight, MIDDLE: say.middle, GRAVE: say.grave }

function Incidents({ lines }: { lines: IncidentLine[] }) {
  const time = useSchoolTime()
  return (
    <chakra.table
      w="100%"
      bg="sheet"
      borderTop="1.5px solid"
      borderColor="ink"
      css={{ '& td, & th': { padding: '5px 9px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' } }}
    >
      <thead>
        <chakra.tr fontSize="12px" color="ink2">
          <chakra.th w="46px">{say.no}</chakra.th>
          <th>{say.what}</th>
          <th>{say.who}</th>
          <chakra.th hideBelow="md">{say.class}</chakra.th>
          <chakra.th hideBelow="md">{say.when}</chakra.th>
          <th>{say.state}</th>
        </chakra.tr>
      </thead>
      <tbody>
        {lines.map((one) => (
          <tr key={one.number}>
            <chakra.td fontFamily="mono">{one.number}</chakra.td>
            <td>
              <Link to={`/casebook/${one.number}`}>
                <chakra.span fontWeight="640" textDecoration="underline" textUnderlineOffset="2px">
                  {one.title}
                </chakra.span>
              </Link>
              <chakra.span fontSize="12.5px" color={one.severity === 'GRAVE' ? 'verdict.away' : 'ink2'}>
                {' '}
                {say.forLeadsAlone(GRAVE[one.severity], one.leadOnly)}
              </chakra.span>
            </td>
            <chakra.td fontSize="13px">
              {one.did.join(', ')}
              {one.suffered.length > 0 && (
                <chakra.span color="ink2">{say.toSufferedBy(one.did.length, one.suffered.join(', '))}</chakra.span>
              )}
            </chakra.td>
            <chakra.td hideBelow="md" fontSize="13px">
              {one.classTitle ?? ''}
            </chakra.td>
            <chakra.td hideBelow="md" fontFamily="mono" fontSize="12.5px" whiteSpace="nowrap">
              {time.day(one.moment)} {time.clock(one.moment)}
            </chakra.td>
            <chakra.td fontSize="13px" whiteSpace="nowrap">
              {one.open ? <strong>{say.open}</strong> : <chakra.span color="ink2">{say.closed}</chakra.span>}
              {say.step(one.highest)}
            </chakra.td>
          </tr>
        ))}
      </tbody>
    </chakra.table>
  )
}
