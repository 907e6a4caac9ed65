import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post } from '../../shared/api/http'
import type { SchoolPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select } from '../../shared/ui/Fields'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { NotTaken } from '../../shared/ui/NotTaken'

/** The whole school as files of the OneRoster binding: out, and in after a preview (need B1). */
export function SchoolFiles() {
  const cache = useQueryClient()
  const [file, setFile] = useState<File | null>(null)
  const [school, setSchool] = useState('')
  const preview = useMutation({
    mutationFn: (chosen: { file: File; school: string }) =>
      post<SchoolPreview>(`/api/school-files/preview?school=${encodeURIComponent(chosen.school)}`, chosen.file),
  })
  const take = useMutation({
    mutationFn: () =>
      post<SchoolPreview>(
        `/api/school-files?fingerprint=${preview.data!.fingerprint}&school=${encodeURIComponent(school)}`,
        file!,
      ),
    onSuccess: () => {
      preview.reset()
      return cache.invalidateQueries()
    },
  })
  const look = (chosen: File, meant: string) => {
    take.reset()
    setFile(chosen)
    setSchool(meant)
    preview.mutate({ file: chosen, school: meant })
  }
  const shown = preview.data
  const parts: [string, string[]][] = shown
    ? [
        ['pupils are new to the school', shown.pupils],
        ['names are written differently', shown.renamed],
        ['are in another year', shown.moved],
        ['classes are new', shown.classes],
        ['join a class', shown.joins],
        ['leave a class', shown.leaves],
      ]
    : []
  const changes = parts.reduce((sum, [, names]) => sum + names.length, 0)
  return (
    <chakra.section aria-label="The school as files">
      <chakra.h2 fontSize="17px" mb="4px">
        The school as files
      </chakra.h2>
      <chakra.p color="ink2" mb="6px">
        An archive (.zip) with the tables users, classes and enrollments of the OneRoster CSV binding, version 1.1 or 1.2. Nothing
        changes before you have seen it; adults are never added by a file.
      </chakra.p>
      <FileBox label="Files of the school" accept=".zip,application/zip" onFile={(chosen) => look(chosen, '')} />
      <ProblemNote problem={preview.error ?? take.error} />
      {preview.isPending && <span role="status">Reading {file?.name}…</span>}
      {take.data && <chakra.p role="status">The files are taken.</chakra.p>}
      {shown && (
        <Box
          role="region"
          aria-label="What the files would change"
          border="1.5px solid"
          borderColor="ink"
          bg="sheet"
          px="14px"
          py="10px"
        >
          {shown.schools.length > 0 && (
            <Labelled label="Which school is yours" hint="The files are of several. Nothing is read before you have said it.">
              {(id) => (
                <Select id={id} value="" onChange={(event) => look(file!, event.target.value)}>
                  <option value="">Say which…</option>
                  {shown.schools.map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.name}, {one.users} users
                    </option>
                  ))}
                </Select>
              )}
            </Labelled>
          )}
          {changes === 0 && shown.schools.length === 0 && <p>Nothing would change.</p>}
          {parts
            .filter(([, names]) => names.length > 0)
            .map(([words, names]) => (
              <chakra.details key={words} py="2px">
                <chakra.summary cursor="pointer">
                  <strong>{names.length}</strong> {words}
                </chakra.summary>
                <chakra.p fontSize="13px" color="ink2" maxH="160px" overflowY="auto" tabIndex={0}>
                  {names.slice(0, 300).join('; ')}
                  {names.length > 300 && ` and ${names.length - 300} more`}
                </chakra.p>
              </chakra.details>
            ))}
          <NotTaken
            what={
              shown.wrongInAll === 1
                ? '1 thing is not taken or to be known'
                : `${shown.wrongInAll} things are not taken or to be known`
            }
            all={shown.wrongInAll}
            wrong={shown.wrong}
          />
          <Flex gap="8px" mt="8px">
            <Button look="main" disabled={take.isPending || changes === 0} onClick={() => take.mutate()}>
              {changes === 0 ? 'Nothing to take' : 'Take these files'}
            </Button>
            <Button onClick={() => preview.reset()}>Leave it</Button>
          </Flex>
        </Box>
      )}
      <chakra.p mt="6px">
        <chakra.a textDecoration="underline" href="/api/school-files" download="school.zip">
          Take the school out as files
        </chakra.a>{' '}
        ·{' '}
        <chakra.a textDecoration="underline" href="/api/school-files?version=1.2" download="school.zip">
          in version 1.2
        </chakra.a>
      </chakra.p>
    </chakra.section>
  )
}
