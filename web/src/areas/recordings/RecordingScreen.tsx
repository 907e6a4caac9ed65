import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { say as staffSays } from '../../languages/en/staff/recording'
import { watchWords } from '../../languages/watch'
import { get, post, put, remove } from '../../shared/api/http'
import type { OneRecording } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'
import { ShowToClass } from './ShowToClass'
import { length } from './words'

/** One recording: who may watch it, who has, and how long it is kept (need I4). */
export default function RecordingScreen() {
  const { id = '' } = useParams()
  return <Page title={watchWords().recording}>{(me) => <Shown id={id} isLead={me.position === 'LEAD'} />}</Page>
}

function Shown({ id, isLead }: { id: string; isLead: boolean }) {
  const path = `/api/recordings/${encodeURIComponent(id)}`
  const time = useSchoolTime()
  const say = watchWords()
  const { data, error } = useQuery({ queryKey: ['recording', id], queryFn: () => get<OneRecording>(path), retry: false })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={say.fetchingRecording} />
  return (
    <Box px="20px" py="16px" maxW="980px" mx="auto">
      <chakra.h1 fontSize="25px">{data.title}</chakra.h1>
      <chakra.p color="ink2" mb="12px">
        {(data.isAhead ? say.recordedAhead : say.recordedOn)(
          time.longDay(data.begun),
          time.clock(data.begun),
          data.lengthSeconds > 0 ? say.long(length(data.lengthSeconds)) : '',
        )}
      </chakra.p>
      {data.erasedAt ? (
        <Box borderInlineStart="4px solid" borderColor="ink" ps="12px" py="6px" mb="14px">
          <strong>{say.deletedOn(time.longDay(data.erasedAt))}</strong> {say.nothingKept}
          {data.adult?.erasedWhy && ` (${data.adult.erasedWhy})`}. {say.lineStays}
        </Box>
      ) : (
        <Flex gap="8px" wrap="wrap" align="center" mb="14px">
          {data.watch === 'YES' && (
            <Link to={`/recordings/${id}/watch`}>
              <Button as="span" look="main" size="large">
                {say.watch}
              </Button>
            </Link>
          )}
          {data.copy === 'YES' && (
            <chakra.a href={`${path}/copy`} download>
              <Button as="span">{say.takeCopy}</Button>
            </chakra.a>
          )}
          {data.isAsked && <span>{say.haveAsked}</span>}
          {!data.isAsked && data.watch === 'ASK' && <Ask path={path} id={id} copy={false} />}
          {!data.isAsked && data.copy === 'ASK' && data.watch === 'YES' && <Ask path={path} id={id} copy />}
          {data.keptUntil && (
            <chakra.span color="ink2" ms="6px">
              {say.keptUntil(time.longDay(data.keptUntil))}
            </chakra.span>
          )}
        </Flex>
      )}
      {data.adult && <ForAdults id={id} path={path} one={data} adult={data.adult} isLead={isLead} />}
    </Box>
  )
}

function Ask({ path, id, copy }: { path: string; id: string; copy: boolean }) {
  const [open, setOpen] = useState(false)
  const [why, setWhy] = useState('')
  const say = watchWords()
  const cache = useQueryClient()
  const ask = useMutation({
    mutationFn: () => post(`${path}/wishes`, { copy, why }),
    onSuccess: () => {
      setOpen(false)
      return cache.invalidateQueries({ queryKey: ['recording', id] })
    },
  })
  return (
    <>
      <Button onClick={() => setOpen(true)}>{copy ? say.askCopy : say.askWatch}</Button>
      <Sheet title={copy ? say.askCopy : say.askWatch} open={open} onClose={() => setOpen(false)}>
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            ask.mutate()
          }}
        >
          <TextField label={say.whatFor} value={why} maxLength={500} onChange={(event) => setWhy(event.target.value)} required />
          <ProblemNote problem={ask.error} />
          <Button type="submit" look="main" disabled={ask.isPending}>
            {say.ask}
          </Button>
        </chakra.form>
      </Sheet>
    </>
  )
}

interface ForAdultsProps {
  id: string
  path: string
  one: OneRecording
  adult: NonNullable<OneRecording['adult']>
  isLead: boolean
}

