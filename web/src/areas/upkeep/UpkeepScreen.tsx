import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/upkeep'
import { get, post } from '../../shared/api/http'
import type { LooksPage, Upkeep } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { ageOf } from '../../shared/upkeep/age'

const KEY = ['upkeep']

/** Backups, the disk, and who looked at what: whether the program itself can be trusted with the records (needs N3, N9). */
export default function UpkeepScreen() {
  return (
    <Page title={say.upkeep}>
      {() => (
        <Box maxW="1180px" mx="auto" px="20px" py="18px">
          <chakra.h1 fontSize="25px" mb="10px">
            {say.upkeep}
          </chakra.h1>
          <State />
          <Looks />
        </Box>
      )}
    </Page>
  )
}

const WHAT: Record<string, string> = {
  journal: say.ordersReachTheDisk,
  file: say.theSchoolsFile,
  disk: say.roomOnTheDisk,
  records: say.recordsOfLessons,
  backup: say.backup,
}

function State() {
  const cache = useQueryClient()
  const time = useSchoolTime()
  const { data: school } = useQuery(standing)
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<Upkeep>('/api/upkeep'), refetchInterval: 30_000 })
  const make = useMutation({
    mutationFn: () => post<Upkeep>('/api/upkeep/backups'),
    onSuccess: (next) => cache.setQueryData(KEY, next),
  })
  if (error && !data) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.howTheProgramFares} />
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="32px" mb="26px">
      <Box as="section" aria-label={say.howTheProgramFaresLabel}>
        <chakra.h2 fontSize="17px" mb="6px">
          {say.howTheProgramFaresLabel}
        </chakra.h2>
        <Box bg="sheet" borderTop="1.5px solid" borderColor="ink">
          {data.checks.map((one) => (
            <Flex
              key={one.what}
              gap="10px"
              px="10px"
              py="6px"
              borderBottom="1px solid"
              borderColor="line"
              bg={one.well ? undefined : 'verdict.awaySoft'}
            >
              <VerdictMark verdict={one.well ? 'in' : 'away'} />
              <Box>
                <strong>{WHAT[one.what] ?? one.what}</strong>
                {say.needsLookingAfter(one.well)}
                <Box color="ink2" fontSize="13px" overflowWrap="anywhere">
                  {one.what === 'backup' && data.lastBackup
                    ? say.theLastGoodBackupIsOld(
                        ageOf(data.lastBackup, data.now),
                        one.say.replace(/^The last good backup is of [^ ]*\.\s?/, ''),
                      )
                    : one.say}
                </Box>
              </Box>
            </Flex>
          ))}
        </Box>
      </Box>
      <Box as="section" aria-label={say.backups}>
        <Flex justify="space-between" align="baseline" mb="6px">
          <chakra.h2 fontSize="17px">{say.backups}</chakra.h2>
          <Button disabled={make.isPending} onClick={() => make.mutate()}>
            {say.copyingAndLookingItThrough(make.isPending)}
          </Button>
        </Flex>
        <ProblemNote problem={make.error} compact />
        <chakra.p color="ink2" fontSize="13px" mb="6px" overflowWrap="anywhere">
          {say.oneByItselfEachDay(data.hour, data.keep, data.folder)}{' '}
          <chakra.code fontFamily="mono">{say.juricastRestoreFile}</chakra.code>
        </chakra.p>
        {data.backups.length === 0 ? (
          <EmptyNote>
            {say.thereIsNoBackupYet} {school?.demo ? say.theDemoMakesNoneByItself : say.theFirstComesByItself}{' '}
            {say.youCanMakeOneNow}
          </EmptyNote>
        ) : (
          <Box
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            maxH="220px"
            overflowY="auto"
            tabIndex={0}
            role="region"
            aria-label={say.listOfBackups}
          >
            {data.backups.map((one) => (
              <Flex key={one.file} gap="14px" px="10px" py="3px" borderBottom="1px solid" borderColor="line">
                <Box flex="1" overflowWrap="anywhere" fontFamily="mono" fontSize="12.5px">
                  {one.file}
                </Box>
                <Box color="ink2" fontSize="13px" whiteSpace="nowrap">
                  {time.day(one.at)}, {time.clock(one.at)}
                </Box>
                <Box w="80px" textAlign="end" fontFamily="mono" fontSize="12.5px">
                  {say.mb((one.bytes / 1_000_000).toFixed(1))}
                </Box>
              </Flex>
            ))}
          </Box>
        )}
      </Box>
    </Grid>
  )
}

