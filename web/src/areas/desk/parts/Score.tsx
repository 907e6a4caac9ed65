import { Box, chakra, Flex } from '@chakra-ui/react'
import { useCallback, useMemo, useState } from 'react'
import type { Desk } from '../../../shared/api/types'
import { rows, type PupilRow } from '../../../lesson/rows'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Strip } from '../../../shared/ui/Strip'
import { Launcher, type Activity } from '../../../lesson/activities/Activities'
import { mayOrder } from '../../../lesson/mayOrder'
import type { Give } from '../../../lesson/orders'
import { DeskMenu } from '../../../lesson/DeskMenu'
import { ClassRight, ClassRightMenu, PupilRightMenu } from '../../../lesson/rights/RightCells'
import { Nudge } from '../../../lesson/door/Nudge'
import { LastWord, Removal, RowMenu, TrustMenu } from '../../../lesson/door/RowMenu'
import { Axis } from './Axis'
import { COLUMNS, SHORT } from './columns'
import { Row } from './Row'

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
              <Flex justify="space-between" align="baseline" pr="8px">
                <chakra.h2 fontSize="15px" aria-live="polite">
                  {here} of {pupils.length} here
                </chakra.h2>
                {live && (
                  <Button size="small" onClick={() => onShow('groups')}>
                    Groups
                  </Button>
                )}
              </Flex>
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
      </Box>
      <Flex
        as="footer"
        gap="3px 12px"
        px="14px"
        py="5px"
        borderTop="1.5px solid"
        borderColor="ink"
        fontSize="12px"
        color="ink2"
        wrap="wrap"
      >
        <StanceLine desk={desk} now={now} />
        {live ? <Launcher onShow={onShow} /> : <span>heading: whole class · cell: one pupil</span>}
        <Legend />
      </Flex>
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

interface OrdersProps extends Omit<ScoreProps, 'now' | 'onShow'> {
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
    <span title={next && `then ${next.name} ${byTheClock ? 'by the clock' : 'is proposed'}`}>
      <strong>{stance ?? 'As planned'}</strong>
      {next && ` until ${time.clock(next.from)}`}
    </span>
  )
}

function Legend() {
  return (
    <Flex gap="9px" ml="auto">
      <span>
        <Sample kind="in" /> in
      </span>
      <span>
        <Sample kind="wait" /> waits
      </span>
      <span title="A double sill under a sign: bound by the charter">sill: bound</span>
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
