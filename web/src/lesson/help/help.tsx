import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/help'
import type { Desk } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Select } from '../../shared/ui/Fields'
import { mayOrder } from '../mayOrder'
import type { OrderOf } from '../send'
import { helpOrders } from './orders'

type Give = (order: OrderOf<typeof helpOrders>) => void

/** As the core has it: from then on a lesson can go over into a help hour. */
const BEFORE_THE_END_MS = 10 * 60_000

const MINUTES = [10, 20, 30, 45, 60]

/** The help hour over the class list; near the end of a lesson the one press that makes it one. */
function UnderHead({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  if (desk.help) return <HelpHour desk={desk} help={desk.help} />
  const near = now >= Date.parse(desk.ends) - BEFORE_THE_END_MS
  return near && mayOrder(desk) ? <Stay give={give} /> : null
}

function Line({ children }: { children: React.ReactNode }) {
  return (
    <Flex
      as="section"
      aria-label={say.helpHour}
      align="center"
      gap="10px"
      wrap="wrap"
      px="18px"
      py="4px"
      bg="sheet"
      borderBottom="1px solid"
      borderColor="lineStrong"
    >
      {children}
    </Flex>
  )
}

function Stay({ give }: { give: Give }) {
  const [minutes, setMinutes] = useState(20)
  return (
    <Line>
      <Button size="small" onClick={() => give({ do: 'stay-for-questions', minutes })}>
        {say.stayForQuestions}
      </Button>
      <Select
        w="92px"
        py="1px"
        aria-label={say.howLongYouStay}
        value={minutes}
        onChange={(event) => setMinutes(Number(event.target.value))}
      >
        {MINUTES.map((one) => (
          <option key={one} value={one}>
            {say.min(one)}
          </option>
        ))}
      </Select>
      <chakra.span color="ink2" fontSize="13px">
        {say.theLessonIsOver}
      </chakra.span>
    </Line>
  )
}

function HelpHour({ desk, help }: { desk: Desk; help: NonNullable<Desk['help']> }) {
  const time = useSchoolTime()
  const [first, ...others] = help.row
  return (
    <Line>
      <strong>{say.helpHourUntil(time.clock(help.until))}</strong>
      <span>{say.hasComeHaveCome(help.came, help.places)}</span>
      {first && (
        <span>
          {say.inTheRow} <strong>{first.name}</strong>
          {others.map((one) => `, ${one.name}`).join('')}
        </span>
      )}
      <Box flex="1" />
      <chakra.span color="ink2" fontSize="13px">
        {say.itEndsWhenTheLast(desk.door.adults.filter((one) => one.in).length)}
      </chakra.span>
    </Line>
  )
}

export const help = { orders: helpOrders, page: { UnderHead } }
