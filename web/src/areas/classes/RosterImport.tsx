import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/classes'
import { post } from '../../shared/api/http'
import type { RosterPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ColumnPicker } from '../../shared/ui/ColumnPicker'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { NotTaken } from '../../shared/ui/NotTaken'

/** What a person has said of a file. */
interface Said {
  adds: boolean
  /** Names, first names, last names, numbers and years, from 0, or -1; empty to go by the heading. */
  columns: string
  answers: Record<number, 'SAME' | 'ANOTHER'>
}

const UNSAID: Said = { adds: false, columns: '', answers: {} }

const query = ({ adds, columns, answers }: Said) =>
  new URLSearchParams({ add: String(adds), columns, answers: JSON.stringify(answers) }).toString()

/** A roster from a file: first what it would change, then, if wanted, exactly that (need B1). */
export function RosterImport({ id }: { id: string }) {
  const cache = useQueryClient()
  const [file, setFile] = useState<File | null>(null)
  const [pasted, setPasted] = useState('')
  const [said, setSaid] = useState<Said>(UNSAID)
  const path = `/api/classes/${id}/roster`
  const preview = useMutation({
    mutationFn: (chosen: { file: File; said: Said }) =>
      post<RosterPreview>(`${path}/preview?${query(chosen.said)}`, form(chosen.file)),
  })
  const take = useMutation({
    mutationFn: () => post<RosterPreview>(`${path}?${query(said)}`, form(file!, preview.data?.fingerprint)),
    onSuccess: () => {
      preview.reset()
      setFile(null)
      setPasted('')
      return cache.invalidateQueries({ queryKey: ['class', id] })
    },
  })
  const look = (chosen: File, next: Said) => {
    take.reset()
    setFile(chosen)
    setSaid(next)
    preview.mutate({ file: chosen, said: next })
  }
  return (
    <chakra.section aria-label={say.importARoster}>
      <chakra.h2 fontSize="17px" mb="6px">
        {say.importARoster}
      </chakra.h2>
      <chakra.p color="ink2" mb="8px">
        {say.aCsvFile}
      </chakra.p>
      <FileBox label={say.rosterFile} accept=".csv,.txt,text/csv" onFile={(chosen) => look(chosen, UNSAID)} />
      <chakra.form
        aria-label={say.pasteAList}
        mb="8px"
        onSubmit={(event) => {
          event.preventDefault()
          look(listed(pasted), { ...UNSAID, adds: true })
        }}
      >
        <Labelled label={say.orPasteAListOfNames} hint={say.oneOnEachLine}>
          {(id) => <TextArea id={id} rows={3} value={pasted} onChange={(event) => setPasted(event.target.value)} />}
        </Labelled>
        <Button type="submit" disabled={pasted.trim() === '' || preview.isPending}>
          {say.showWhatItWouldAdd}
        </Button>
      </chakra.form>
      <ProblemNote problem={preview.error ?? take.error} />
      {preview.isPending && (
        <span role="status">
          {say.reading} {file?.name}…
        </span>
      )}
      {take.data && (
        <chakra.p role="status">
          {say.theRosterIsTakenCameWent(take.data.added.length + take.data.created.length, take.data.dropped.length)}
        </chakra.p>
      )}
      {preview.data && (
        <Box
          bg="sheet"
          border="1.5px solid"
          borderColor="ink"
          px="14px"
          py="10px"
          aria-label={say.whatTheFileWouldChange}
          role="region"
        >
          <chakra.h3 fontSize="15px" mb="4px" overflowWrap="anywhere">
            {file?.name}
          </chakra.h3>
          {preview.data.encodingGuessed && <p>{say.readAs(preview.data.encoding)}</p>}
          <chakra.details mb="6px">
            <chakra.summary cursor="pointer">{say.whichColumn}</chakra.summary>
            <ColumnPicker
              heading={preview.data.heading}
              columns={preview.data.columns}
              parts={PARTS}
              said={said.columns}
              onColumns={(columns) => look(file!, { ...said, columns })}
            />
          </chakra.details>
          {preview.data.asked.map((one) => (
            <Asked
              key={one.line}
              asked={one}
              onSaid={(answer) => look(file!, { ...said, answers: { ...said.answers, [one.line]: answer } })}
            />
          ))}
          <Names label={say.joinTheClass} names={preview.data.added} />
          <Names label={say.areNewToTheSchool} names={preview.data.created} />
          <Names label={say.areWrittenDifferently} names={preview.data.renamed.map((one) => say.becomes(one.from, one.to))} />
          <Names
            label={preview.data.moved.length === 1 ? say.isInAnotherYear : say.areInOtherYears}
            names={preview.data.moved.map((one) => say.becomes(one.from, one.to))}
          />
          <Names label={say.areNotInTheFile} names={preview.data.dropped} />
          <p>
            <strong>{preview.data.staying}</strong> {say.stay}
          </p>
          <NotTaken what={say.rowIsLeftOutRows(preview.data.wrong.length)} wrong={preview.data.wrong} />
          <Flex gap="8px" mt="8px">
            <Button
              look="main"
              disabled={take.isPending || preview.isPending || preview.data.asked.length > 0 || changes(preview.data) === 0}
              onClick={() => take.mutate()}
            >
              {say.nothingToTakeTakeThisRoster(changes(preview.data), preview.data.asked.length)}
            </Button>
            <Button onClick={() => preview.reset()}>{say.leaveIt}</Button>
          </Flex>
        </Box>
      )}
    </chakra.section>
  )
}

