import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
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
    <chakra.section aria-label="Import a roster">
      <chakra.h2 fontSize="17px" mb="6px">
        Import a roster
      </chakra.h2>
      <chakra.p color="ink2" mb="8px">
        A CSV file with a heading: “name”, or “first name” and “last name”; if you have them, “number” and “year”. Nothing changes
        before you have seen it.
      </chakra.p>
      <FileBox label="Roster file" accept=".csv,.txt,text/csv" onFile={(chosen) => look(chosen, UNSAID)} />
      <chakra.form
        aria-label="Paste a list"
        mb="8px"
        onSubmit={(event) => {
          event.preventDefault()
          look(listed(pasted), { ...UNSAID, adds: true })
        }}
      >
        <Labelled label="Or paste a list of names" hint="One on each line. Those who are in the class already stay.">
          {(id) => <TextArea id={id} rows={3} value={pasted} onChange={(event) => setPasted(event.target.value)} />}
        </Labelled>
        <Button type="submit" disabled={pasted.trim() === '' || preview.isPending}>
          Show what it would add
        </Button>
      </chakra.form>
      <ProblemNote problem={preview.error ?? take.error} />
      {preview.isPending && <span role="status">Reading {file?.name}…</span>}
      {take.data && (
        <chakra.p role="status">
          The roster is taken: {take.data.added.length + take.data.created.length} came, {take.data.dropped.length} went.
        </chakra.p>
      )}
      {preview.data && (
        <Box
          bg="sheet"
          border="1.5px solid"
          borderColor="ink"
          px="14px"
          py="10px"
          aria-label="What the file would change"
          role="region"
        >
          <chakra.h3 fontSize="15px" mb="4px" overflowWrap="anywhere">
            {file?.name}
          </chakra.h3>
          {preview.data.encodingGuessed && (
            <p>Read as {preview.data.encoding}, for it is not UTF-8. Look at names with accents.</p>
          )}
          <chakra.details mb="6px">
            <chakra.summary cursor="pointer">Which column is what</chakra.summary>
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
          <Names label="join the class" names={preview.data.added} />
          <Names label="are new to the school" names={preview.data.created} />
          <Names label="are written differently" names={preview.data.renamed.map((one) => `${one.from} becomes ${one.to}`)} />
          <Names
            label={preview.data.moved.length === 1 ? 'is in another year' : 'are in other years'}
            names={preview.data.moved.map((one) => `${one.from} becomes ${one.to}`)}
          />
          <Names label="are not in the file and leave the class" names={preview.data.dropped} />
          <p>
            <strong>{preview.data.staying}</strong> stay.
          </p>
          <NotTaken
            what={preview.data.wrong.length === 1 ? '1 row is left out' : `${preview.data.wrong.length} rows are left out`}
            wrong={preview.data.wrong}
          />
          <Flex gap="8px" mt="8px">
            <Button
              look="main"
              disabled={take.isPending || preview.isPending || preview.data.asked.length > 0 || changes(preview.data) === 0}
              onClick={() => take.mutate()}
            >
              {changes(preview.data) === 0 && preview.data.asked.length === 0 ? 'Nothing to take' : 'Take this roster'}
            </Button>
            <Button onClick={() => preview.reset()}>Leave it</Button>
          </Flex>
        </Box>
      )}
    </chakra.section>
  )
}

const PARTS: { part: keyof RosterPreview['columns']; label: string }[] = [
  { part: 'name', label: 'Whole names' },
  { part: 'first', label: 'or first names' },
  { part: 'last', label: 'and last names' },
  { part: 'number', label: 'Numbers' },
  { part: 'year', label: 'Years' },
]

const DOUBTS: Record<RosterPreview['asked'][number]['why'], string> = {
  OTHER_YEAR: 'The school has this name in another year.',
  OTHER_NUMBER: 'The school has this name with another number.',
  NUMBER_WITHOUT_ZEROS: 'The number is the same but for zeros at its beginning, which spreadsheets take away; the name is not.',
}

/** A row that may or may not mean a pupil whom the school has. */
function Asked({ asked, onSaid }: { asked: RosterPreview['asked'][number]; onSaid: (said: 'SAME' | 'ANOTHER') => void }) {
  return (
    <Box role="group" aria-label={`Line ${asked.line}`} bg="verdict.waitSoft" px="10px" py="6px" mb="4px">
      <p>
        Line {asked.line}: <strong>{asked.says}</strong>. {DOUBTS[asked.why]} Is it <strong>{asked.known}</strong>?
      </p>
      <Flex gap="8px" mt="4px">
        <Button size="small" onClick={() => onSaid('SAME')}>
          The same
        </Button>
        <Button size="small" onClick={() => onSaid('ANOTHER')}>
          Somebody else
        </Button>
      </Flex>
    </Box>
  )
}

/** A pasted list as the file it might have been: a heading is put above plain names. */
function listed(text: string): File {
  const first = text.trimStart().split('\n', 1)[0] ?? ''
  const hasHeading = /\bname\b/i.test(first)
  return new File([hasHeading ? text : `name\n${text}`], 'the pasted list', { type: 'text/csv' })
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
      {names.slice(0, 40).join(', ')}
      {names.length > 40 && ` and ${names.length - 40} more`}
    </chakra.p>
  )
}

function form(file: File, fingerprint?: string): FormData {
  const data = new FormData()
  data.append('file', file)
  if (fingerprint) data.append('fingerprint', fingerprint)
  return data
}
