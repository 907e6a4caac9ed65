import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'

/** What a pupil helps with who was trusted with it; it is gone as soon as the right is. */
export function Helping({ seat, act }: { seat: Seat; act: (act: Act) => void }) {
  const time = useSchoolTime()
  const say = seatWords()
  const help = seat.rights.help
  if (!help) return null
  const may = (rule: string) => help.rights.some((right) => right.rule === rule)
  return (
    <Box as="section" aria-label={say.youHelp} mx="16px" mb="16px" px="12px" py="10px" border="1.5px solid" borderColor="ink">
      <chakra.h2 fontSize="18px">{say.youHelp}</chakra.h2>
      <chakra.p fontSize="14px" color="ink2" mb="6px">
        {help.rights
          .map((right) => {
            const what = within(right.title)
            return right.until ? say.rightUntil(what, time.clock(right.until)) : what
          })
          .join(', ')}
        .
      </chakra.p>
      {may('help.door') && (
        <Task title={say.helpAtDoor} none={say.nobodyWaits}>
          {help.door.map((one) => (
            <Line key={one.visit} name={one.name}>
              <Button size="small" aria-label={say.letInOne(one.name)} onClick={() => act({ do: 'let-in', arrival: one.visit })}>
                {say.letIn}
              </Button>
            </Line>
          ))}
        </Task>
      )}
      {may('help.hands') && (
        <Task title={say.raisedHands} none={say.noHand}>
          {help.hands.map((one) => (
            <Line key={one.id} name={one.name}>
              <Button size="small" aria-label={say.letSpeakOne(one.name)} onClick={() => act({ do: 'call-on', person: one.id })}>
                {say.letSpeak}
              </Button>
              <Button size="small" aria-label={say.lowerOne(one.name)} onClick={() => act({ do: 'lower', person: one.id })}>
                {say.lower}
              </Button>
            </Line>
          ))}
        </Task>
      )}
      {may('help.chat') && (
        <Button onClick={() => act({ do: 'pause-chat', paused: !help.chatPaused })}>
          {help.chatPaused ? say.endPause : say.pauseChat}
        </Button>
      )}
    </Box>
  )
}

/** As it stands within a sentence; the rest keeps its capitals, which some languages need. */
function within(title: string): string {
  return title.charAt(0).toLowerCase() + title.slice(1)
}

function Task({ title, none, children }: { title: string; none: string; children: ReactNode[] }) {
  return (
    <Box mb="8px" aria-live="polite">
      <chakra.h3 fontSize="14px" fontWeight="650">
        {title}
      </chakra.h3>
      {children.length === 0 ? (
        <chakra.p fontSize="14px" color="ink2">
          {none}
        </chakra.p>
      ) : (
        children
      )}
    </Box>
  )
}

function Line({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Flex align="center" gap="6px" py="3px" borderBottom="1px dotted" borderColor="line">
      <chakra.span flex="1" overflowWrap="anywhere">
        {name}
      </chakra.span>
      {children}
    </Flex>
  )
}
