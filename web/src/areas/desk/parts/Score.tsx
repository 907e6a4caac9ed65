import { Box, chakra, Flex } from '@chakra-ui/react'
import { memo, useCallback, useMemo, useState } from 'react'
import type { Desk } from '../../../shared/api/types'
import type { Mark } from '../../../lesson/part'
import { rows, type PupilRow } from '../../../lesson/rows'
import { useSchoolTime } from '../../../shared/time'
import { Strip } from '../../../shared/ui/Strip'
import { mayOrder, type Give } from '../../../lesson/orders'
import { DeskMenu } from '../../../lesson/DeskMenu'
import { ClassRight, ClassRightMenu, PupilRight, PupilRightMenu } from '../../../lesson/rights/RightCells'
import { Nudge } from '../../../lesson/door/Nudge'
import { LastWord, MoreForPupil, Removal, RowMenu, TrustMenu } from '../../../lesson/door/RowMenu'

const SHORT: Record<string, string> = {
  'voice.speak': 'Speak',
  'voice.camera': 'Camera',
  'chat.class': 'Write',
  'chat.private': 'Whisper',
  'share.screen': 'Share',
  'share.draw': 'Draw',
  'names.rename': 'Rename',
}

/** The columns: name, time, and one for each right. */
export const COLUMNS = '168px minmax(120px, 1fr) repeat(7, 54px) 30px'

interface ScoreProps {
  desk: Desk
  now: number
  give: Give
  onWhy: (rule: string, person?: string) => void
}

/** The class list as a score: each pupil a line of presence over the lesson's time, and what each may do beside it. */
export function Score({ desk, now, give, onWhy }: ScoreProps) {
  const from = Date.parse(desk.starts) - 6 * 60_000
  const until = Math.max(Date.parse(desk.ends), Math.min(now, Date.parse(desk.door.dismissedAt ?? desk.now)))
  const [asked, setAsked] = useState<Asked | null>(null)
  const [removing, setRemoving] = useState<string | null>(null)
  const [keeping, setKeeping] = useState<string | null>(null)
  const ask = useCallback((anchor: HTMLElement, rule?: string, person?: string) => setAsked({ anchor, rule, person }), [])
  const closed = () => {
    asked?.anchor.focus()
    setAsked(null)
  }
  const pupils = useMemo(() => rows(desk), [desk])
  const pupilOf = (id: string | null | undefined) => pupils.find((pupil) => pupil.id === id)
  const count = (where: PupilRow['whereabouts']) => pupils.filter((pupil) => pupil.whereabouts === where).length
  const here = count('IN')
  const live = desk.door.phase === 'OPEN' && mayOrder(desk)
  const rest = [
    [count('WAITING'), 'wait'],
    [desk.door.phase === 'PLANNED' ? 0 : count('MISSING'), 'missing'],
    [count('CONNECTION_LOST'), 'lost the line'],
    [count('REMOVED'), 'removed'],
    [count('GONE'), 'gone'],
  ] as const
  return (
    <Flex as="section" direction="column" bg="sheet" minW="0" overflowX="auto" aria-label="Class list">
      <Box
        role="table"
        aria-label="Class list with presence and rights"
        minW="700px"
        flex="1"
        display="flex"
        flexDirection="column"
        minH="0"
      >
        <Box role="rowgroup">
          <Box
            role="row"
            display="grid"
            gridTemplateColumns={COLUMNS}
            alignItems="end"
            px="14px"
            pt="6px"
            pb="4px"
            borderBottom="1.5px solid"
            borderColor="ink"
          >
            <Box role="columnheader">
              <chakra.h2 fontSize="15px" aria-live="polite">
                {here} of {pupils.length} here
              </chakra.h2>
              <chakra.span fontSize="12px" color="ink2">
                {rest
                  .filter(([many]) => many > 0)
                  .map(([many, what]) => `${many} ${what}`)
                  .join(' · ') || (desk.door.phase === 'OPEN' ? 'everyone is in' : 'nobody is at the door')}
                {live && count('MISSING') > 0 && <Nudge lesson={desk.lesson} />}
              </chakra.span>
            </Box>
            <Box role="columnheader" aria-label="Presence over time">
              <Axis desk={desk} from={from} until={until} now={now} />
            </Box>
            {desk.rights.columns.map((column) => (
              <Box role="columnheader" key={column.rule} textAlign="center">
                <ClassRight
                  column={column}
                  short={SHORT[column.rule] ?? column.title}
                  onOpen={(anchor) => ask(anchor, column.rule)}
                />
              </Box>
            ))}
            <Box role="columnheader">
              <chakra.span srOnly>More</chakra.span>
            </Box>
          </Box>
        </Box>
        <Box role="rowgroup" flex="1" overflowY="auto" minH="0">
          {pupils.length === 0 && <Box p="14px">Nobody is on the class list yet. Import a roster on the class page.</Box>}
          {pupils.map((pupil, place) => (
            <Row
              key={pupil.id}
              pupil={pupil}
              from={from}
              until={until}
              now={Math.floor(now / 5000) * 5000}
              live={live}
              begun={desk.door.phase !== 'PLANNED'}
              fifth={place % 5 === 4}
              ask={ask}
            />
          ))}
        </Box>
        <Flex
          as="footer"
          gap="18px"
          px="14px"
          py="5px"
          borderTop="1.5px solid"
          borderColor="ink"
          fontSize="12px"
          color="ink2"
          wrap="wrap"
        >
          <StanceLine desk={desk} now={now} />
          <span>heading: whole class · cell: one pupil</span>
          <Legend />
        </Flex>
      </Box>
      <DeskMenu anchor={asked?.anchor ?? null} onClose={closed}>
        <Orders
          asked={asked}
          desk={desk}
          pupil={pupilOf(asked?.person)}
          live={live}
          give={give}
          onWhy={onWhy}
          onRemove={setRemoving}
          onKeep={setKeeping}
          onTrust={() => setAsked((one) => one && { ...one, rule: TRUST })}
        />
      </DeskMenu>
      <Removal pupil={pupilOf(removing)} give={give} onClose={() => setRemoving(null)} />
      <LastWord pupil={pupilOf(keeping)} give={give} onClose={() => setKeeping(null)} />
    </Flex>
  )
}

