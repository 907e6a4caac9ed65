import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/corridor'
import { get, post } from '../../shared/api/http'
import type { Corridor, CorridorLine, Upkeep } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { ageOf } from '../../shared/upkeep/age'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { VerdictMark } from '../../shared/ui/VerdictMark'

const EVERY_MS = 3000

/** All live lessons of the school, worst first (need M1). */
export default function CorridorScreen() {
  return <Page title={say.corridor}>{() => <LiveCorridor />}</Page>
}

/** Whether the program itself can be trusted with what happens: the age of the last backup, and what needs looking after. */
function UpkeepLine() {
  const { data } = useQuery({ queryKey: ['upkeep'], queryFn: () => get<Upkeep>('/api/upkeep'), refetchInterval: 60_000 })
  if (!data) return null
  const worries = data.checks.filter((one) => !one.well)
  const backup = data.lastBackup ? say.lastGoodBackupAgo(ageOf(data.lastBackup, data.now)) : say.noBackupYet
  return worries.length === 0 ? (
    <chakra.p fontSize="12.5px" color="ink2" mb="6px">
      <Link to="/upkeep">{backup}</Link>
    </chakra.p>
  ) : (
    <Box
      role="status"
      bg="verdict.awaySoft"
      borderInlineStart="4px solid"
      borderColor="verdict.away"
      px="12px"
      py="5px"
      mb="10px"
    >
      {worries.map((one) => one.say).join(' ')} <Link to="/upkeep">{say.lookAfterIt}</Link>
    </Box>
  )
}

