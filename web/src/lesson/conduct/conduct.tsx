import { Box, chakra, Flex } from '@chakra-ui/react'
import { useContext, useState } from 'react'
import { say } from '../../languages/en/desk/conduct'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { Sheet } from '../../shared/ui/Sheet'
import { Actions, Small, Title, type Cards, type CardProps } from '../cards'
import { Choice } from '../DeskMenu'
import type { Tick } from '../part'
import type { OrderOf } from '../send'
import { ActOn } from './acting'
import { conductOrders } from './orders'

type Give = (order: OrderOf<typeof conductOrders>) => void

/** In the menu of a pupil: the sheet with the ladder. */
function InRowMenu({ pupil }: { pupil: { id: string } }) {
  const actOn = useContext(ActOn)
  return (
    <Choice value="step" onSelect={() => actOn([pupil.id])}>
      {say.aStepOfTheLadder}
    </Choice>
  )
}

/** Steps of today, on the line of presence. */
function ticks(desk: Desk, person: string): Tick[] {
  return desk.conduct.steps
    .filter((one) => !one.withdrawn && one.people.includes(person))
    .map((one) => ({ at: one.at, words: say.stepFor(one.level, one.step, one.act.toLowerCase(), one.by) }))
}

function WorryCard({ need, desk, give }: CardProps) {
  const worry = desk.conduct.worries.find((one) => one.number === need.number)
  return (
    <>
      <Title mark>{need.says}</Title>
      <Small>
        {worry?.about === 'A_PUPIL' ? say.itIsAboutAnotherPupil : ''}
        {worry?.words ? `“${worry.words}”` : say.noWordsWereWritten} {say.nobodyElseSees}
      </Small>
      <Actions>
        <Button size="small" look="main" onClick={() => give({ do: 'worry-seen', number: need.number })}>
          {say.iSee}
        </Button>
      </Actions>
    </>
  )
}

const cards: Cards = { WORRY: WorryCard }

/** What only a safeguarding lead reads, above everything else of the desk; steps that were just taken can be taken back here. */
function UnderHead({ desk, give }: { desk: Desk; now: number; give: Give }) {
  const worries = desk.mine.conduct.worries
  if (worries.length === 0) return null
  return (
    <Box role="status" aria-label={say.forTheSafeguardingLeadAlone} bg="verdict.waitSoft" px="18px" py="6px">
      {worries.map((one) => (
        <Flex key={one.number} gap="10px" align="baseline" wrap="wrap">
          <strong>{say.forYouAlone}</strong>
          <span>{say.saysQuietlyThatSomethingIsWrong(one.name, one.about, one.words && ` “${one.words}”`)}</span>
          <Button size="small" onClick={() => give({ do: 'worry-seen', number: one.number })}>
            {say.iSee}
          </Button>
        </Flex>
      ))}
    </Box>
  )
}

/** The ladder by key: C for a step, Y marks this moment for later. */
function keys(_: Desk, give: Give, open: (what: never) => void): Record<string, () => void> {
  return {
    c: () => open('step' as never),
    y: () => give({ do: 'moment', text: '' }),
  }
}

/** In the desk's menu: a moment to look at later, with a few words. */
export function MarkMoment({ open, onClose, give }: { open: boolean; onClose: () => void; give: Give }) {
  const [text, setText] = useState('')
  return (
    <Sheet title={say.lookAtThisLater} open={open} onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          give({ do: 'moment', text: text.trim() })
          setText('')
          onClose()
        }}
      >
        <chakra.p mb="8px">{say.thisMomentAndTheFive}</chakra.p>
        <TextInput
          aria-label={say.aFewWords}
          maxLength={2000}
          value={text}
          onChange={(event) => setText(event.target.value)}
          placeholder={say.whatToLook}
        />
        <Button type="submit" look="main" mt="10px">
          {say.markIt}
        </Button>
      </chakra.form>
    </Sheet>
  )
}

export const conduct = {
  orders: conductOrders,
  page: { cards, ticks, InRowMenu, UnderHead, keys },
}
