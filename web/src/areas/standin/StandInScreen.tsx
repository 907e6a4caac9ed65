import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/standin'
import { get, post, put } from '../../shared/api/http'
import type { Stage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

const EVERY_MS = 2000
const SPEEDS = [
  [0, 'paused'],
  [1, say.realTime],
  [4, '4 times'],
  [20, '20 times'],
] as const

type Lesson = Stage['lessons'][number]

/** Directs the stand-in classroom of the demo: how fast its cast plays, what comes next, and what goes wrong. */
export default function StandInScreen() {
  return <Page title={say.standIn}>{() => <Directing />}</Page>
}

function Directing() {
  const cache = useQueryClient()
  const key = ['stage']
  const { data, error } = useQuery({ queryKey: key, queryFn: () => get<Stage>('/api/demo/stage'), refetchInterval: EVERY_MS })
  const tell = useMutation({
    mutationFn: ({ path, speed }: { path: string; speed?: number }) =>
      speed === undefined ? post<Stage>(path) : put<Stage>(path, { speed }),
    onSuccess: (stage) => cache.setQueryData(key, stage),
  })
  if (error && !data) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theStage} />
  return (
    <Box maxW="1100px" mx="auto" px="20px" py="14px">
      <Flex align="baseline" gap="18px" wrap="wrap" mb="4px">
        <chakra.h1 fontSize="24px">{say.theStandInClassroom}</chakra.h1>
        <Box flex="1" />
        <Flex
          role="group"
          aria-label={say.speedOfTheCast}
          border="1.5px solid"
          borderColor="ink"
          borderRadius="3px"
          overflow="hidden"
        >
          {SPEEDS.map(([speed, words]) => (
            <chakra.button
              key={speed}
              type="button"
              aria-pressed={data.speed === speed}
              px="9px"
              py="3px"
              cursor="pointer"
              borderInlineStart={speed === 0 ? 'none' : '1px solid'}
              borderColor="lineStrong"
              bg={data.speed === speed ? 'ink' : 'sheet'}
              color={data.speed === speed ? 'sheet' : 'ink'}
              onClick={() => tell.mutate({ path: '/api/demo/stage/speed', speed })}
            >
              {words}
            </chakra.button>
          ))}
        </Flex>
      </Flex>
      <chakra.p color="ink2" mb="14px" maxW="720px">
        {say.inPlaceOfAReal}
      </chakra.p>
      <ProblemNote problem={tell.error} />
      {data.lessons.length === 0 && <EmptyNote>{say.noLessonIsLive}</EmptyNote>}
      {data.lessons.map((lesson) => (
        <OneLesson key={lesson.lesson} lesson={lesson} stage={data} tell={(path) => tell.mutate({ path })} />
      ))}
    </Box>
  )
}

const RECORDER = [
  ['DISK_FULL', say.itsDiskIsFull],
  ['LINE_LOST', say.theLineIsLost],
  ['NO_ANSWER', say.noAnswerNextTime],
] as const

function OneLesson({ lesson, stage, tell }: { lesson: Lesson; stage: Stage; tell: (path: string) => void }) {
  const time = useSchoolTime()
  const [script, setScript] = useState<string>(stage.scripts[0]?.script ?? '')
  const path = `/api/demo/stage/${encodeURIComponent(lesson.lesson)}`
  const about = stage.scripts.find((one) => one.script === script)?.about
  return (
    <Box as="section" aria-label={lesson.title} borderTop="1.5px solid" borderColor="ink" py="10px">
      <Flex align="baseline" gap="12px">
        <chakra.h2 fontSize="18px">
          <Link to={`/lessons/${lesson.lesson}/desk`}>{lesson.title}</Link>
        </chakra.h2>
        <chakra.span color="ink2">{say.liveInNotOpenYet(lesson.phase, lesson.present)}</chakra.span>
      </Flex>
      <Grid templateColumns={{ base: '1fr', md: '1fr 420px' }} gap="20px" mt="4px">
        <Box>
          {lesson.next.length === 0 ? (
            <chakra.p color="ink2">{say.nothingMoreIsScripted}</chakra.p>
          ) : (
            <chakra.ol listStyleType="none">
              {lesson.next.map((cue, place) => (
                <chakra.li key={`${cue.at} ${cue.text}`} display="flex" gap="10px" color={place === 0 ? 'ink' : 'ink2'}>
                  <chakra.span fontFamily="mono" fontSize="13px" pt="1px">
                    {time.clock(cue.at)}
                  </chakra.span>
                  <span>{cue.text}</span>
                </chakra.li>
              ))}
            </chakra.ol>
          )}
          <Button size="small" mt="6px" disabled={lesson.next.length === 0} onClick={() => tell(`${path}/next`)}>
            {say.playTheNextOneNow}
            <chakra.span srOnly> {say.in(lesson.title)}</chakra.span>
          </Button>
        </Box>
        {lesson.phase === 'OPEN' && (
          <Box>
            <Flex gap="8px">
              <chakra.select
                aria-label={say.mischiefIn(lesson.title)}
                value={script}
                flex="1"
                minW="0"
                border="1px solid"
                borderColor="lineStrong"
                bg="sheet"
                px="6px"
                onChange={(event) => setScript(event.target.value)}
              >
                {stage.scripts.map((one) => (
                  <option key={one.script} value={one.script}>
                    {one.title}
                  </option>
                ))}
              </chakra.select>
              <Button onClick={() => tell(`${path}/mischief/${script}`)}>
                {say.letItHappen}
                <chakra.span srOnly> {say.in(lesson.title)}</chakra.span>
              </Button>
            </Flex>
            <chakra.p fontSize="13px" color="ink2" mt="3px">
              {about}
            </chakra.p>
            <Flex gap="8px" mt="6px" align="baseline" wrap="wrap">
              <span>{say.theRecorder}</span>
              {RECORDER.map(([failure, says]) => (
                <Button key={failure} size="small" onClick={() => tell(`${path}/recorder/${failure}`)}>
                  {says}
                  <chakra.span srOnly> {say.in(lesson.title)}</chakra.span>
                </Button>
              ))}
            </Flex>
          </Box>
        )}
      </Grid>
    </Box>
  )
}
