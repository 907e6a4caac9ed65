import { Box, chakra, Flex } from '@chakra-ui/react'
import type { Seat } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import type { Act } from '../acts'

type Groups = NonNullable<Seat['groups']>

/** The one thing seen first while the class is apart: where one is, with whom, what to do, how long, and how to get help. */
export function Banner({ seat, now, act }: { seat: Seat; now: number; act: (one: Act) => void }) {
  const { groups } = seat
  if (!groups) return null
  const asked = seat.mine.groups
  return (
    <Box
      as="section"
      aria-label="Your group"
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
            <chakra.h2 fontSize="20px">You go to {asked.name}</chakra.h2>
            {asked.with.length > 0 && <chakra.p color="ink2">with {asked.with.join(', ')}</chakra.p>}
          </Box>
          <Button size="large" look="main" onClick={() => act({ do: 'go-to-group' })}>
            Go to {asked.name}
          </Button>
        </Flex>
      ) : (
        <chakra.p role="status">
          The class is in groups for {countdown(Date.parse(groups.ends) - now)} more. You are with the class together; an adult
          will send you if you belong to a group.
        </chakra.p>
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
  return (
    <>
      <Flex gap="8px 20px" align="baseline" wrap="wrap">
        <chakra.h2 fontSize={{ base: '22px', md: '24px' }}>You are in {here.name}</chakra.h2>
        <Box role="timer" px="8px" bg={soon ? 'mark' : 'transparent'} color={soon ? 'onMark' : 'ink'}>
          {groups.calledBack ? 'all back in ' : 'back in '}
          <chakra.span fontFamily="mono" fontSize="20px" fontWeight="650">
            {countdown(left)}
          </chakra.span>
        </Box>
      </Flex>
      {here.with.length > 1 && (
        <chakra.p color="ink2">
          with{' '}
          {here.with
            .filter((mate) => mate.name !== me)
            .map((mate) => (mate.in ? mate.name : `${mate.name} (not here)`))
            .join(', ')}
        </chakra.p>
      )}
      <chakra.p role="status" color="ink2">
        {here.adults.length > 0 && `${here.adults.join(' and ')} ${here.adults.length > 1 ? 'are' : 'is'} with you. `}
        {here.looking.length > 0 && `${here.looking.join(' and ')} ${here.looking.length > 1 ? 'look' : 'looks'} in. `}
        {here.quiet && 'Your group is quiet because no adult has looked in for a while. Call for one, or wait. '}
        {soon && !groups.calledBack && 'In a minute all are together again. '}
        {groups.calledBack && 'Everybody is called back: come when you are ready. '}
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
            An adult was called {countdown(now - Date.parse(here.helpSince))} ago
          </chakra.span>
        ) : (
          <Button size="large" onClick={() => act({ do: 'call-adult' })}>
            Call an adult
          </Button>
        )}
        {here.mayReturn && (
          <Button size="large" look={groups.calledBack ? 'main' : 'plain'} onClick={() => act({ do: 'leave-group' })}>
            Back to the class
          </Button>
        )}
      </Flex>
    </>
  )
}