const PARTS: { part: keyof RosterPreview['columns']; label: string }[] = [
  { part: 'name', label: say.wholeNames },
  { part: 'first', label: say.orFirstNames },
  { part: 'last', label: say.andLastNames },
  { part: 'number', label: say.numbers },
  { part: 'year', label: say.years },
]

const DOUBTS: Record<RosterPreview['asked'][number]['why'], string> = {
  OTHER_YEAR: say.theSchoolHasThisName,
  OTHER_NUMBER: say.theSchoolHasThisNameWith,
  NUMBER_WITHOUT_ZEROS: say.theNumberIsTheSame,
}

/** A row that may or may not mean a pupil whom the school has. */
function Asked({ asked, onSaid }: { asked: RosterPreview['asked'][number]; onSaid: (said: 'SAME' | 'ANOTHER') => void }) {
  return (
    <Box role="group" aria-label={say.line(asked.line)} bg="verdict.waitSoft" px="10px" py="6px" mb="4px">
      <p>
        {say.lineSaid(asked.line)} <strong>{asked.says}</strong>
        {say.isIt(DOUBTS[asked.why])} <strong>{asked.known}</strong>?
      </p>
      <Flex gap="8px" mt="4px">
        <Button size="small" onClick={() => onSaid('SAME')}>
          {say.theSame}
        </Button>
        <Button size="small" onClick={() => onSaid('ANOTHER')}>
          {say.somebodyElse}
        </Button>
      </Flex>
    </Box>
  )
}

/** A pasted list as the file it might have been: a heading is put above plain names. */
function listed(text: string): File {
  const first = text.trimStart().split('\n', 1)[0] ?? ''
  const hasHeading = /\bname\b/i.test(first)
  return new File([hasHeading ? text : `name\n${text}`], say.thePastedList, { type: 'text/csv' })
}

function changes(preview: RosterPreview): number {
  const rows = preview.added.length + preview.created.length + preview.renamed.length + preview.staying
  const more = preview.renamed.length + preview.moved.length + preview.dropped.length
  return rows === 0 ? 0 : preview.added.length + preview.created.length + more
}

function Names({ label, names }: { label: string; names: string[] }) {
  if (names.length === 0) return null
  return (
    <chakra.p mb="4px" overflowWrap="anywhere">
      <strong>
        {names.length} {label}:
      </strong>{' '}
      {say.andMore(names.slice(0, 40).join(', '), names.length, names.length - 40)}
    </chakra.p>
  )
}

function form(file: File, fingerprint?: string): FormData {
  const data = new FormData()
  data.append('file', file)
  if (fingerprint) data.append('fingerprint', fingerprint)
  return data
}