/** Not a right of the score: what a pupil may be trusted with. */
const TRUST = 'trust'

/** A place of the score that was pressed: a heading has no person, the end of a row no rule. */
interface Asked {
  anchor: HTMLElement
  rule: string | undefined
  person: string | undefined
}

interface OrdersProps extends Omit<ScoreProps, 'now'> {
  asked: Asked | null
  pupil: PupilRow | undefined
  live: boolean
  onRemove: (person: string) => void
  onKeep: (person: string) => void
  onTrust: () => void
}

/** What can be ordered where the menu was opened, as things stand now. */
function Orders({ asked, desk, pupil, live, give, onWhy, onRemove, onKeep, onTrust }: OrdersProps) {
  const column = desk.rights.columns.find((one) => one.rule === asked?.rule)
  const cell = pupil?.cells.find((one) => one.rule === asked?.rule)
  if (pupil && cell) {
    const title = SHORT[cell.rule] ?? cell.rule
    return <PupilRightMenu pupil={pupil} cell={cell} title={title} live={live} give={give} onWhy={onWhy} />
  }
  if (pupil && asked?.rule === TRUST) return <TrustMenu desk={desk} pupil={pupil} give={give} />
  if (pupil) {
    return (
      <RowMenu
        desk={desk}
        pupil={pupil}
        give={give}
        onRemove={() => onRemove(pupil.id)}
        onKeep={() => onKeep(pupil.id)}
        onTrust={onTrust}
      />
    )
  }
  return column ? <ClassRightMenu column={column} live={live} give={give} onWhy={onWhy} /> : null
}

