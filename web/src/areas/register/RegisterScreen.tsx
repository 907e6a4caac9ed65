import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { get, post, remove } from '../../shared/api/http'
import type { Mark, RegisterLine, RegisterPage } from '../../shared/api/types'
import { useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'
import { Strip } from '../../shared/ui/Strip'
import { MarkBox, MARKS } from '../../shared/ui/MarkBox'
import { LogImport } from './LogImport'

const COLUMNS = '190px 132px minmax(140px, 1fr) 70px 62px 62px 52px 60px 84px'

/** The register of one lesson: computed marks, corrections beside them, and the presence they come from. */
export default function RegisterScreen() {
  const { id = '' } = useParams()
  return <Page title="Register">{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const [correcting, setCorrecting] = useState<{ line: RegisterLine; mark: Mark } | null>(null)
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
            {time.longDay(data.starts)}, {time.clock(data.starts)} to {time.clock(data.ends)} ·{' '}
            <Link to={`/classes/${data.classId}/attendance`}>the class over weeks</Link>
            {data.begun && (
              <>
                {' '}
                · <Link to={`/lessons/${id}/replay`}>the lesson again</Link>
              </>
            )}
            {data.calledOff && '. This lesson was called off; nobody was expected.'}
            {data.draft &&
              !data.calledOff &&
              (data.begun ? '. The lesson still runs; this is a draft.' : '. The lesson has not begun.')}
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Flex gap="18px" align="baseline" aria-label="Sums" role="group">
          {data.sums.map((sum) => (
            <Sum key={sum.mark} many={sum.count} what={MARKS[sum.mark]} />
          ))}
        </Flex>
        <chakra.a href={`/api/lessons/${encodeURIComponent(id)}/register.csv`} download>
          <Button as="span">Export as CSV</Button>
        </chakra.a>
        <chakra.a href={`/api/lessons/${encodeURIComponent(id)}/register.pdf`} download>
          <Button as="span">As PDF</Button>
        </chakra.a>
        <Button onClick={() => window.print()}>Print</Button>
      </Flex>
      <SignOff page={data} lesson={id} />
      <Logs page={data} lesson={id} />
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
                onMark={(mark) => setCorrecting({ line, mark })}
                from={from}
                until={until}
                editable={data.editable && !data.draft}
                onCorrect={() => setCorrecting({ line, mark: line.mark })}
              />
            ))}
          </Box>
        </Box>
      </Box>
      <chakra.p mt="8px" fontSize="12.5px" color="ink2">
        Minutes count within the lesson; short drops are bridged as the rules say. Time at the door, hatched, never makes anyone
        late.
        {data.editable && !data.draft && (
          <>
            {' '}
            In a row: <Key>↑</Key> <Key>↓</Key> go on,{' '}
            {Object.entries(KEYS).map(([key, mark]) => (
              <span key={key}>
                <Key>{key}</Key> {MARKS[mark]}{' '}
              </span>
            ))}
          </>
        )}
      </chakra.p>
      {correcting && (
        <Correct
          lesson={id}
          codes={data.codes}
          line={correcting.line}
          wanted={correcting.mark}
          onClose={() => {
            const rows = [...document.querySelectorAll<HTMLElement>('[data-pupil]')]
            const next = rows.find((row) => row.dataset.pupil === correcting.line.person)
            setCorrecting(null)
            // The sheet gives the focus back late; the row is where the next key belongs.
            setTimeout(() => next?.focus())
          }}
        />
      )}
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
  return mark === 'LATE' ? `late by ${late} min` : MARKS[mark]
}

const COLOURS: Record<Mark, string> = {
  PRESENT: 'verdict.in',
  LATE: 'verdict.wait',
  LEFT_EARLY: 'verdict.wait',
  PARTLY: 'verdict.wait',
  ABSENT: 'verdict.away',
  EXCUSED: 'ink2',
  NOT_EXPECTED: 'ink2',
}

/** One key for each mark, for thirty pupils in a row. */
const KEYS: Record<string, Mark> = { p: 'PRESENT', l: 'LATE', a: 'ABSENT', e: 'EXCUSED', h: 'PARTLY', g: 'LEFT_EARLY' }

/** Logs of other services that count in this register, and another one. */
function Logs({ page, lesson }: { page: RegisterPage; lesson: string }) {
  const cache = useQueryClient()
  const time = useSchoolTime()
  const [taking, setTaking] = useState(false)
  const takeBack = useMutation({
    mutationFn: (log: string) => remove(`/api/lessons/${encodeURIComponent(lesson)}/logs/${log}`),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['register', lesson] }),
  })
  const over = Date.parse(page.ends) <= useNow()
  if (!page.editable || !over) return null
  return (
    <Box mb="8px" fontSize="13px">
      {page.logs.map((one) => (
        <Flex key={one.id} gap="8px" align="center">
          <span>
            Also counted: {one.file || 'a log of another service'}, taken by {one.by}, {time.day(one.at)} {time.clock(one.at)}
          </span>
          <Button size="small" disabled={takeBack.isPending} onClick={() => takeBack.mutate(one.id)}>
            Take it back
          </Button>
        </Flex>
      ))}
      <ProblemNote problem={takeBack.error} compact />
      <Button look="quiet" onClick={() => setTaking(true)}>
        Bring in a log of another service…
      </Button>
      <Sheet title="A log of another service" wide open={taking} onClose={() => setTaking(false)}>
        <LogImport lesson={lesson} onTaken={() => setTaking(false)} />
      </Sheet>
    </Box>
  )
}

