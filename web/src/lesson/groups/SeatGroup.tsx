import { Box, chakra, Flex } from '@chakra-ui/react'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'

type Groups = NonNullable<Seat['groups']>

/** The one thing seen first while the class is apart: where one is, with whom, what to do, how long, and how to get help. */
export function Banner({ seat, now, act }: { seat: Seat; now: number; act: (one: Act) => void }) {
  const { groups } = seat
  const say = seatWords()
  if (!groups) return null
  const asked = seat.mine.groups
  return (
    <Box
      as="section"
      aria-label={say.yourGroup}
      px={{ base: '14px', md: '22px' }}
      py="12px"
      bg="sheet"
      borderBottom="1.5px solid"
      borderColor="ink"
    >
      {groups.here ? (
        <Here groups={groups} here={groups.here} me={seat.mine.door.name} now={now} act={act} />
      ) : asked ? (
        <Flex gap="14px" align="center" wrap="wrap">
          <Box flex="1" minW="200px">
            <chakra.h2 fontSize="20px">{say.youGoTo(asked.name)}</chakra.h2>
            {asked.with.length > 0 && <chakra.p color="ink2">{say.withMates(asked.with.join(', '))}</chakra.p>}
          </Box>
          <Button size="large" look="main" onClick={() => act({ do: 'go-to-group' })}>
            {say.goTo(asked.name)}
          </Button>
        </Flex>
      ) : (
        <chakra.p role="status">{say.inGroups(countdown(Date.parse(groups.ends) - now))}</chakra.p>
      )}
    </Box>
  )
}

interface HereProps {
  groups: Groups
  here: NonNullable<Groups['here']>
  /** One's own name, which needs no telling. */
  me: string | undefined
  now: number
  act: (one: Act) => void
}

function Here({ groups, here, me, now, act }: HereProps) {
  const left = Date.parse(groups.ends) - now
  const soon = left < 60_000 || groups.calledBack
  const say = seatWords()
  return (
    <>
      <Flex gap="8px 20px" align="baseline" wrap="wrap">
        <chakra.h2 fontSize={{ base: '22px', md: '24px' }}>{say.youAreIn(here.name)}</chakra.h2>
        <Box role="timer" px="8px" bg={soon ? 'mark' : 'transparent'} color={soon ? 'onMark' : 'ink'}>
          {groups.calledBack ? say.allBackIn : say.backIn}
          <chakra.span fontFamily="mono" fontSize="20px" fontWeight="650">
            {countdown(left)}
          </chakra.span>
        </Box>
      </Flex>
      {here.with.length > 1 && (
        <chakra.p color="ink2">
          {say.withMates(
            here.with
              .filter((mate) => mate.name !== me)
              .map((mate) => (mate.in ? mate.name : say.notHere(mate.name)))
              .join(', '),
          )}
        </chakra.p>
      )}
      <chakra.p role="status" color="ink2">
        {[
          here.adults.length > 0 && say.adultsWithYou(here.adults.join(words().and), here.adults.length),
          here.looking.length > 0 && say.lookIn(here.looking.join(words().and), here.looking.length),
          here.quiet && say.groupQuiet,
          soon && !groups.calledBack && say.togetherSoon,
          groups.calledBack && say.calledBack,
        ]
          .filter(Boolean)
          .join(' ')}
      </chakra.p>
      {here.task && (
        <Box
          my="8px"
          px="12px"
          py="8px"
          borderInlineStart="4px solid"
          borderColor="ink"
          bg="paper"
          whiteSpace="pre-wrap"
          fontSize="17px"
        >
          {here.task}
        </Box>
      )}
      <Flex gap="10px" mt="6px" wrap="wrap" align="center">
        {here.helpSince ? (
          <chakra.span role="status" bg="mark" color="onMark" px="12px" py="8px" fontWeight="650">
            {say.adultCalled(countdown(now - Date.parse(here.helpSince)))}
          </chakra.span>
        ) : (
          <Button size="large" onClick={() => act({ do: 'call-adult' })}>
            {say.callAdult}
          </Button>
        )}
        {here.mayReturn && (
          <Button size="large" look={groups.calledBack ? 'main' : 'plain'} onClick={() => act({ do: 'leave-group' })}>
            {say.backToClass}
          </Button>
        )}
      </Flex>
    </>
  )
}
