import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/questions'
import { get, post, put, remove } from '../../shared/api/http'
import { upload } from '../../shared/api/upload'
import type { ClassLine, FileRead, QuestionSum, SetLine, SetsPage } from '../../shared/api/types'
import { asking } from '../../lesson/questions/Maker'
import type { Asking } from '../../lesson/questions/orders'
import { QuestionFields } from '../../lesson/questions/QuestionFields'
import { Button } from '../../shared/ui/Button'
import { Select, TextField } from '../../shared/ui/Fields'
import { FileBox } from '../../shared/ui/FileBox'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'

interface Draft {
  id: string | null
  version: number
  name: string
  questions: { id?: string; ask: Asking }[]
}

const NEW: Asking = { kind: 'SINGLE', text: '', choices: ['', ''], right: [], spellings: [], points: 0 }

/** Questions that a class keeps, in sets: written, read from files, copied to other classes, and what they came to. */
export function QuestionsOfClass({ id }: { id: string }) {
  const path = `/api/classes/${encodeURIComponent(id)}/question-sets`
  const cache = useQueryClient()
  const [draft, setDraft] = useState<Draft | null>(null)
  const [read, setRead] = useState<FileRead | null>(null)
  const { data, error } = useQuery({ queryKey: ['question-sets', id], queryFn: () => get<SetsPage>(path) })
  const sums = useQuery({
    queryKey: ['question-sums', id],
    queryFn: () => get<QuestionSum[]>(`/api/classes/${encodeURIComponent(id)}/questions/sums`),
  })
  const kept = (next: SetsPage) => cache.setQueryData(['question-sets', id], next)
  const file = useMutation({
    mutationFn: (one: File) => upload<FileRead>(`${path}/file`, one),
    onSuccess: (found) => {
      setRead(found)
      setDraft({ id: null, version: 0, name: found.name, questions: found.questions.map((one) => ({ ask: asking(one) })) })
    },
  })
  const drop = useMutation({ mutationFn: (set: SetLine) => remove<SetsPage>(`${path}/${set.id}`), onSuccess: kept })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theQuestions} />
  return (
    <Box>
      <Flex gap="12px" align="baseline" wrap="wrap" mb="12px">
        {data.editable && (
          <>
            <Button
              look="main"
              onClick={() => (setRead(null), setDraft({ id: null, version: 0, name: '', questions: [{ ask: NEW }] }))}
            >
              {say.newSetOfQuestions}
            </Button>
            <span>{say.orReadThem}</span>
            <FileBox label={say.questionsFromAFileCsv} accept=".csv,.xml,.zip" onFile={(one) => file.mutate(one)} />
          </>
        )}
      </Flex>
      <ProblemNote problem={file.error ?? drop.error} />
      {data.sets.length === 0 && <EmptyNote>{say.nothingIsPreparedYet}</EmptyNote>}
      {data.sets.map((set) => (
        <SetView
          key={set.id}
          path={path}
          set={set}
          sums={sums.data ?? []}
          editable={data.editable}
          onEdit={() => {
            setRead(null)
            setDraft({
              id: set.id,
              version: set.version,
              name: set.name,
              questions: set.questions.map((one) => ({ id: one.id, ask: asking(one.ask) })),
            })
          }}
          onDrop={() => drop.mutate(set)}
        />
      ))}
      <Sheet
        title={draft?.id ? say.changeTheseQuestions : say.aSetOfQuestions}
        open={draft !== null}
        onClose={() => setDraft(null)}
        wide
      >
        {draft && (
          <Writing
            path={path}
            draft={draft}
            read={read}
            onChange={setDraft}
            onKept={(next) => {
              kept(next)
              setDraft(null)
            }}
          />
        )}
      </Sheet>
    </Box>
  )
}

interface SetViewProps {
  path: string
  set: SetLine
  sums: QuestionSum[]
  editable: boolean
  onEdit: () => void
  onDrop: () => void
}

function SetView({ path, set, sums, editable, onEdit, onDrop }: SetViewProps) {
  const [dropping, setDropping] = useState(false)
  const leftOut = set.questions.filter((one) => one.ask.choices.length === 0).length
  return (
    <Box mb="18px" bg="sheet" borderTop="1.5px solid" borderColor="ink" px="12px" py="8px">
      <Flex gap="12px" align="baseline" wrap="wrap">
        <chakra.h2 fontSize="18px">{set.name}</chakra.h2>
        <chakra.span fontSize="13px" color="ink2">
          {say.questionsBy(set.questions.length, set.by)}
        </chakra.span>
        <Box flex="1" />
        {editable && (
          <Button size="small" onClick={onEdit}>
            {say.change}
          </Button>
        )}
        {editable && <CopyTo path={`${path}/${set.id}/copy`} />}
        <chakra.a href={`${path}/${set.id}/questions.csv`} textDecoration="underline" fontSize="13px">
          {say.csv}
        </chakra.a>
        <chakra.a
          href={`${path}/${set.id}/questions.zip`}
          textDecoration="underline"
          fontSize="13px"
          title={leftOut > 0 ? say.thatAreAnswered(leftOut) : undefined}
        >
          {say.qti(leftOut)}
        </chakra.a>
        {editable && (
          <Button size="small" onClick={() => setDropping(true)}>
            {say.delete}
          </Button>
        )}
      </Flex>
      <chakra.ol mt="6px" ps="22px" listStyleType="decimal">
        {set.questions.map((one) => (
          <chakra.li key={one.id} py="3px">
            {one.ask.text || say.aSpokenQuestion}{' '}
            <chakra.span color="ink2" fontSize="13px">
              {one.ask.choices
                .map((choice, place) => (one.ask.right.includes(place) && one.ask.kind !== 'ORDER' ? `✓ ${choice}` : choice))
                .join(' · ')}
              {one.ask.number !== undefined && `✓ ${one.ask.number}`}
              {one.ask.spellings.length > 0 && `✓ ${one.ask.spellings.join(' / ')}`}
            </chakra.span>
            <Sum sum={sums.find((sum) => sum.question === one.id)} />
          </chakra.li>
        ))}
      </chakra.ol>
      <Sheet title={say.deleteSaid(set.name)} open={dropping} onClose={() => setDropping(false)}>
        <p>{say.itsQuestionsAreGone}</p>
        <Flex gap="8px" mt="12px">
          <Button look="stop" onClick={() => (setDropping(false), onDrop())}>
            {say.deleteIt}
          </Button>
          <Button onClick={() => setDropping(false)}>{say.keepIt}</Button>
        </Flex>
      </Sheet>
    </Box>
  )
}

