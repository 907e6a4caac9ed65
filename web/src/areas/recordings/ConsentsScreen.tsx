import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/recordings'
import { get } from '../../shared/api/http'
import type { ConsentLine, ConsentPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { ConsentImport } from './ConsentImport'
import { ConsentSheet } from './ConsentSheet'
import { GIVERS, STANDINGS } from './consent'

/** Who may be recorded, by whose word and until when (need I3). */
export default function ConsentsScreen() {
  return <Page title={say.whoMayBeRecorded}>{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
}

function Shown({ isLead }: { isLead: boolean }) {
  const [search, setSearch] = useState('')
  const [only, setOnly] = useState('')
  const [chosen, setChosen] = useState<ConsentLine | null>(null)
  const [asked] = useSearchParams()
  const ofClass = asked.get('ofClass') ?? ''
  const { data, error } = useQuery({
    queryKey: ['consents', ofClass],
    queryFn: () => get<ConsentPage>(`/api/consents?ofClass=${encodeURIComponent(ofClass)}`),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.whoMayBeRecordedFetched} />
  const lines = data.pupils.filter(
    (one) =>
      (!only || one.standing === only) && `${one.name} ${one.classes.join(' ')}`.toLowerCase().includes(search.toLowerCase()),
  )
  return (
    <Box px="20px" py="16px" maxW="1080px" mx="auto">
      <Flex gap="14px" align="end" wrap="wrap" mb="10px">
        <Box>
          <chakra.h1 fontSize="25px">{say.whoMayBeRecorded}</chakra.h1>
          <chakra.p color="ink2">{say.mayRefusedWithdrew(data.given, data.refused, data.withdrawn, data.unknown)}</chakra.p>
        </Box>
        <Box flex="1" />
        <chakra.a href="/api/consents/table" download>
          <Button as="span">{say.asATableCsv}</Button>
        </chakra.a>
        <Link to="/recordings">
          <Button as="span">{say.recordings}</Button>
        </Link>
      </Flex>
      {isLead && <ConsentImport />}
      {ofClass && (
        <chakra.p mb="6px">
          {say.onlyPupilsOfOneClass}{' '}
          <Link to="/consents">
            <u>{say.allPupils}</u>
          </Link>
        </chakra.p>
      )}
      <Flex gap="8px" mb="8px" wrap="wrap">
        <TextInput
          type="search"
          aria-label={say.searchByNameOrClass}
          placeholder={say.nameOrClass}
          maxW="260px"
          value={search}
          onChange={(event) => setSearch(event.target.value)}
        />
        <Select aria-label={say.onlyThoseWho} maxW="220px" value={only} onChange={(event) => setOnly(event.target.value)}>
          <option value="">{say.allPupilsChoice}</option>
          {Object.entries(STANDINGS).map(([value, says]) => (
            <option key={value} value={value}>
              {says}
            </option>
          ))}
        </Select>
      </Flex>
      {lines.length === 0 ? (
        <EmptyNote>{say.noPupilFits}</EmptyNote>
      ) : (
        <chakra.table w="100%">
          <chakra.thead textAlign="start" fontSize="12.5px" color="ink2">
            <tr>
              <th scope="col">{say.pupilColumn}</th>
              <th scope="col">{say.mayBeRecorded}</th>
              <th scope="col">{say.byWhomOnWhichPaper}</th>
              <th scope="col">{say.fromUntilColumn}</th>
              <th scope="col">
                <chakra.span srOnly>{say.change}</chakra.span>
              </th>
            </tr>
          </chakra.thead>
          <tbody>
            {lines.map((one) => (
              <chakra.tr key={one.person} borderBottom="1px solid" borderColor="line">
                <chakra.th scope="row" textAlign="start" fontWeight="600" py="4px">
                  {one.name}
                  <chakra.span display="block" fontWeight="400" fontSize="12px" color="ink2">
                    {one.classes[0]}
                    {say.andMoreSaid(one.classes.length, one.classes.length - 1)}
                  </chakra.span>
                </chakra.th>
                <chakra.td
                  fontWeight={one.standing === 'GIVEN' ? 400 : 650}
                  color={one.standing === 'GIVEN' ? 'verdict.in' : 'ink'}
                >
                  {STANDINGS[one.standing]}
                </chakra.td>
                <td>{[one.giver && GIVERS[one.giver], one.paper].filter(Boolean).join(', ')}</td>
                <chakra.td fontSize="13px" whiteSpace="nowrap">
                  {one.since}
                  {one.until && say.to(one.until)}
                </chakra.td>
                <chakra.td textAlign="end">
                  <Button size="small" onClick={() => setChosen(one)}>
                    {say.noteAWordWhatWasSaid(isLead)}
                  </Button>
                </chakra.td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      )}
      <ConsentSheet pupil={chosen} isLead={isLead} onClose={() => setChosen(null)} />
    </Box>
  )
}
