import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
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
  if (!data) return <LoadingNote what="the recordings" />
  const goingOn = data.lines.find((one) => one.isAhead && one.isGoingOn)
  return (
    <Flex gap="40px" wrap="wrap" align="start">
      <Box flex="1 1 420px">
        <chakra.h2 fontSize="17px" mb="4px">
          In the last four weeks
        </chakra.h2>
        {data.lines.length === 0 && <EmptyNote>Nothing was recorded of this class, and nothing had to be.</EmptyNote>}
        {data.lines.map((one) => (
          <Flex key={one.id ?? one.lesson} gap="12px" py="5px" borderBottom="1px solid" borderColor="line" align="baseline">
            <chakra.span fontFamily="mono" fontSize="13px" w="150px" whiteSpace="nowrap">
              {time.day(one.begun)} {time.clock(one.begun)}
            </chakra.span>
            <Box flex="1">
              {one.id ? (
                <Link to={`/recordings/${one.id}`}>
                  <u>{one.isAhead ? one.title : 'The lesson'}</u>
                </Link>
              ) : (
                'Had to be recorded, and was not'
              )}
              {one.isAhead && <chakra.span color="ink2"> recorded ahead</chakra.span>}
            </Box>
            <chakra.span color="ink2">
              {one.erasedAt ? 'deleted' : one.isGoingOn ? 'goes on' : `${Math.round(one.lengthSeconds / 60)} min`}
            </chakra.span>
          </Flex>
        ))}
        <Flex mt="8px" gap="14px">
          <Link to={`/recordings?ofClass=${page.id}`}>
            <u>With what is missing, and why</u>
          </Link>
          <Link to={`/consents?ofClass=${page.id}`}>
            <u>Who may be recorded</u>
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
    <Box as="section" aria-label="Record ahead" w="320px" bg="sheet" borderTop="3px double" borderColor="ink" px="14px" py="10px">
      <chakra.h2 fontSize="17px" mb="4px">
        Record ahead
      </chakra.h2>
      {goingOn ? (
        <>
          <chakra.p mb="8px" role="status">
            <strong>“{goingOn.title}” is being recorded</strong>, for{' '}
            <chakra.span fontFamily="mono">{countdown(now - Date.parse(goingOn.begun))}</chakra.span>. Only you are in it.
          </chakra.p>
          <Button look="main" onClick={() => end.mutate()} disabled={end.isPending}>
            End it
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
            Without pupils. The class finds it on the day and hour that you choose afterwards, and you see who has watched it.
          </chakra.p>
          <TextField
            label="What it is about"
            value={title}
            maxLength={120}
            onChange={(event) => setTitle(event.target.value)}
            required
          />
          <Button type="submit" disabled={begin.isPending}>
            Begin to record
          </Button>
        </chakra.form>
      )}
      {end.data && (
        <chakra.p mt="8px">
          It is kept.{' '}
          <Link to={`/recordings/${end.data.recording}`}>
            <u>Choose when the class sees it</u>
          </Link>
        </chakra.p>
      )}
      <ProblemNote problem={begin.error ?? end.error} />
    </Box>
  )
}
