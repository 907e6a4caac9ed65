import { Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo, useState } from 'react'
import { useParams } from 'react-router'
import { say } from '../../languages/en/staff/desk'
import { useLive } from '../../shared/live/useLive'
import type { Desk, Message } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { useNow } from '../../shared/time'
import { EachSecond } from '../../shared/ui/Clocks'
import { LoadingNote } from '../../shared/ui/Notes'
import { Refused } from '../../shared/ui/Refused'
import { Page } from '../../shared/ui/Page'
import { WhySheet } from '../../shared/ui/Why'
import { PAGES } from '../../lesson/parts'
import { useOrders, type Order } from '../../lesson/orders'
import { useDeskKeys, type Shown } from './hooks/useDeskKeys'
import { useStaying } from './hooks/useStaying'
import { DeskHead } from './parts/DeskHead'
import { NeedsYou } from './parts/NeedsYou'
import { OpeningNote } from '../../lesson/door/OpeningNote'
import { OverNote } from '../../lesson/ending/OverNote'
import { Panels } from './parts/Panels'
import { RoomBanner } from '../../lesson/supervision/RoomBanner'
import { Score } from './parts/Score'
import { Drawing } from '../../lesson/groups/Drawing'
import { Hall } from '../../lesson/groups/Hall'
import { Muted, passesToSpeak } from '../../lesson/rights/Muted'
import { Activities, type Activity } from '../../lesson/activities/Activities'
import { DeskBoard } from '../../lesson/board/DeskBoard'
import { WriteTo } from '../../lesson/chat/writing'
import { ActOn } from '../../lesson/conduct/acting'
import { MarkMoment } from '../../lesson/conduct/conduct'
import { StepSheet } from '../../lesson/conduct/StepSheet'
import { RehearsalLine, RehearsalOver } from '../../lesson/rehearsal/Rehearsal'
import { Tour } from '../../lesson/tour/Tour'
import { Wall } from '../../lesson/slates/Wall'
import { StrokesOf } from '../../shared/live/strokes'
import { NoDesk } from './parts/NoDesk'

/** The page as a whole is brought up to date with news, and this often; what shows seconds does so by itself. */
const RESTS_MS = 30_000

/** One live lesson, for its adults: who is here, who waits and why, what each may do, and what needs somebody now. */
export default function DeskScreen() {
  const { id = '' } = useParams()
  return (
    <Page title={say.desk} bare>
      {() => <LiveDesk key={id} lesson={id} />}
    </Page>
  )
}

