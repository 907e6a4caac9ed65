import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useCallback, useMemo, useState } from 'react'
import { say } from '../../../languages/en/staff/desk'
import { setAtOnce } from '../../../shared/api/rules'
import type { Desk } from '../../../shared/api/types'
import { rows, type PupilRow } from '../../../lesson/rows'
import { RIGHT } from '../../../shared/rights'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Select } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Shutter } from '../../../shared/ui/Shutter'
import { Strip } from '../../../shared/ui/Strip'
import { Launcher, type Activity } from '../../../lesson/activities/Activities'
import { mayOrder } from '../../../lesson/mayOrder'
import type { Give } from '../../../lesson/orders'
import { Choice, DeskMenu } from '../../../lesson/DeskMenu'
import { ClassRight, ClassRightMenu, PupilRightMenu } from '../../../lesson/rights/RightCells'
import { Nudge } from '../../../lesson/door/Nudge'
import { LastWord, Removal, RowMenu, TrustMenu } from '../../../lesson/door/RowMenu'
import { Axis } from './Axis'
import { COLUMNS } from './columns'
import { Row } from './Row'
import { ToCome, toComeInWords } from './ToCome'

interface ScoreProps {
  desk: Desk
  now: number
  give: Give
  onWhy: (rule: string, person?: string) => void
  /** Shows groups in place of the list, or opens what is started with the class. */
  onShow: (what: 'groups' | 'board' | 'step' | 'moment' | Activity) => void
}

/** The class list as a score: each pupil a line of presence over the lesson's time, and what each may do beside it. */
export function Score({ desk, now, give, onWhy, onShow }: ScoreProps) {
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
  const usual = Object.fromEntries(desk.rights.columns.map((one) => [one.rule, one.usualMinutes]))
  const planned = usePlanned(desk)
  const pupilOf = (id: string | null | undefined) => pupils.find((pupil) => pupil.id === id)
  const count = (where: PupilRow['whereabouts']) => pupils.filter((pupil) => pupil.whereabouts === where).length
  const here = count('IN')
  const time = useSchoolTime()
  const live = desk.door.phase === 'OPEN' && mayOrder(desk)
  // To a help hour nobody has to come.
  const nobodyMissing = desk.door.phase === 'PLANNED' || !!desk.help
  const rest = [
    [count('WAITING'), 'wait'],
    [nobodyMissing ? 0 : count('MISSING'), 'missing'],
    [count('CONNECTION_LOST'), say.lostTheLine],
    [count('REMOVED'), 'removed'],
    [count('GONE'), 'gone'],
  ] as const
  return (
    <Flex as="section" direction="column" bg="sheet" minW="0" overflowX="auto" aria-label={say.classList}>
      <Box
        role="table"
        aria-label={say.classListWithPresenceAndRights}
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
              <Flex justify="space-between" align="baseline" pe="8px">
                <chakra.h2 fontSize="15px" aria-live="polite">
                  {say.ofHere(here, pupils.length)}
                </chakra.h2>
                {live && (
                  <Button size="small" onClick={() => onShow('groups')}>
                    {say.groupsButton}
                  </Button>
                )}
              </Flex>
              <chakra.span fontSize="12px" color="ink2">
                {rest
                  .filter(([many]) => many > 0)
                  .map(([many, what]) => `${many} ${what}`)
                  .join(' · ') || (desk.door.phase === 'OPEN' ? say.everyoneIsIn : say.nobodyIsAtTheDoor)}
                {live && !nobodyMissing && !desk.rehearses && count('MISSING') > 0 && <Nudge lesson={desk.lesson} />}
              </chakra.span>
            </Box>
            <Box role="columnheader" aria-label={say.presenceOverTime(toComeInWords(desk, now, time.clock))}>
              <Axis desk={desk} from={from} until={until} now={now} />
            </Box>
            {desk.rights.columns.map((column) => (
              <Box role="columnheader" key={column.rule} textAlign="center">
                <ClassRight
                  column={column}
                  short={RIGHT[column.rule] ?? column.title}
                  onOpen={(anchor) => ask(anchor, column.rule)}
                />
              </Box>
            ))}
            <Box role="columnheader">
              <chakra.span srOnly>{say.more}</chakra.span>
            </Box>
          </Box>
        </Box>
        <Box role="rowgroup" position="relative" flex="1" overflowY="auto" minH="0" data-large-elsewhere>
          {desk.door.phase !== 'OVER' && <ToCome desk={desk} from={from} until={until} now={now} />}
          {pupils.length === 0 && <Box p="14px">{say.nobodyIsOnTheClass}</Box>}
          {pupils.map((pupil, place) => (
            <Row
              key={pupil.id}
              pupil={pupil}
              from={from}
              until={until}
              live={live}
              begun={!nobodyMissing}
              fifth={place % 5 === 4}
              usual={usual}
              ask={ask}
              give={give}
            />
          ))}
        </Box>
      </Box>
      <Flex
        as="footer"
        gap="3px 12px"
        px="14px"
        py="2px"
        borderTop="1.5px solid"
        borderColor="ink"
        fontSize="12px"
        color="ink2"
        wrap="wrap"
        align="center"
      >
        <StanceLine desk={desk} now={now} />
        {live ? <Launcher onShow={onShow} /> : <span>{say.headingWholeClassCellOnePupil}</span>}
        {live && <OnePupil pupils={pupils} onChoose={(anchor, person) => ask(anchor, LARGE, person)} />}
        <Legend />
      </Flex>
      <ProblemNote problem={planned.problem} compact />
      {planned.said && (
        <chakra.p role="status" px="14px" py="3px" bg="verdict.inSoft" fontSize="13px">
          {planned.said}
        </chakra.p>
      )}
      <DeskMenu anchor={asked?.anchor ?? null} onClose={closed}>
        <Orders
          asked={asked}
          desk={desk}
          pupil={pupilOf(asked?.person)}
          live={live}
          give={give}
          onWhy={onWhy}
          onPlan={planned.onPlan}
          onRemove={setRemoving}
          onKeep={setKeeping}
          onTrust={() => setAsked((one) => one && { ...one, rule: TRUST })}
          onRight={(rule) => setAsked((one) => one && { ...one, rule })}
        />
      </DeskMenu>
      <Removal pupil={pupilOf(removing)} give={give} onClose={() => setRemoving(null)} />
      <LastWord pupil={pupilOf(keeping)} give={give} onClose={() => setKeeping(null)} />
    </Flex>
  )
}

