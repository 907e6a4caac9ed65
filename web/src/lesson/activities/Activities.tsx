import { Box, chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/desk/activities'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { useTypedAhead } from '../../shared/useDigits'
import { Sheet } from '../../shared/ui/Sheet'
import { CallMaker, ClockMaker } from '../clocks/DeskClocks'
import { MeritMaker } from '../merits/Merits'
import { NoticeMaker } from '../notices/notices'
import type { Give } from '../orders'
import { Maker } from '../questions/Maker'
import { SlatesMaker } from '../slates/SlatesMaker'

/** What the launcher shows or starts. */
export type Shown = Activity | 'board' | 'step' | 'moment'

/** What can be started from the desk. */
export type Activity = 'question' | 'clock' | 'first' | 'slates' | 'merits' | 'notice'

const ALL: { activity: Activity; name: string; key: string }[] = [
  { activity: 'question', name: say.question, key: 'Q' },
  { activity: 'clock', name: say.clock, key: 'T' },
  { activity: 'first', name: say.first, key: 'F' },
  { activity: 'slates', name: say.slates, key: 'E' },
  { activity: 'merits', name: say.merits, key: 'X' },
  { activity: 'notice', name: say.announce, key: 'U' },
]

/** The row from which everything is started, with its keys; there wherever the class list, the wall or the board is. */
export function Launcher({ onShow }: { onShow: (what: Shown) => void }) {
  return (
    <Flex role="group" aria-label={say.withTheClass} gap="8px" wrap="wrap" fontSize="12.5px">
      {ALL.map((one) => (
        <Button key={one.activity} look="quiet" fontSize="12.5px" gap="4px" onClick={() => onShow(one.activity)}>
          {one.name} <Key>{one.key}</Key>
        </Button>
      ))}
      <Button look="quiet" fontSize="12.5px" gap="4px" onClick={() => onShow('board')}>
        {say.board} <Key>P</Key>
      </Button>
      <Button look="quiet" fontSize="12.5px" gap="4px" onClick={() => onShow('step')}>
        {say.step} <Key>C</Key>
      </Button>
      <Button look="quiet" fontSize="12.5px" gap="4px" onClick={() => onShow('moment')}>
        {say.mark} <Key>Y</Key>
      </Button>
    </Flex>
  )
}

interface ActivitiesProps {
  desk: Desk
  open: Activity | null
  onOpen: (activity: Activity | null) => void
  give: Give
}

/** The one place where anything is started with the class. Each has a key of its own, and most need one press more. */
export function Activities({ desk, open, onOpen, give }: ActivitiesProps) {
  useTypedAhead(open)
  const start: Give = (order) => {
    give(order)
    if (order.do !== 'merit' && order.do !== 'take-merit-back') onOpen(null)
  }
  return (
    <Sheet title={say.withTheClass} open={open !== null} onClose={() => onOpen(null)} wide>
      <Flex gap="0" mb="12px" borderBottom="1.5px solid" borderColor="ink" wrap="wrap" role="group" aria-label={say.whatToStart}>
        {ALL.map((one) => (
          <chakra.button
            key={one.activity}
            type="button"
            aria-pressed={open === one.activity}
            onClick={() => onOpen(one.activity)}
            px="10px"
            py="5px"
            cursor="pointer"
            fontWeight={open === one.activity ? 700 : 400}
            borderBottom="4px solid"
            borderColor={open === one.activity ? 'ink' : 'transparent'}
          >
            {one.name} <Key>{one.key}</Key>
          </chakra.button>
        ))}
      </Flex>
      <Box minH="220px">
        {open === 'question' && <Maker desk={desk} ask={start} classId={desk.ofClass} />}
        {open === 'clock' && <ClockMaker give={start} />}
        {open === 'first' && <CallMaker give={start} />}
        {open === 'slates' && <SlatesMaker give={start} />}
        {open === 'merits' && <MeritMaker desk={desk} give={start} classId={desk.ofClass} />}
        {open === 'notice' && <NoticeMaker desk={desk} give={start} />}
      </Box>
    </Sheet>
  )
}
