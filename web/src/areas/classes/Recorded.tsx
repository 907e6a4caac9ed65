import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/classes'
import { get, post } from '../../shared/api/http'
import type { ClassPage, RecordingsPage } from '../../shared/api/types'
import { countdown, useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'

/** What was recorded of a class, and recording ahead without pupils (need I6). */
export function Recorded({ page }: { page: ClassPage }) {
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['recordings', page.id],
    queryFn: () => get<RecordingsPage>(`/api/recordings?ofClass=${encodeURIComponent(page.id)}`),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theRecordings} />
  const goingOn = data.lines.find((one) => one.isAhead && one.isGoingOn)
  return (
    <Flex gap="40px" wrap="wrap" align="start">
      <Box flex="1 1 420px">
        <chakra.h2 fontSize="17px" mb="4px">
          {say.inTheLastFourWeeks}
        </chakra.h2>
        {data.lines.length === 0 && <EmptyNote>{say.nothingWasRecorded}</EmptyNote>}
        {data.lines.map((one) => (
          <Flex key={one.id ?? one.lesson} gap="12px" py="5px" borderBottom="1px solid" borderColor="line" align="baseline">
            <chakra.span fontFamily="mono" fontSize="13px" w="150px" whiteSpace="nowrap">
              {time.day(one.begun)} {time.clock(one.begun)}
            </chakra.span>
            <Box flex="1">
              {one.id ? (
                <Link to={`/recordings/${one.id}`}>
                  <u>{say.theLesson(one.isAhead, one.title)}</u>
                </Link>
              ) : (
                say.hadToBeRecorded
              )}
              {one.isAhead && <chakra.span color="ink2"> {say.recordedAhead}</chakra.span>}
            </Box>
            <chakra.span color="ink2">
              {one.erasedAt ? say.deleted : say.goesOnMin(one.isGoingOn, Math.round(one.lengthSeconds / 60))}
            </chakra.span>
          </Flex>
        ))}
        <Flex mt="8px" gap="14px">
          <Link to={`/recordings?ofClass=${page.id}`}>
            <u>{say.withWhatIsMissingAndWhy}</u>
          </Link>
          <Link to={`/consents?ofClass=${page.id}`}>
            <u>{say.whoMayBeRecorded}</u>
          </Link>
        </Flex>
      </Box>
      {page.mine && <Ahead ofClass={page.id} goingOn={goingOn} />}
    </Flex>
  )
}

interface AheadProps {
  ofClass: string
  goingOn: RecordingsPage['lines'][number] | undefined
}

function Ahead({ ofClass, goingOn }: AheadProps) {
  const cache = useQueryClient()
  const now = useNow()
  const [title, setTitle] = useState('')
  const again = () => cache.invalidateQueries({ queryKey: ['recordings', ofClass] })
  const begin = useMutation({
    mutationFn: () => post(`/api/classes/${encodeURIComponent(ofClass)}/recordings`, { title }),
    onSuccess: again,
  })
  const end = useMutation({
    mutationFn: () => post<{ recording: string }>(`/api/recordings/${encodeURIComponent(goingOn?.id ?? '')}/end`),
    onSuccess: again,
  })
  return (
    <Box
      as="section"
      aria-label={say.recordAhead}
      w="320px"
      bg="sheet"
      borderTop="3px double"
      borderColor="ink"
      px="14px"
      py="10px"
    >
      <chakra.h2 fontSize="17px" mb="4px">
        {say.recordAhead}
      </chakra.h2>
      {goingOn ? (
        <>
          <chakra.p mb="8px" role="status">
            <strong>{say.isBeingRecorded(goingOn.title)}</strong>
            {say.for} <chakra.span fontFamily="mono">{countdown(now - Date.parse(goingOn.begun))}</chakra.span>
            {say.onlyYou}
          </chakra.p>
          <Button look="main" onClick={() => end.mutate()} disabled={end.isPending}>
            {say.endIt}
          </Button>
        </>
      ) : (
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            begin.mutate()
          }}
        >
          <chakra.p color="ink2" mb="8px">
            {say.withoutPupilsTheClassFinds}
          </chakra.p>
          <TextField
            label={say.whatIt}
            value={title}
            maxLength={120}
            onChange={(event) => setTitle(event.target.value)}
            required
          />
          <Button type="submit" disabled={begin.isPending}>
            {say.beginToRecord}
          </Button>
        </chakra.form>
      )}
      {end.data && (
        <chakra.p mt="8px">
          {say.itIsKept}{' '}
          <Link to={`/recordings/${end.data.recording}`}>
            <u>{say.chooseWhenTheClassSees}</u>
          </Link>
        </chakra.p>
      )}
      <ProblemNote problem={begin.error ?? end.error} />
    </Box>
  )
}