const KINDS = {
  LOOKED: say.lookedAt,
  TOOK_AWAY: say.tookAway,
  CHANGED_ACCOUNT: say.changedAnAccount,
  SIGNED_IN: say.signedIn,
  SIGN_IN_FAILED: say.failedToSign,
  SIGNED_OUT: say.signedOut,
} as const

type Kind = keyof typeof KINDS

/** Who looked at what about whom; never what was seen. */
function Looks() {
  const time = useSchoolTime()
  const [asked, setAsked] = useState({ name: '', kind: '', from: '', until: '', before: '' })
  const query = new URLSearchParams(Object.entries(asked).filter(([, value]) => value !== '')).toString()
  const { data, error, isFetching } = useQuery({
    queryKey: ['looks', query],
    queryFn: () => get<LooksPage>(`/api/looks?${query}`),
    placeholderData: (before) => before,
  })
  const ask = (part: Partial<typeof asked>) => setAsked({ ...asked, before: '', ...part })
  return (
    <Box as="section" aria-label={say.whoLooked}>
      <Flex justify="space-between" align="baseline" wrap="wrap" gap="10px">
        <chakra.h2 fontSize="17px" mb="6px">
          {say.whoLookedAtWhatAboutWhom}
        </chakra.h2>
        <chakra.a textDecoration="underline" href={`/api/looks.csv?${query}`} download="who-looked.csv">
          {say.takeItOutAsATable}
        </chakra.a>
      </Flex>
      <Flex gap="12px" wrap="wrap" align="end">
        <Box w="220px">
          <TextField
            label={say.name}
            hint={say.whoLookedOrAboutWhom}
            value={asked.name}
            onChange={(event) => ask({ name: event.target.value })}
          />
        </Box>
        <Box w="190px">
          <Labelled label={say.what} hint={say.allIfNoneIsChosen}>
            {(id) => (
              <Select id={id} value={asked.kind} onChange={(event) => ask({ kind: event.target.value })}>
                <option value="">{say.everything}</option>
                {Object.entries(KINDS).map(([kind, words]) => (
                  <option key={kind} value={kind}>
                    {words}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        </Box>
        <Box w="160px">
          <TextField
            label={say.from}
            hint={say.theFirstDay}
            type="date"
            value={asked.from}
            onChange={(event) => ask({ from: event.target.value })}
          />
        </Box>
        <Box w="160px">
          <TextField
            label={say.until}
            hint={say.theLastDay}
            type="date"
            value={asked.until}
            onChange={(event) => ask({ until: event.target.value })}
          />
        </Box>
      </Flex>
      <ProblemNote problem={error} compact />
      {!data && !error && <LoadingNote what={say.whoLookedFetched} />}
      {data && data.lines.length === 0 && <EmptyNote>{say.nothingIsNotedThatFits}</EmptyNote>}
      {data && data.lines.length > 0 && (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label={say.notes} opacity={isFetching ? 0.7 : 1}>
          <chakra.table
            w="100%"
            minW="760px"
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            fontSize="13.5px"
            css={{ '& td, & th': { padding: '3px 8px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' } }}
          >
            <thead>
              <chakra.tr fontSize="12px" color="ink2">
                <th>{say.when}</th>
                <th>{say.who}</th>
                <th>{say.did}</th>
                <th>{say.what}</th>
                <th>{say.about}</th>
                <th>{say.from}</th>
              </chakra.tr>
            </thead>
            <tbody>
              {data.lines.map((one) => (
                <tr key={one.number}>
                  <chakra.td whiteSpace="nowrap" fontFamily="mono" fontSize="12.5px">
                    {time.day(one.at)} {time.clock(one.at)}
                  </chakra.td>
                  <td>{one.who}</td>
                  <chakra.td color={one.kind === 'SIGN_IN_FAILED' ? 'verdict.away' : undefined} whiteSpace="nowrap">
                    {KINDS[one.kind as Kind]}
                  </chakra.td>
                  <td>{one.place}</td>
                  <td>{one.about}</td>
                  <chakra.td fontFamily="mono" fontSize="12px" color="ink2">
                    {one.address}
                  </chakra.td>
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
      <Flex gap="12px" mt="8px" align="center" color="ink2" fontSize="13px">
        {data?.next && <Button onClick={() => setAsked({ ...asked, before: String(data.next) })}>{say.olderOnes}</Button>}
        {asked.before && <Button onClick={() => ask({})}>{say.backToTheNewest}</Button>}
        {data && <span>{say.keptForDays(data.keptDays)}</span>}
      </Flex>
    </Box>
  )
}