/** Not a right of the score: what a pupil may be trusted with. */
const TRUST = 'trust'

/** Nor this: everything about one pupil in choices of full size, for whom the signs in the rows are too small. */
const LARGE = 'large'

/** Rows are as low as a class of thirty asks for; here a pupil is chosen in a control of full size. */
function OnePupil({ pupils, onChoose }: { pupils: PupilRow[]; onChoose: (anchor: HTMLElement, person: string) => void }) {
  return (
    <Select
      w="88px"
      h="24px"
      py="0"
      px="4px"
      aria-label={say.everythingAboutOnePupil}
      value=""
      onChange={(event) => onChoose(event.currentTarget, event.target.value)}
    >
      <option value="">{say.aPupil}</option>
      {pupils
        .filter((one) => one.whereabouts === 'IN' || one.whereabouts === 'CONNECTION_LOST')
        .map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
    </Select>
  )
}

/** A place of the score that was pressed: a heading has no person, the end of a row no rule. */
interface Asked {
  anchor: HTMLElement
  rule: string | undefined
  person: string | undefined
}

interface OrdersProps extends Omit<ScoreProps, 'now' | 'onShow'> {
  asked: Asked | null
  pupil: PupilRow | undefined
  live: boolean
  onPlan: ((rule: string, value: string) => void) | undefined
  onRemove: (person: string) => void
  onKeep: (person: string) => void
  onTrust: () => void
  onRight: (rule: string) => void
}

/** What can be ordered where the menu was opened, as things stand now. */
function Orders(props: OrdersProps) {
  const { asked, desk, pupil, live, give, onWhy, onPlan, onRemove, onKeep, onTrust } = props
  const column = desk.rights.columns.find((one) => one.rule === asked?.rule)
  const cell = pupil?.cells.find((one) => one.rule === asked?.rule)
  if (pupil && cell) {
    const title = RIGHT[cell.rule] ?? cell.rule
    return <PupilRightMenu pupil={pupil} cell={cell} title={title} live={live} give={give} onWhy={onWhy} />
  }
  if (pupil && asked?.rule === TRUST) return <TrustMenu desk={desk} pupil={pupil} give={give} />
  if (pupil) {
    return (
      <>
        <RowMenu
          desk={desk}
          pupil={pupil}
          give={give}
          onRemove={() => onRemove(pupil.id)}
          onKeep={() => onKeep(pupil.id)}
          onTrust={onTrust}
        />
        {asked?.rule === LARGE &&
          pupil.cells.map((one) => (
            <Choice key={one.rule} value={one.rule} stays onSelect={() => props.onRight(one.rule)}>
              <Shutter value={one.value} bound={one.bound} loan={one.loan} /> {RIGHT[one.rule] ?? one.rule}…
            </Choice>
          ))}
      </>
    )
  }
  if (!column) return null
  const plan = onPlan && ((value: string) => onPlan(column.rule, value))
  return <ClassRightMenu column={column} live={live} give={give} onPlan={plan} onWhy={onWhy} />
}

/** Before the lesson, who runs it says by one choice what pupils may in it; the desk shows it when the rules are read again. */
function usePlanned(desk: Desk) {
  const plan = useMutation({
    mutationFn: ({ rule, value }: { rule: string; value: string; title: string }) =>
      setAtOnce(`lesson:${desk.lesson}`, { rule, role: 'PUPIL', when: '', value, binding: false, note: '', until: '' }),
  })
  const mayPlan = desk.door.phase === 'PLANNED' && !desk.mine.door.observing
  return {
    problem: plan.error,
    said: plan.isSuccess ? say.plannedForThisLesson(plan.variables.title, plan.variables.value.replace('-', ' ')) : undefined,
    onPlan: mayPlan ? (rule: string, value: string) => plan.mutate({ rule, value, title: RIGHT[rule] ?? rule }) : undefined,
  }
}

/** The stance and what follows it, in words. */
function StanceLine({ desk, now }: { desk: Desk; now: number }) {
  const time = useSchoolTime()
  const { stance, order, byTheClock } = desk.course
  const next = order.find((step) => Date.parse(step.from) > now)
  if (!stance && !next) return null
  return (
    <span title={next && say.thenStance(next.name, byTheClock)}>
      <strong>{stance ?? say.asPlanned}</strong>
      {next && say.until(time.clock(next.from))}
    </span>
  )
}

function Legend() {
  return (
    <Flex gap="9px" ms="auto" hideBelow="xl">
      <span>
        <Sample kind="in" /> {say.in}
      </span>
      <span>
        <Sample kind="wait" /> {say.waits}
      </span>
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
