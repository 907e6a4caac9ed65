import { chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/rights'
import type { Desk, DeskCell } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Shutter, shutterWords } from '../../shared/ui/Shutter'
import type { Give } from '../orders'
import { Choice, DeskMenu, MenuHead, Opener } from '../DeskMenu'

type Adult = Desk['door']['adults'][number]

/** What a pupil can be trusted with; all else is for adults. */
export const FOR_PUPILS = ['help.door', 'help.hands', 'help.chat']

export function titleOf(desk: Desk, rule: string) {
  return desk.rights.help.find((one) => one.rule === rule)?.title ?? rule
}

/** The adults of the lesson. Who leads opens a helper's name to lend and take back. */
export function Adults({ desk, live, give }: { desk: Desk; live: boolean; give: Give }) {
  const [asked, setAsked] = useState<{ anchor: HTMLElement; adult: string } | null>(null)
  const adult = desk.door.adults.find((one) => one.id === asked?.adult)
  const mayLend = live && desk.mine.door.in && desk.mine.door.leading
  const helping = (one: Adult) => desk.rights.helpers[one.id] ?? []
  const words = (one: Adult) => one.name + (live && !one.in ? say.notIn : '')
  return (
    <Flex as="span" gap="4px" wrap="wrap">
      {say.with}
      {desk.door.adults.map((one, place) => (
        <span key={one.id}>
          {say.and(place)}
          {mayLend && one.in && helping(one).length > 0 ? (
            <Opener title={say.lendRights(one.name)} onOpen={(anchor) => setAsked({ anchor, adult: one.id })}>
              <chakra.span textDecoration="underline dotted">{words(one)}</chakra.span>
            </Opener>
          ) : (
            words(one)
          )}
        </span>
      ))}
      <DeskMenu
        anchor={asked?.anchor ?? null}
        onClose={() => {
          asked?.anchor.focus()
          setAsked(null)
        }}
      >
        {adult && (
          <>
            <MenuHead>{say.helpsYou(adult.name)}</MenuHead>
            {helping(adult).map((cell) => (
              <Lend key={cell.rule} desk={desk} person={adult.id} rule={cell.rule} cell={cell} minutes={60} give={give} />
            ))}
          </>
        )}
      </DeskMenu>
    </Flex>
  )
}

interface LendProps {
  desk: Desk
  person: string
  rule: string
  /** How it is; nothing where it is neither given nor lent. */
  cell: DeskCell | undefined
  minutes: number
  give: Give
}

/** One right to help: lent for some minutes, or taken back at once. */
export function Lend({ desk, person, rule, cell, minutes, give }: LendProps) {
  const time = useSchoolTime()
  const lent = cell && cell.loan !== 'NONE'
  const open = cell?.value === 'open'
  const order = () =>
    lent ? give({ do: 'end-loan', person, rule }) : give({ do: open ? 'curb' : 'pass', person, rule, minutes })
  const says = lent
    ? say.untilEndItNow(cell.loan === 'PASS', cell.until ? time.clock(cell.until) : '')
    : open
      ? say.takeAwayForMin(minutes)
      : say.lendForMin(minutes)
  return (
    <Choice value={rule} onSelect={order}>
      <Flex gap="8px" align="center" w="100%">
        {cell && <Shutter value={cell.value} bound={cell.bound} loan={cell.loan} size={13} />}
        {cell && <chakra.span srOnly>{shutterWords(cell.value, cell.bound, cell.loan)}</chakra.span>}
        <span>{titleOf(desk, rule)}</span>
        <chakra.span color="ink2" fontSize="12px" ms="auto" ps="14px">
          {says}
        </chakra.span>
      </Flex>
    </Choice>
  )
}
