import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { say } from '../../../languages/en/staff/desk'
import type { Desk, Need } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Since, Until } from '../../../shared/ui/Clocks'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import type { Give } from '../../../lesson/orders'
import { useArrivalSound } from '../../../lesson/door/useArrivalSound'
import { CARDS } from '../../../lesson/needs'
import { SignCounts } from '../../../lesson/signals/SignCounts'

interface NeedsYouProps {
  desk: Desk
  give: Give
  onWhy: (rule: string) => void
}

/** The only place that asks for attention: oldest first, with what is known and the likely actions. */
export function NeedsYou({ desk, give, onWhy }: NeedsYouProps) {
  const queue = desk.needs
  const refused = desk.door.refused.slice(0, 3)
  const [sounds, setSounds] = useArrivalSound(desk.door.waiting)
  return (
    <Box flex="0 1 auto" minH="120px" overflowY="auto" pb="4px" tabIndex={0} role="region" aria-label={say.needsYou}>
      <Flex as="h2" justify="space-between" align="baseline" px="14px" pt="9px" pb="5px" fontSize="15px">
        {say.needsYou}
        <chakra.span fontFamily="body" fontWeight="400" fontSize="12px" color="ink2">
          {say.oldestFirst(queue.length)}
          <Button look="quiet" fontSize="12px" aria-pressed={sounds} onClick={() => setSounds(!sounds)}>
            {say.aSoundAtAKnock(sounds)}
          </Button>
        </chakra.span>
      </Flex>
      <SignCounts desk={desk} give={give} />
      <Box aria-live="polite">
        {queue.length === 0 && (
          <Box px="14px" pb="8px" color="ink2">
            {say.nobodyWaitsNoHand}
          </Box>
        )}
        {queue.map((need, place) => (
          <Card key={need.key} first={place === 0} brief={place > 1 && BRIEF.has(need.kind)} need={need}>
            <Body need={need} desk={desk} give={give} onWhy={onWhy} />
          </Card>
        ))}
      </Box>
      {refused.length > 0 && (
        <Box mx="10px" mt="6px" fontSize="12.5px" color="ink2">
          {refused.map((one) => (
            <Flex key={one.visit} gap="6px" py="2px">
              <VerdictMark verdict="away" />
              <span>
                <strong>{one.name}</strong> {say.turnedAway} {one.reasons[0]?.text}
              </span>
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  )
}

/** What is said in full only near the top: the actions tell enough. At the door the reason always stands. */
const BRIEF = new Set<Need['kind']>(['HAND', 'ENDING', 'LOST', 'STANCE', 'SIGN'])

interface CardProps {
  first: boolean
  brief: boolean
  need: Need
  children: ReactNode
}

function Card({ first, brief, need, children }: CardProps) {
  return (
    <Box
      as="article"
      position="relative"
      mx="10px"
      mb="4px"
      px="9px"
      py="3px"
      css={{ '& button': { paddingTop: '1px', paddingBottom: '1px' }, '& [data-detail]': brief ? { display: 'none' } : {} }}
      bg={first ? 'markSoft' : 'sheet'}
      border="1px solid"
      borderColor={first ? 'mark' : 'line'}
      borderInlineStart="4px solid"
      borderInlineStartColor="mark"
    >
      <chakra.span position="absolute" right="9px" top="6px" fontFamily="mono" fontSize="12px" color="ink2">
        {need.until ? (
          <>
            {say.in} <Until at={need.until} />
          </>
        ) : (
          <Since at={need.since} />
        )}
      </chakra.span>
      {children}
    </Box>
  )
}

function Body(props: { need: Need } & Pick<NeedsYouProps, 'desk' | 'give' | 'onWhy'>) {
  const Shown = CARDS[props.need.kind]
  return <Shown {...props} />
}
