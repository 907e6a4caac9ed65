import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
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
    <Page title="Upkeep">
      {() => (
        <Box maxW="1180px" mx="auto" px="20px" py="18px">
          <chakra.h1 fontSize="25px" mb="10px">
            Upkeep
          </chakra.h1>
          <State />
          <Looks />
        </Box>
      )}
    </Page>
  )
}

const WHAT: Record<string, string> = {
  journal: 'Orders reach the disk',
  file: 'The school’s file',
  disk: 'Room on the disk',
  records: 'Records of lessons',
  backup: 'Backup',
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
  if (!data) return <LoadingNote what="how the program fares" />
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="32px" mb="26px">
      <Box as="section" aria-label="How the program fares">
        <chakra.h2 fontSize="17px" mb="6px">
          How the program fares
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
                {!one.well && ' needs looking after'}
                <Box color="ink2" fontSize="13px" overflowWrap="anywhere">
                  {one.what === 'backup' && data.lastBackup
                    ? `The last good backup is ${ageOf(data.lastBackup, data.now)} old. ${one.say.replace(/^The last good backup is of [^ ]*\.\s?/, '')}`
                    : one.say}
                </Box>
              </Box>
            </Flex>
          ))}
        </Box>
      </Box>
      <Box as="section" aria-label="Backups">
        <Flex justify="space-between" align="baseline" mb="6px">
          <chakra.h2 fontSize="17px">Backups</chakra.h2>
          <Button disabled={make.isPending} onClick={() => make.mutate()}>
            {make.isPending ? 'Copying and looking it through…' : 'Back up now'}
          </Button>
        </Flex>
        <ProblemNote problem={make.error} compact />
        <chakra.p color="ink2" fontSize="13px" mb="6px" overflowWrap="anywhere">
          One by itself each day after {data.hour}:00, the last {data.keep} are kept in {data.folder}. To bring one back:{' '}
          <chakra.code fontFamily="mono">./juricast restore FILE</chakra.code>
        </chakra.p>
        {data.backups.length === 0 ? (
          <EmptyNote>
            There is no backup yet. {school?.demo ? 'The demo makes none by itself.' : 'The first comes by itself.'} You can make
            one now.
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
            aria-label="List of backups"
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
                  {(one.bytes / 1_000_000).toFixed(1)} MB
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
  LOOKED: 'looked at',
  TOOK_AWAY: 'took away',
  CHANGED_ACCOUNT: 'changed an account',
  SIGNED_IN: 'signed in',
  SIGN_IN_FAILED: 'failed to sign in',
  SIGNED_OUT: 'signed out',
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
    <Box as="section" aria-label="Who looked">
      <Flex justify="space-between" align="baseline" wrap="wrap" gap="10px">
        <chakra.h2 fontSize="17px" mb="6px">
          Who looked at what about whom
        </chakra.h2>
        <chakra.a textDecoration="underline" href={`/api/looks.csv?${query}`} download="who-looked.csv">
          Take it out as a table
        </chakra.a>
      </Flex>
      <Flex gap="12px" wrap="wrap" align="end">
        <Box w="220px">
          <TextField
            label="Name"
            hint="who looked, or about whom"
            value={asked.name}
            onChange={(event) => ask({ name: event.target.value })}
          />
        </Box>
        <Box w="190px">
          <Labelled label="What" hint="all, if none is chosen">
            {(id) => (
              <Select id={id} value={asked.kind} onChange={(event) => ask({ kind: event.target.value })}>
                <option value="">everything</option>
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
            label="From"
            hint="the first day"
            type="date"
            value={asked.from}
            onChange={(event) => ask({ from: event.target.value })}
          />
        </Box>
        <Box w="160px">
          <TextField
            label="Until"
            hint="the last day"
            type="date"
            value={asked.until}
            onChange={(event) => ask({ until: event.target.value })}
          />
        </Box>
      </Flex>
      <ProblemNote problem={error} compact />
      {!data && !error && <LoadingNote what="who looked" />}
      {data && data.lines.length === 0 && <EmptyNote>Nothing is noted that fits.</EmptyNote>}
      {data && data.lines.length > 0 && (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Notes" opacity={isFetching ? 0.7 : 1}>
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
                <th>When</th>
                <th>Who</th>
                <th>Did</th>
                <th>What</th>
                <th>About</th>
                <th>From</th>
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
        {data?.next && <Button onClick={() => setAsked({ ...asked, before: String(data.next) })}>Older ones</Button>}
        {asked.before && <Button onClick={() => ask({})}>Back to the newest</Button>}
        {data && <span>Kept for {data.keptDays} days, as the charter says; then deleted. What was seen is never noted.</span>}
      </Flex>
    </Box>
  )
}