/** The stance and what follows it, in words. */
function StanceLine({ desk, now }: { desk: Desk; now: number }) {
  const time = useSchoolTime()
  const { stance, order, byTheClock } = desk.course
  const next = order.find((step) => Date.parse(step.from) > now)
  if (!stance && !next) return null
  return (
    <span>
      <strong>{stance ?? 'As planned'}</strong>
      {next && ` until ${time.clock(next.from)}, then ${next.name} ${byTheClock ? 'by the clock' : 'is proposed'}`}
    </span>
  )
}

function Legend() {
  return (
    <Flex gap="12px" ml="auto">
      <span>
        <Sample kind="in" /> in
      </span>
      <span>
        <Sample kind="wait" /> waits
      </span>
      <span>sill under a sign: bound by the charter</span>
    </Flex>
  )
}

function Sample({ kind }: { kind: 'in' | 'wait' }) {
  return (
    <chakra.span display="inline-block" w="18px" h="8px" position="relative">
      <Strip
        stays={kind === 'in' ? [{ from: 0, until: 1 }] : []}
        waits={kind === 'wait' ? [{ from: 0, until: 1 }] : []}
        from={0}
        until={1}
        height={8}
      />
    </chakra.span>
  )
}

function Axis({ desk, from, until, now }: { desk: Desk; from: number; until: number; now: number }) {
  const time = useSchoolTime()
  const place = (instant: number) => `${(100 * (instant - from)) / (until - from)}%`
  const start = Date.parse(desk.starts)
  const ticks = Array.from({ length: Math.ceil((until - start) / 600_000) }, (_, i) => start + i * 600_000)
  const shown = now >= from && now <= until && desk.door.phase !== 'OVER'
  return (
    <Box position="relative" h={desk.course.order.length > 0 ? '50px' : '34px'} mr="14px" fontFamily="mono">
      {shown && (
        <Box
          position="absolute"
          top="0"
          left={place(now)}
          transform="translateX(-50%)"
          bg="mark"
          color="onMark"
          px="5px"
          fontSize="12px"
          fontWeight="600"
          borderRadius="2px"
        >
          {time.clock(now)}
        </Box>
      )}
      {desk.course.order.map((step) => {
        const running = desk.course.stance === step.name && now >= Date.parse(step.from) && now < Date.parse(step.until)
        return (
          <Box
            key={step.from}
            position="absolute"
            top="17px"
            h="17px"
            left={place(Date.parse(step.from))}
            w={`${(100 * (Date.parse(step.until) - Date.parse(step.from))) / (until - from)}%`}
            border="1px solid"
            borderColor="ink"
            bg={running ? 'ink' : 'sheet'}
            color={running ? 'sheet' : 'ink2'}
            fontFamily="body"
            fontSize="11px"
            lineHeight="15px"
            px="3px"
            truncate
            title={`${step.name}, ${time.clock(step.from)} to ${time.clock(step.until)}`}
          >
            {step.name}
          </Box>
        )
      })}
      {ticks.map((tick, number) => (
        <Box
          key={tick}
          hideBelow={number % 3 === 0 ? undefined : 'xl'}
          position="absolute"
          bottom="0"
          left={place(tick)}
          transform="translateX(-50%)"
          fontSize="10.5px"
          color="ink3"
        >
          {time.clock(tick)}
        </Box>
      ))}
    </Box>
  )
}

interface RowProps {
  pupil: PupilRow
  from: number
  until: number
  now: number
  live: boolean
  /** Nobody is missing from a lesson that nobody has opened. */
  begun: boolean
  fifth: boolean
  ask: (anchor: HTMLElement, rule?: string, person?: string) => void
}

const WHERE: Partial<Record<PupilRow['whereabouts'], string>> = {
  MISSING: 'missing',
  WAITING: 'waits',
  CONNECTION_LOST: 'line lost',
  GONE: 'gone',
  REMOVED: 'removed',
}

