import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/people'
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
        [say.pupilsAreNewToTheSchool, shown.pupils],
        [say.namesAreWrittenDifferently, shown.renamed],
        [say.areInAnotherYear, shown.moved],
        [say.classesAreNew, shown.classes],
        [say.joinAClass, shown.joins],
        [say.leaveAClass, shown.leaves],
      ]
    : []
  const changes = parts.reduce((sum, [, names]) => sum + names.length, 0)
  return (
    <chakra.section aria-label={say.theSchoolAsFiles}>
      <chakra.h2 fontSize="17px" mb="4px">
        {say.theSchoolAsFiles}
      </chakra.h2>
      <chakra.p color="ink2" mb="6px">
        {say.anArchiveZip}
      </chakra.p>
      <FileBox label={say.filesOfTheSchool} accept=".zip,application/zip" onFile={(chosen) => look(chosen, '')} />
      <ProblemNote problem={preview.error ?? take.error} />
      {preview.isPending && (
        <span role="status">
          {say.reading} {file?.name}…
        </span>
      )}
      {take.data && <chakra.p role="status">{say.theFilesAreTaken}</chakra.p>}
      {shown && (
        <Box
          role="region"
          aria-label={say.whatTheFilesWouldChange}
          border="1.5px solid"
          borderColor="ink"
          bg="sheet"
          px="14px"
          py="10px"
        >
          {shown.schools.length > 0 && (
            <Labelled label={say.whichSchoolIsYours} hint={say.theFilesAreOfSeveral}>
              {(id) => (
                <Select id={id} value="" onChange={(event) => look(file!, event.target.value)}>
                  <option value="">{say.sayWhich}</option>
                  {shown.schools.map((one) => (
                    <option key={one.id} value={one.id}>
                      {say.users(one.name, one.users)}
                    </option>
                  ))}
                </Select>
              )}
            </Labelled>
          )}
          {changes === 0 && shown.schools.length === 0 && <p>{say.nothingWouldChange}</p>}
          {parts
            .filter(([, names]) => names.length > 0)
            .map(([words, names]) => (
              <chakra.details key={words} py="2px">
                <chakra.summary cursor="pointer">
                  <strong>{names.length}</strong> {words}
                </chakra.summary>
                <chakra.p fontSize="13px" color="ink2" maxH="160px" overflowY="auto" tabIndex={0}>
                  {say.andMore(names.slice(0, 300).join('; '), names.length, names.length - 300)}
                </chakra.p>
              </chakra.details>
            ))}
          <NotTaken what={say.thingIsNotTaken(shown.wrongInAll)} all={shown.wrongInAll} wrong={shown.wrong} />
          <Flex gap="8px" mt="8px">
            <Button look="main" disabled={take.isPending || changes === 0} onClick={() => take.mutate()}>
              {say.nothingToTakeTakeTheseFiles(changes)}
            </Button>
            <Button onClick={() => preview.reset()}>{say.leaveIt}</Button>
          </Flex>
        </Box>
      )}
      <chakra.p mt="6px">
        <chakra.a textDecoration="underline" href="/api/school-files" download="school.zip">
          {say.takeTheSchoolOutAsFiles}
        </chakra.a>{' '}
        ·{' '}
        <chakra.a textDecoration="underline" href="/api/school-files?version=1.2" download="school.zip">
          {say.inTheOlderVersion}
        </chakra.a>
      </chakra.p>
    </chakra.section>
  )
}
