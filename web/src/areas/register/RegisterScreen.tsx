import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { get, post } from '../../shared/api/http'
import type { Mark, RegisterLine, RegisterPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'
import { Strip } from '../../shared/ui/Strip'

const COLUMNS = '190px 118px minmax(140px, 1fr) 70px 62px 62px 52px 60px 84px'

/** The register of one lesson: computed marks, corrections beside them, and the presence they come from. */
export default function RegisterScreen() {
  const { id = '' } = useParams()
  return <Page title="Register">{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const [correcting, setCorrecting] = useState<RegisterLine | null>(null)
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['register', id],
    queryFn: () => get<RegisterPage>(`/api/lessons/${encodeURIComponent(id)}/register`),
    refetchInterval: (query) => (query.state.data?.draft ? 15_000 : false),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the register" />
  const from = Date.parse(data.starts) - 6 * 60_000
  const until = Date.parse(data.ends)
  return (
    <Box maxW="1180px" mx="auto" px="20px" py="16px">
      <Flex align="end" gap="20px" mb="8px" wrap="wrap">
        <Box>
          <chakra.h1 fontSize="25px">
            Register: <Link to={`/classes/${data.classId}`}>{data.title}</Link>
          </chakra.h1>
          <chakra.p color="ink2">
            {time.longDay(data.starts)}, {time.clock(data.starts)} to {time.clock(data.ends)}
            {data.draft && (data.begun ? '. The lesson still runs; this is a draft.' : '. The lesson has not begun.')}
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Flex gap="18px" align="baseline" aria-label="Sums" role="group">
          <Sum many={data.present} what="present" />
          <Sum many={data.late} what="late" />
          <Sum many={data.absent} what="absent" />
          {data.excused > 0 && <Sum many={data.excused} what="excused" />}
        </Flex>
        <chakra.a href={`/api/lessons/${encodeURIComponent(id)}/register.csv`} download>
          <Button as="span">Export as CSV</Button>
        </chakra.a>
      </Flex>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Register">
        <Box role="table" aria-label="Register by pupil" bg="sheet" minW="980px" borderTop="1.5px solid" borderColor="ink">
          <Box role="rowgroup">
            <Box
              role="row"
              display="grid"
              gridTemplateColumns={COLUMNS}
              px="12px"
              py="5px"
              fontSize="12px"
              color="ink2"
              borderBottom="1.5px solid"
              borderColor="ink"
            >
              {[
                'Pupil',
                'Mark',
                `${time.clock(data.starts)} to ${time.clock(data.ends)}`,
                'Minutes',
                'First in',
                'Last out',
                'Gap',
                'At door',
                '',
              ].map((head, place) => (
                <Box role="columnheader" key={head || place} textAlign={place > 2 && place < 8 ? 'right' : 'left'}>
                  {head || <chakra.span srOnly>Correct</chakra.span>}
                </Box>
              ))}
            </Box>
          </Box>
          <Box role="rowgroup">
            {data.lines.map((line) => (
              <Line
                key={line.person}
                line={line}
                from={from}
                until={until}
                editable={data.editable && !data.draft}
                onCorrect={() => setCorrecting(line)}
              />
            ))}
          </Box>
        </Box>
      </Box>
      <chakra.p mt="8px" fontSize="12.5px" color="ink2">
        Minutes count within the lesson; drops of up to 90 seconds are bridged. Time at the door, hatched, never makes anyone
        late.
      </chakra.p>
      {correcting && <Correct lesson={id} line={correcting} onClose={() => setCorrecting(null)} />}
    </Box>
  )
}

function Sum({ many, what }: { many: number; what: string }) {
  return (
    <span>
      <chakra.b fontFamily="heading" fontSize="24px" fontWeight="650">
        {many}
      </chakra.b>{' '}
      {what}
    </span>
  )
}

function words(mark: Mark, late: number): string {
  return mark === 'LATE' ? `late by ${late} min` : mark.toLowerCase()
}

const COLOURS: Record<Mark, string> = {
  PRESENT: 'verdict.in',
  LATE: 'verdict.wait',
  ABSENT: 'verdict.away',
  EXCUSED: 'ink2',
}

interface LineProps {
  line: RegisterLine
  from: number
  until: number
  editable: boolean
  onCorrect: () => void
}

function Line({ line, from, until, editable, onCorrect }: LineProps) {
  const time = useSchoolTime()
  const last = line.corrections.at(-1)
  const numbers = [
    line.minutes,
    line.firstIn ? time.clock(line.firstIn) : '–',
    line.lastOut ? time.clock(line.lastOut) : '–',
    line.longestGapMinutes || '–',
    line.waitedMinutes || '–',
  ]
  return (
    <Box
      role="row"
      display="grid"
      gridTemplateColumns={COLUMNS}
      px="12px"
      py="2px"
      alignItems="center"
      borderBottom="1px solid"
      borderColor="line"
    >
      <Box role="rowheader" truncate title={line.name}>
        {line.name}
      </Box>
      <Box role="cell">
        <chakra.span color={COLOURS[line.mark]} fontWeight={line.mark === 'PRESENT' ? 400 : 650}>
          {words(line.mark, line.lateMinutes)}
        </chakra.span>
        {last && (
          <chakra.span display="block" fontSize="11.5px" color="ink2" lineHeight="1.2">
            computed: {words(line.computed, line.computedLateMinutes)}; {last.by}: {last.reason}
          </chakra.span>
        )}
      </Box>
      <Box role="cell" position="relative" h="20px">
        <Strip stays={line.stays.map(instants)} waits={line.waits.map(instants)} from={from} until={until} />
      </Box>
      {numbers.map((number, place) => (
        <Box role="cell" key={place} fontFamily="mono" fontSize="13px" textAlign="right">
          {number}
        </Box>
      ))}
      <Box role="cell" textAlign="right">
        {editable && (
          <Button size="small" onClick={onCorrect} aria-label={`Correct ${line.name}`}>
            Correct
          </Button>
        )}
      </Box>
    </Box>
  )
}

function instants(one: { from: string; until: string }) {
  return { from: Date.parse(one.from), until: Date.parse(one.until) }
}

function Correct({ lesson, line, onClose }: { lesson: string; line: RegisterLine; onClose: () => void }) {
  const cache = useQueryClient()
  const [mark, setMark] = useState<Mark>(line.mark)
  const [late, setLate] = useState(line.lateMinutes || 5)
  const [reason, setReason] = useState('')
  const correct = useMutation({
    mutationFn: () =>
      post<RegisterPage>(`/api/lessons/${encodeURIComponent(lesson)}/register/corrections`, {
        person: line.person,
        mark,
        lateMinutes: mark === 'LATE' ? late : 0,
        reason,
      }),
    onSuccess: (page) => {
      cache.setQueryData(['register', lesson], page)
      onClose()
    },
  })
  return (
    <Sheet title={`Correct ${line.name}`} open onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          correct.mutate()
        }}
      >
        <chakra.p mb="10px">
          Computed: <strong>{words(line.computed, line.computedLateMinutes)}</strong>. It stays visible beside your correction.
        </chakra.p>
        <Labelled label="Mark">
          {(id) => (
            <Select id={id} value={mark} onChange={(event) => setMark(event.target.value as Mark)}>
              {(['PRESENT', 'LATE', 'ABSENT', 'EXCUSED'] as const).map((one) => (
                <option key={one} value={one}>
                  {one.toLowerCase()}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        {mark === 'LATE' && (
          <TextField
            label="Minutes late"
            type="number"
            min={1}
            max={600}
            value={late}
            onChange={(event) => setLate(Number(event.target.value))}
          />
        )}
        <TextField
          label="Reason"
          hint="A few words; they stand in the register."
          value={reason}
          maxLength={300}
          onChange={(event) => setReason(event.target.value)}
          required
        />
        <ProblemNote problem={correct.error} />
        <Button type="submit" look="main" disabled={correct.isPending}>
          Keep the correction
        </Button>
      </chakra.form>
    </Sheet>
  )
}