function ForAdults({ id, path, one, adult, isLead }: ForAdultsProps) {
  const time = useSchoolTime()
  const cache = useQueryClient()
  const watched = adult.watchers.filter((each) => each.percent > 0).length
  const answer = useMutation({
    mutationFn: ({ wish, days }: { wish: number; days?: number }) =>
      put<OneRecording>(`${path}/wishes/${wish}`, days ? { days } : {}),
    onSuccess: (next) => cache.setQueryData(['recording', id], next),
  })
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="30px" alignItems="start">
      <Box>
        {adult.wishes.length > 0 && (
          <Box mb="16px">
            <chakra.h2 fontSize="17px" mb="4px">
              {staffSays.whoAsks}
            </chakra.h2>
            <ProblemNote problem={answer.error} />
            {adult.wishes.map((wish) => (
              <Box key={wish.id} py="5px" borderBottom="1px solid" borderColor="line">
                <strong>{wish.name}</strong> {staffSays.asks(wish.copy, wish.why && `: “${wish.why}”`)}
                {wish.isAnswered ? (
                  <Box color="ink2" fontSize="13px">
                    {wish.letUntil ? staffSays.openUntil(time.longDay(wish.letUntil)) : staffSays.refused}, {wish.answeredBy}
                  </Box>
                ) : (
                  <Flex gap="6px" mt="3px">
                    <Button onClick={() => answer.mutate({ wish: wish.id, days: 14 })}>{staffSays.letFor14Days}</Button>
                    <Button onClick={() => answer.mutate({ wish: wish.id })}>{staffSays.refuse}</Button>
                  </Flex>
                )}
              </Box>
            ))}
          </Box>
        )}
        <chakra.h2 fontSize="17px" mb="4px">
          {staffSays.kept}
        </chakra.h2>
        <chakra.p mb="4px">{staffSays.itLies(adult.where)}</chakra.p>
        <chakra.p mb="4px">
          {adult.byRuleUntil && staffSays.byTheRuleUntil(time.longDay(adult.byRuleUntil))}
          {adult.extendedUntil &&
            staffSays.hasItKeptUntil(adult.extendedBy, time.longDay(adult.extendedUntil), adult.extendedWhy)}
          {staffSays.somethingOfThisLesson(adult.isHeld)}
        </chakra.p>
        {isLead && !one.erasedAt && <Keeping id={id} path={path} isHeld={adult.isHeld} />}
        {one.isAhead && !one.erasedAt && <ShowToClass id={id} path={path} adult={adult} />}
        <Flex gap="12px" mt="12px">
          <Link to={`/classes/${adult.classId}`}>
            <u>{staffSays.theClass}</u>
          </Link>
          {adult.lesson && (
            <Link to={`/lessons/${adult.lesson}/replay`}>
              <u>{staffSays.theRecordOfTheLesson}</u>
            </Link>
          )}
        </Flex>
      </Box>
      <Box>
        <chakra.h2 fontSize="17px" mb="4px">
          {staffSays.whoHasWatched(watched, adult.watchers.length)}
        </chakra.h2>
        <chakra.table w="100%" fontSize="14px">
          <tbody>
            {adult.watchers.map((each) => (
              <chakra.tr key={each.name} borderBottom="1px solid" borderColor="line">
                <chakra.th scope="row" textAlign="start" fontWeight="400" py="2px">
                  {each.name}
                </chakra.th>
                <chakra.td w="120px">
                  <Box h="7px" border="1px solid" borderColor="lineStrong" aria-hidden>
                    <Box h="100%" bg="verdict.in" style={{ width: `${each.percent}%` }} />
                  </Box>
                </chakra.td>
                <chakra.td w="56px" textAlign="end" fontFamily="mono">
                  {each.percent} %
                </chakra.td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Grid>
  )
}

/** What only the lead does: keep it longer, or have it deleted before its time. */
function Keeping({ id, path, isHeld }: { id: string; path: string; isHeld: boolean }) {
  const [open, setOpen] = useState<'keep' | 'delete' | null>(null)
  const [until, setUntil] = useState('')
  const [why, setWhy] = useState('')
  const cache = useQueryClient()
  const change = useMutation({
    mutationFn: () =>
      open === 'keep'
        ? put<OneRecording>(`${path}/kept`, { until, why })
        : remove<OneRecording>(`${path}?why=${encodeURIComponent(why)}`),
    onSuccess: (next) => {
      cache.setQueryData(['recording', id], next)
      setOpen(null)
    },
  })
  return (
    <Flex gap="8px" my="6px">
      <Button onClick={() => setOpen('keep')}>{staffSays.keepItLonger}</Button>
      {!isHeld && (
        <Button look="stop" onClick={() => setOpen('delete')}>
          {staffSays.deleteItNow}
        </Button>
      )}
      <Sheet
        title={open === 'delete' ? staffSays.deleteThisRecording : staffSays.keepItLonger}
        open={open !== null}
        onClose={() => setOpen(null)}
      >
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            change.mutate()
          }}
        >
          {open === 'keep' && (
            <TextField
              label={staffSays.untilTheEnd}
              type="date"
              value={until}
              onChange={(event) => setUntil(event.target.value)}
              required
            />
          )}
          {open === 'delete' && <chakra.p mb="8px">{staffSays.nothingCanBringItBack}</chakra.p>}
          <TextField
            label={staffSays.why}
            value={why}
            maxLength={500}
            onChange={(event) => setWhy(event.target.value)}
            required
          />
          <ProblemNote problem={change.error} />
          <Button type="submit" look={open === 'delete' ? 'stop' : 'main'} disabled={change.isPending}>
            {open === 'delete' ? staffSays.deleteIt : staffSays.keepIt}
          </Button>
        </chakra.form>
      </Sheet>
    </Flex>
  )
}
