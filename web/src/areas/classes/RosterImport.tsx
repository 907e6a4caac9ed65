import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post } from '../../shared/api/http'
import type { RosterPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { NotTaken } from '../../shared/ui/NotTaken'

/** A roster from a file: first what it would change, then, if wanted, exactly that (need B1). */
export function RosterImport({ id }: { id: string }) {
  const cache = useQueryClient()
  const [file, setFile] = useState<File | null>(null)
  const [pasted, setPasted] = useState('')
  const [adds, setAdds] = useState(false)
  const path = `/api/classes/${id}/roster`
  const preview = useMutation({
    mutationFn: (chosen: { file: File; adds: boolean }) =>
      post<RosterPreview>(`${path}/preview?add=${chosen.adds}`, form(chosen.file)),
  })
  const take = useMutation({
    mutationFn: () => post<RosterPreview>(`${path}?add=${adds}`, form(file!, preview.data?.fingerprint)),
    onSuccess: () => {
      preview.reset()
      setFile(null)
      setPasted('')
      return cache.invalidateQueries({ queryKey: ['class', id] })
    },
  })
  const look = (chosen: File, adding: boolean) => {
    take.reset()
    setFile(chosen)
    setAdds(adding)
    preview.mutate({ file: chosen, adds: adding })
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
      <FileBox label="Roster file" accept=".csv,.txt,text/csv" onFile={(chosen) => look(chosen, false)} />
      <chakra.form
        aria-label="Paste a list"
        mb="8px"
        onSubmit={(event) => {
          event.preventDefault()
          look(listed(pasted), true)
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
          <Names label="join the class" names={preview.data.added} />
          <Names label="are new to the school" names={preview.data.created} />
          <Names label="are written differently" names={preview.data.renamed.map((one) => `${one.from} becomes ${one.to}`)} />
          <Names label="are not in the file and leave the class" names={preview.data.dropped} />
          <p>
            <strong>{preview.data.staying}</strong> stay.
          </p>
          <NotTaken
            what={preview.data.wrong.length === 1 ? '1 row is left out' : `${preview.data.wrong.length} rows are left out`}
            wrong={preview.data.wrong}
          />
          <Flex gap="8px" mt="8px">
            <Button look="main" disabled={take.isPending || changes(preview.data) === 0} onClick={() => take.mutate()}>
              {changes(preview.data) === 0 ? 'Nothing to take' : 'Take this roster'}
            </Button>
            <Button onClick={() => preview.reset()}>Leave it</Button>
          </Flex>
        </Box>
      )}
    </chakra.section>
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
  return rows === 0 ? 0 : preview.added.length + preview.created.length + preview.renamed.length + preview.dropped.length
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