/** Who has signed, or the button to do it; a signed register is opened again only with a reason. */
function SignOff({ page, lesson }: { page: RegisterPage; lesson: string }) {
  const cache = useQueryClient()
  const time = useSchoolTime()
  const [reopening, setReopening] = useState(false)
  const [reason, setReason] = useState('')
  const path = `/api/lessons/${encodeURIComponent(lesson)}/register`
  const change = useMutation({
    mutationFn: (order: 'sign' | 'reopen') => post<RegisterPage>(`${path}/${order}`, order === 'reopen' ? { reason } : {}),
    onSuccess: (next) => {
      cache.setQueryData(['register', lesson], next)
      setReopening(false)
      setReason('')
    },
  })
  if (page.draft) return null
  return (
    <Flex gap="10px" align="center" mb="8px" wrap="wrap">
      {page.signed ? (
        <>
          <span role="status">
            Signed by <strong>{page.signed.by}</strong>, {time.day(page.signed.at)} {time.clock(page.signed.at)}.
          </span>
          <Button size="small" onClick={() => setReopening(true)}>
            Open it again…
          </Button>
        </>
      ) : (
        page.editable && (
          <>
            <Button look="main" disabled={change.isPending} onClick={() => change.mutate('sign')}>
              Sign the register
            </Button>
            <chakra.span color="ink2">It then stands as it is; to correct it, it is opened again with a reason.</chakra.span>
          </>
        )
      )}
      <ProblemNote problem={reopening ? null : change.error} compact />
      <Sheet title="Open the register again?" open={reopening} onClose={() => setReopening(false)}>
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            change.mutate('reopen')
          }}
        >
          <TextField
            label="Why"
            hint="Kept with who signed and when."
            value={reason}
            maxLength={300}
            required
            onChange={(event) => setReason(event.target.value)}
          />
          <ProblemNote problem={change.error} compact />
          <Button type="submit" look="main" disabled={change.isPending}>
            Open it again
          </Button>
        </chakra.form>
      </Sheet>
    </Flex>
  )
}

interface LineProps {
  line: RegisterLine
  from: number
  until: number
  editable: boolean
  onCorrect: () => void
  onMark: (mark: Mark) => void
}

function Line({ line, from, until, editable, onCorrect, onMark }: LineProps) {
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
      data-pupil={line.person}
      tabIndex={editable ? 0 : undefined}
      _focusVisible={{ bg: 'markSoft', outline: 'none' }}
      onKeyDown={(event) => {
        if (!editable || event.target !== event.currentTarget || event.ctrlKey || event.metaKey || event.altKey) return
        const mark = KEYS[event.key]
        const step = event.key === 'ArrowDown' ? 'nextElementSibling' : event.key === 'ArrowUp' ? 'previousElementSibling' : null
        if (mark) onMark(mark)
        if (step) (event.currentTarget[step] as HTMLElement | null)?.focus()
        if (mark || step) event.preventDefault()
      }}
    >
      <Box role="rowheader" truncate title={line.name}>
        <Link to={`/pupils/${line.person}/attendance`}>{line.name}</Link>
      </Box>
      <Box role="cell">
        <MarkBox mark={line.mark} size={12} />{' '}
        {line.code && (
          <chakra.b fontFamily="mono" fontSize="13px">
            {line.code}{' '}
          </chakra.b>
        )}
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

interface CorrectProps {
  lesson: string
  codes: RegisterPage['codes']
  line: RegisterLine
  wanted: Mark
  onClose: () => void
}

function Correct({ lesson, codes, line, wanted, onClose }: CorrectProps) {
  const cache = useQueryClient()
  const [mark, setMark] = useState<Mark>(wanted)
  const [code, setCode] = useState('')
  const [late, setLate] = useState(line.lateMinutes || 5)
  const [reason, setReason] = useState('')
  const ofMark = codes.filter((one) => one.mark === mark)
  const correct = useMutation({
    mutationFn: () =>
      post<RegisterPage>(`/api/lessons/${encodeURIComponent(lesson)}/register/corrections`, {
        person: line.person,
        mark,
        code,
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
            <Select
              id={id}
              value={mark}
              onChange={(event) => {
                setMark(event.target.value as Mark)
                setCode('')
              }}
            >
              {(Object.keys(MARKS) as Mark[]).map((one) => (
                <option key={one} value={one}>
                  {MARKS[one]}
                </option>
              ))}
            </Select>
          )}
        </Labelled>
        {ofMark.length > 1 && (
          <Labelled label="Code">
            {(id) => (
              <Select id={id} value={code || ofMark[0]!.code} onChange={(event) => setCode(event.target.value)}>
                {ofMark.map((one) => (
                  <option key={one.code} value={one.code}>
                    {one.code}: {one.meaning}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
        )}
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
          autoFocus
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
