import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post } from '../../shared/api/http'
import type { ConsentPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { NotTaken } from '../../shared/ui/NotTaken'
import { SAID, STANDINGS } from './consent'

/** Consents from a file: first what it would note, then, if wanted, exactly that. */
export function ConsentImport() {
  const cache = useQueryClient()
  const [file, setFile] = useState<File | null>(null)
  const preview = useMutation({
    mutationFn: (chosen: File) => post<ConsentPreview>('/api/consents/import/preview', form(chosen)),
  })
  const take = useMutation({
    mutationFn: () =>
      post<ConsentPreview>(
        `/api/consents/import?fingerprint=${encodeURIComponent(preview.data?.fingerprint ?? '')}`,
        form(file!),
      ),
    onSuccess: () => {
      preview.reset()
      return cache.invalidateQueries({ queryKey: ['consents'] })
    },
  })
  const shown = preview.data
  return (
    <chakra.details mb="12px" open={shown !== undefined || undefined}>
      <chakra.summary cursor="pointer" textDecoration="underline" textUnderlineOffset="2px" mb="6px">
        Take consents from a file
      </chakra.summary>
      <chakra.p color="ink2" mb="6px" maxW="720px">
        A CSV file with a heading: “Number” or “Name”, “Consent” (given, refused, withdrawn), and if you have them “By”, “Paper”,
        “From”, “Until” as 2026-09-14. The table of this page is such a file. Nothing is noted before you have seen it.
      </chakra.p>
      <FileBox
        label="Consent file"
        accept=".csv,.txt,text/csv"
        onFile={(chosen) => {
          take.reset()
          setFile(chosen)
          preview.mutate(chosen)
        }}
      />
      <ProblemNote problem={preview.error ?? take.error} />
      {take.data && <p role="status">{take.data.noted.length} were noted.</p>}
      {shown && (
        <Box
          bg="sheet"
          border="1.5px solid"
          borderColor="ink"
          px="14px"
          py="10px"
          role="region"
          aria-label="What the file would note"
        >
          {shown.encodingGuessed && <p>Read as {shown.encoding}, for it is not UTF-8. Look at names with accents.</p>}
          {shown.noted.slice(0, 40).map((one) => (
            <chakra.p key={`${one.name} ${one.from}`}>
              <strong>{one.name}</strong>: {SAID[one.becomes].toLowerCase()} from {one.from}
              {one.until && ` until ${one.until}`} <chakra.span color="ink2">(now: {STANDINGS[one.was]})</chakra.span>
            </chakra.p>
          ))}
          {shown.noted.length > 40 && <p>and {shown.noted.length - 40} more.</p>}
          <p>
            <strong>{shown.asTheyWere}</strong> stay as they are.
          </p>
          <NotTaken
            what={shown.wrong.length === 1 ? '1 row is left out' : `${shown.wrong.length} rows are left out`}
            wrong={shown.wrong}
          />
          <Flex gap="8px" mt="8px">
            <Button look="main" disabled={take.isPending || shown.noted.length === 0} onClick={() => take.mutate()}>
              {shown.noted.length === 0 ? 'Nothing to note' : `Note these ${shown.noted.length}`}
            </Button>
            <Button onClick={() => preview.reset()}>Leave it</Button>
          </Flex>
        </Box>
      )}
    </chakra.details>
  )
}

function form(file: File): FormData {
  const data = new FormData()
  data.append('file', file)
  return data
}