function LiveDesk({ lesson }: { lesson: string }) {
  const path = `/api/lessons/${encodeURIComponent(lesson)}/desk`
  const { view: desk, connected, lost, drawn } = useLive<Message, Desk>(`${path}/stream`)
  const orders = useOrders(lesson)
  const { data } = useQuery(standing)
  const now = useNow(desk?.now, RESTS_MS)
  const [why, setWhy] = useState<string | null>(null)
  const [muted, setMuted] = useState<{ passes: number; at: number } | null>(null)
  const give = (order: Order) => {
    if (order.do === 'mute-all' && desk) setMuted({ passes: passesToSpeak(desk), at: Date.now() })
    else if (order.do === 'undo-mute-all') setMuted(null)
    orders.mutate(order)
  }
  const [view, setView] = useState<'list' | 'groups' | 'board' | 'wall' | null>(null)
  const [to, setTo] = useState('')
  const writing = useMemo(() => ({ to, setTo }), [to])
  const [marking, setMarking] = useState(false)
  const [acting, setActing] = useState<string[] | null>(null)
  const [activity, setActivity] = useState<Activity | null>(null)
  const isOut = desk?.groups.out !== undefined
  // Whoever is sent out, or comes back, is seen at once.
  const [wasOut, setWasOut] = useState(isOut)
  if (wasOut !== isOut) {
    setWasOut(isOut)
    setView(null)
  }
  const slatesNumber = desk?.slates.now?.number ?? 0
  const [lastSlates, setLastSlates] = useState(slatesNumber)
  if (lastSlates !== slatesNumber) {
    setLastSlates(slatesNumber)
    if (slatesNumber) setView('wall')
    else if (view === 'wall') setView(null)
  }
  const onShow = (what: Shown) => {
    if (what === 'list' || what === 'groups' || what === 'board' || what === 'wall') setView(what)
    else if (what === 'step') setActing([])
    else if (what === 'moment') setMarking(true)
    else setActivity(what)
  }
  useDeskKeys(desk, give, onShow)
  useStaying(desk)
  useEffect(() => {
    if (desk) document.title = say.deskOf(desk.title)
  }, [desk])
  if (lost) return <NoDesk problem={lost} />
  if (!desk) return <LoadingNote what={say.theLesson} />
  const rightsPath = (rule: string, person?: string) =>
    `/api/lessons/${encodeURIComponent(lesson)}/why/${rule}${person ? `?person=${encodeURIComponent(person)}` : ''}`
  const live = desk.door.phase === 'OPEN'
  const hurried = PAGES.some(({ hurries }) => hurries?.(desk))
  return (
    <StrokesOf.Provider value={drawn}>
      <ActOn.Provider value={setActing}>
        <WriteTo.Provider value={writing}>
          <Flex direction="column" h={{ base: 'auto', lg: '100vh' }} minH="0">
            <DeskHead
              desk={desk}
              now={now}
              connected={connected}
              give={give}
              busy={orders.isPending}
              onWhy={(rule) => setWhy(rightsPath(rule))}
            />
            {desk.rehearses && <RehearsalLine desk={desk} />}
            {(desk.rehearses ?? data?.demo) && <Tour desk={desk} />}
            {live && (
              <EachSecond each={hurried ? undefined : RESTS_MS}>
                {(second) => (
                  <>
                    <RoomBanner desk={desk} give={give} />
                    {PAGES.map(
                      ({ UnderHead }, place) => UnderHead && <UnderHead key={place} desk={desk} now={second} give={give} />,
                    )}
                  </>
                )}
              </EachSecond>
            )}
            {live && muted && muted.passes > 0 && (
              <Muted key={muted.at} passes={muted.passes} give={give} onOver={() => setMuted(null)} />
            )}
            <Refused problem={orders.error} onClose={orders.reset} />
            <Grid templateColumns={{ base: '1fr', lg: '318px 1fr' }} flex="1" minH="0">
              <Flex
                as="section"
                direction="column"
                minH="0"
                borderInlineEnd="1px solid"
                borderColor="lineStrong"
                aria-label={say.whatNeedsYou}
              >
                {desk.door.phase === 'PLANNED' && (
                  <EachSecond>
                    {(second) => <OpeningNote desk={desk} now={second} give={give} busy={orders.isPending} />}
                  </EachSecond>
                )}
                {desk.door.phase === 'OVER' &&
                  (desk.rehearses ? <RehearsalOver desk={{ ...desk, rehearses: desk.rehearses }} /> : <OverNote desk={desk} />)}
                {live && <NeedsYou desk={desk} give={give} onWhy={(rule) => setWhy(rightsPath(rule))} />}
                {live && <Panels desk={desk} lesson={lesson} give={give} onWhy={() => setWhy(rightsPath('chat.class'))} />}
              </Flex>
              {live && view === 'wall' && desk.slates.now ? (
                <Wall desk={desk} lesson={lesson} give={give} onList={() => setView('list')} onShow={onShow} />
              ) : live && view === 'board' ? (
                <DeskBoard desk={desk} lesson={lesson} give={give} onList={() => setView('list')} onShow={onShow} />
              ) : live && isOut && view !== 'list' ? (
                <EachSecond>
                  {(second) => <Hall desk={desk} now={second} give={give} onList={() => setView('list')} />}
                </EachSecond>
              ) : live && view === 'groups' ? (
                <Drawing desk={desk} lesson={lesson} give={give} onList={() => setView('list')} />
              ) : (
                <Score
                  desk={desk}
                  now={now}
                  give={give}
                  onWhy={(rule, person) => setWhy(rightsPath(rule, person))}
                  onShow={onShow}
                />
              )}
            </Grid>
            {live && <Activities desk={desk} open={activity} onOpen={setActivity} give={give} />}
            {live && <MarkMoment open={marking} onClose={() => setMarking(false)} give={give} />}
            {live && <StepSheet desk={desk} people={acting} onPeople={setActing} onClose={() => setActing(null)} give={give} />}
            <WhySheet path={why} onClose={() => setWhy(null)} />
          </Flex>
        </WriteTo.Provider>
      </ActOn.Provider>
    </StrokesOf.Provider>
  )
}
