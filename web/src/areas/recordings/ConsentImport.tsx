import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/recordings'
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
        {say.takeConsentsFromAFile}
      </chakra.summary>
      <chakra.p color="ink2" mb="6px" maxW="720px">
        {say.aCsvFile}
      </chakra.p>
      <FileBox
        label={say.consentFile}
        accept=".csv,.txt,text/csv"
        onFile={(chosen) => {
          take.reset()
          setFile(chosen)
          preview.mutate(chosen)
        }}
      />
      <ProblemNote problem={preview.error ?? take.error} />
      {take.data && <p role="status">{say.wereNoted(take.data.noted.length)}</p>}
      {shown && (
        <Box
          bg="sheet"
          border="1.5px solid"
          borderColor="ink"
          px="14px"
          py="10px"
          role="region"
          aria-label={say.whatTheFileWouldNote}
        >
          {shown.encodingGuessed && <p>{say.readAs(shown.encoding)}</p>}
          {shown.noted.slice(0, 40).map((one) => (
            <chakra.p key={`${one.name} ${one.from}`}>
              <strong>{one.name}</strong>
              {say.fromSaid(SAID[one.becomes].toLowerCase(), one.from)}
              {one.until && say.until(one.until)} <chakra.span color="ink2">{say.now(STANDINGS[one.was])}</chakra.span>
            </chakra.p>
          ))}
          {shown.noted.length > 40 && <p>{say.andMore(shown.noted.length - 40)}</p>}
          <p>
            <strong>{shown.asTheyWere}</strong> {say.stayAs}
          </p>
          <NotTaken what={say.rowIsLeftOutRows(shown.wrong.length)} wrong={shown.wrong} />
          <Flex gap="8px" mt="8px">
            <Button look="main" disabled={take.isPending || shown.noted.length === 0} onClick={() => take.mutate()}>
              {say.nothingToNoteNote(shown.noted.length)}
            </Button>
            <Button onClick={() => preview.reset()}>{say.leaveIt}</Button>
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