function LiveCorridor() {
  const time = useSchoolTime()
  const { data, error } = useQuery({
    queryKey: ['corridor'],
    queryFn: () => get<Corridor>('/api/corridor'),
    refetchInterval: EVERY_MS,
  })
  if (error && !data) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theCorridor} />
  const now = data.lessons.filter((line) => line.alerts.some((alert) => alert.grave && !alert.takenBy)).length
  return (
    <Box maxW="1240px" mx="auto" px="20px" py="14px">
      <chakra.h1 srOnly>{say.corridor}</chakra.h1>
      {error && <ProblemNote problem={error} compact />}
      <UpkeepLine />
      <Flex gap="30px" align="baseline" wrap="wrap" mb="12px">
        <Figure many={data.live} what={data.live === 1 ? say.lessonLive : say.lessonsLive} />
        <Figure many={data.pupils} what={say.pupilsIn} />
        <Box aria-live="assertive">
          <Figure many={now} what={now === 1 ? say.needsSomeoneNow : say.needSomeoneNow} mark={now > 0} />
        </Box>
        <Box flex="1" />
        <chakra.span fontSize="12.5px" color="ink2">
          {say.worstFirst}
          {data.next && say.nextStartAt(time.clock(data.next))}
        </chakra.span>
      </Flex>
      {data.lessons.length === 0 ? (
        <EmptyNote>
          {say.noLessonIsLive}
          {data.next ? say.theNextOneStarts(time.clock(data.next)) : say.orNear}.
        </EmptyNote>
      ) : (
        <Box overflowX="auto">
          <chakra.table
            w="100%"
            minW={{ md: '860px' }}
            bg="sheet"
            borderTop="1.5px solid"
            borderColor="ink"
            css={{
              '& td, & th': { padding: '7px 8px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' },
              // On a phone each lesson is a block: the lesson, what is wrong, what to do.
              '@media (max-width: 767px)': {
                '&, & tbody, & tr': { display: 'block' },
                '& thead': { display: 'none' },
                '& td': { display: 'inline-block', maxWidth: '100%', border: 'none', padding: '4px 10px' },
                '& tr': { borderBottom: '1px solid var(--chakra-colors-lineStrong)', padding: '6px 0' },
              },
            }}
          >
            <thead>
              <chakra.tr fontSize="12px" color="ink2">
                <th>{say.lesson}</th>
                <th>{say.adultsInIt}</th>
                <th>{say.inExpected}</th>
                <th>{say.door}</th>
                <th>{say.stance}</th>
                <th>{say.whatIsWrong}</th>
                <th>
                  <chakra.span srOnly>{say.whatToDo}</chakra.span>
                </th>
              </chakra.tr>
            </thead>
            <tbody>
              {data.lessons.map((line) => (
                <Row key={line.lesson} line={line} />
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
    </Box>
  )
}

function Figure({ many, what, mark = false }: { many: number; what: string; mark?: boolean }) {
  return (
    <chakra.span
      display="inline-block"
      bg={mark ? 'mark' : 'transparent'}
      color={mark ? 'onMark' : 'inherit'}
      px={mark ? '8px' : '0'}
    >
      <chakra.strong fontFamily="heading" fontSize="30px" fontWeight="700">
        {many}
      </chakra.strong>{' '}
      {what}
    </chakra.span>
  )
}

function Row({ line }: { line: CorridorLine }) {
  const time = useSchoolTime()
  const cache = useQueryClient()
  const take = useMutation({
    mutationFn: (kind: string) => post<Corridor>(`/api/corridor/${encodeURIComponent(line.lesson)}/${kind}/take-over`),
    onSuccess: (corridor) => cache.setQueryData(['corridor'], corridor),
  })
  const open = line.alerts.filter((alert) => !alert.takenBy)
  const grave = open.some((alert) => alert.grave)
  return (
    <chakra.tr bg={grave ? 'verdict.awaySoft' : open.length > 0 ? 'markSoft' : 'transparent'}>
      <td>
        <chakra.span fontWeight="650">{line.title}</chakra.span>
        <chakra.span display="block" fontSize="12px" color="ink2" fontFamily="mono">
          {time.clock(line.starts)}–{time.clock(line.ends)}
        </chakra.span>
      </td>
      <chakra.td fontSize="13px">
        {line.adultsIn.join(', ') || (
          <chakra.span color="verdict.away" fontWeight="650">
            {say.none}
            {line.adults.length > 0 && ` (${line.adults.join(', ')})`}
          </chakra.span>
        )}
      </chakra.td>
      <chakra.td fontFamily="mono">
        {line.present} / {line.expected}
        {line.waiting > 0 && (
          <chakra.span display="block" fontSize="12px" color="verdict.wait">
            {say.atTheDoor(line.waiting)}
          </chakra.span>
        )}
      </chakra.td>
      <td>{line.phase === 'OPEN' ? line.door : '–'}</td>
      <chakra.td fontSize="13px">{line.stance ?? '–'}</chakra.td>
      <chakra.td fontSize="13px" maxW="360px">
        {line.alerts.length === 0 && <chakra.span color="ink2">{say.allIsWell}</chakra.span>}
        {line.alerts.map((alert) => (
          <Flex key={alert.kind} gap="7px" align="baseline" opacity={alert.takenBy && !alert.mine ? 0.65 : 1} py="1px">
            <VerdictMark verdict={alert.grave ? 'away' : 'wait'} />
            <Box flex="1">
              <chakra.span fontWeight={alert.grave && !alert.takenBy ? 650 : 400}>{alert.text}</chakra.span>
              {alert.takenBy && <chakra.span color="ink2"> {say.youSeeToItSees(alert.mine, alert.takenBy)}</chakra.span>}
            </Box>
            {!alert.takenBy && (
              <Button size="small" disabled={take.isPending} onClick={() => take.mutate(alert.kind)}>
                {say.iSee}
              </Button>
            )}
          </Flex>
        ))}
        <ProblemNote problem={take.error} compact />
      </chakra.td>
      <chakra.td css={{ textAlign: 'right !important' }}>
        <Link to={`/lessons/${line.lesson}/desk`}>
          <Button as="span" look={grave ? 'main' : 'plain'}>
            {say.stepInLook(line.adultsIn.length, line.phase)}
          </Button>
        </Link>
      </chakra.td>
    </chakra.tr>
  )
}