const Row = memo(
  function Row({ pupil, from, until, now, live, begun, fifth, ask }: RowProps) {
    const isIn = pupil.whereabouts === 'IN'
    const time = useSchoolTime()
    return (
      <Box
        role="row"
        aria-label={pupil.name}
        display="grid"
        gridTemplateColumns={COLUMNS}
        alignItems="center"
        h="20.6px"
        css={{ '@media (pointer: coarse)': { height: '38px' } }}
        px="14px"
        borderBottom="1px solid"
        borderColor={fifth ? 'lineStrong' : 'line'}
      >
        <Box
          role="rowheader"
          display="flex"
          alignItems="center"
          gap="6px"
          minW="0"
          fontSize="13.5px"
          color={isIn ? 'ink' : 'ink3'}
          fontWeight={pupil.handSince ? 650 : 400}
        >
          <chakra.span
            truncate
            bg={pupil.handSince ? 'mark' : 'transparent'}
            color={pupil.handSince ? 'onMark' : 'inherit'}
            px={pupil.handSince ? '3px' : '0'}
          >
            {pupil.shownName ?? pupil.name}
          </chakra.span>
          {WHERE[pupil.whereabouts] && (begun || pupil.whereabouts !== 'MISSING') && (
            <chakra.span fontSize="11.5px" flexShrink={0} color={pupil.whereabouts === 'REMOVED' ? 'verdict.away' : 'ink3'}>
              {WHERE[pupil.whereabouts]}
              {pupil.backBy && Date.parse(pupil.backBy) > now && `, back by ${time.clock(pupil.backBy)}`}
            </chakra.span>
          )}
          {pupil.marks.map((mark) => (
            <On key={mark.words} mark={mark} />
          ))}
        </Box>
        <Box role="cell" position="relative" h="20px" mr="14px">
          <Strip
            stays={instants(pupil.stays, now)}
            waits={instants(pupil.waits, now)}
            from={from}
            until={until}
            now={now}
            cut={pupil.whereabouts === 'REMOVED'}
          />
        </Box>
        {pupil.cells.map((cell) => (
          <Box role="cell" key={cell.rule} textAlign="center" opacity={isIn ? 1 : 0.35}>
            <PupilRight
              name={pupil.name}
              cell={cell}
              title={SHORT[cell.rule] ?? cell.rule}
              onOpen={(anchor) => ask(anchor, cell.rule, pupil.id)}
            />
          </Box>
        ))}
        <Box role="cell">{live && <MoreForPupil pupil={pupil} onOpen={(anchor) => ask(anchor, undefined, pupil.id)} />}</Box>
      </Box>
    )
  },
  (before, after) =>
    isSame(before.pupil, after.pupil) &&
    before.now === after.now &&
    before.live === after.live &&
    before.begun === after.begun &&
    before.until === after.until,
)

/** Whether a row is what it was: what no part has news of is told as it was. */
function isSame(before: PupilRow, after: PupilRow) {
  return JSON.stringify(before) === JSON.stringify(after)
}

/** What goes on has no end yet. */
function instants(stretches: { from: string; until?: string }[], now: number) {
  return stretches.map((one) => ({ from: Date.parse(one.from), until: one.until ? Date.parse(one.until) : now }))
}

function On({ mark }: { mark: Mark }) {
  return (
    <chakra.span
      fontSize="11px"
      flexShrink={0}
      color={mark.quiet ? 'ink2' : 'verdict.in'}
      fontWeight="650"
      border={mark.quiet ? 'none' : '1px solid'}
      borderColor="verdict.in"
      px={mark.quiet ? '0' : '3px'}
      lineHeight="14px"
      title={mark.words}
    >
      <span aria-hidden>{mark.short}</span>
      <chakra.span srOnly>{mark.words}</chakra.span>
    </chakra.span>
  )
}