/** What a question came to over lessons, with how sure that is. */
function Sum({ sum }: { sum: QuestionSum | undefined }) {
  if (!sum) return null
  const percent = (share: number) => `${Math.round(share * 100)} %`
  const tells = sum.tellsApart
  return (
    <chakra.p fontSize="13px" color="ink2">
      {say.rightOfAnswersToIsLikely(percent(sum.share), sum.answers, percent(sum.low), percent(sum.high))}{' '}
      {sum.uncertain
        ? say.tooFewAnswersToSayMore
        : tells === undefined
          ? say.whetherItTellsApartCannot
          : say.itTellsWellApart(tells, tells.toFixed(2))}
    </chakra.p>
  )
}

function CopyTo({ path }: { path: string }) {
  const [open, setOpen] = useState(false)
  const [done, setDone] = useState('')
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => get<ClassLine[]>('/api/classes'), enabled: open })
  const copy = useMutation({
    mutationFn: (to: string) => post<SetsPage>(`${path}?to=${encodeURIComponent(to)}`),
    onSuccess: (page) => setDone(say.itIsInNow(page.title)),
  })
  return (
    <>
      <Button size="small" onClick={() => (setDone(''), setOpen(true))}>
        {say.copyTo}
      </Button>
      <Sheet title={say.copyTheseQuestionsToAnotherClass} open={open} onClose={() => setOpen(false)}>
        <Select
          aria-label={say.toWhichClass}
          value=""
          onChange={(event) => event.target.value && copy.mutate(event.target.value)}
        >
          <option value="">{say.chooseAClass}</option>
          {classes.data?.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </Select>
        <chakra.p role="status" mt="10px">
          {done}
        </chakra.p>
        <ProblemNote problem={copy.error} compact />
      </Sheet>
    </>
  )
}

interface WritingProps {
  path: string
  draft: Draft
  read: FileRead | null
  onChange: (next: Draft) => void
  onKept: (page: SetsPage) => void
}

function Writing({ path, draft, read, onChange, onKept }: WritingProps) {
  const keep = useMutation({
    mutationFn: () => {
      const body = { name: draft.name, version: draft.version, questions: draft.questions }
      return draft.id ? put<SetsPage>(`${path}/${draft.id}`, body) : post<SetsPage>(path, body)
    },
    onSuccess: onKept,
  })
  const change = (place: number, ask: Asking) =>
    onChange({ ...draft, questions: draft.questions.map((one, i) => (i === place ? { ...one, ask } : one)) })
  return (
    <Box maxH="66vh" overflowY="auto" pe="6px">
      {read && read.leftOut.length > 0 && (
        <Box role="status" bg="verdict.waitSoft" px="12px" py="8px" mb="10px" fontSize="13px">
          <strong>{say.notEverythingOfTheFile}</strong>
          <chakra.ul ps="18px" listStyleType="disc" maxH="120px" overflowY="auto">
            {read.leftOut.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </chakra.ul>
        </Box>
      )}
      <TextField
        label={say.nameOfTheSet}
        maxLength={80}
        value={draft.name}
        onChange={(event) => onChange({ ...draft, name: event.target.value })}
      />
      {draft.questions.map((one, place) => (
        <Box key={one.id ?? `new-${place}`} as="fieldset" borderTop="1px solid" borderColor="lineStrong" py="10px">
          <Flex justify="space-between" mb="4px">
            <chakra.legend fontWeight="650">{say.question(place + 1)}</chakra.legend>
            <Button size="small" onClick={() => onChange({ ...draft, questions: draft.questions.filter((_, i) => i !== place) })}>
              {say.leaveItOut}
            </Button>
          </Flex>
          <QuestionFields asking={one.ask} onChange={(ask) => change(place, ask)} />
        </Box>
      ))}
      <ProblemNote problem={keep.error} />
      <Flex gap="8px" mt="8px">
        <Button onClick={() => onChange({ ...draft, questions: [...draft.questions, { ask: NEW }] })}>
          {say.anotherQuestion}
        </Button>
        <Box flex="1" />
        <Button look="main" disabled={keep.isPending} onClick={() => keep.mutate()}>
          {say.keepThem}
        </Button>
      </Flex>
    </Box>
  )
}
