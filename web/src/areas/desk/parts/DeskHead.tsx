import { Box, chakra, Flex } from '@chakra-ui/react'
import { ArrowLeft } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Desk } from '../../../shared/api/types'
import { countdown, useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Key } from '../../../shared/ui/Key'
import { Sheet } from '../../../shared/ui/Sheet'
import type { Give } from '../api'

interface DeskHeadProps {
  desk: Desk
  now: number
  connected: boolean
  give: Give
  busy: boolean
  onWhy: (rule: string) => void
}

const DOORS = ['open', 'knock', 'shut']

/** The class, the door, and the two ways to end something: mute all, and dismiss. */
export function DeskHead({ desk, now, connected, give, busy, onWhy }: DeskHeadProps) {
  const [dismissing, setDismissing] = useState(false)
  const time = useSchoolTime()
  const left = Date.parse(desk.ends) - now
  const live = desk.phase === 'OPEN'
  return (
    <Flex
      align="center"
      gap="12px"
      px="16px"
      py="7px"
      bg="sheet"
      borderBottom="3px double"
      borderColor="ink"
      flexShrink={0}
      wrap="wrap"
    >
      <Link to="/today" aria-label="Back to today's lessons">
        <ArrowLeft size={18} aria-hidden />
      </Link>
      <chakra.h1 fontSize="20px">{desk.title}</chakra.h1>
      <Box fontSize="12px" color="ink2">
        with {desk.adults.map((adult) => adult.name + (live && !adult.in ? ' (not in)' : '')).join(' and ')}
        <br />
        {time.weekday(desk.starts)} {time.clock(desk.starts)} to {time.clock(desk.ends)}
        {live && (left > 0 ? `, ${countdown(left)} left` : `, over time by ${countdown(-left)}`)}
      </Box>
      <Box flex="1" />
      <Line connected={connected} />
      {live && desk.iAmIn && (
        <>
          <Flex align="center" gap="6px" fontSize="12.5px" color="ink2">
            <Button look="quiet" onClick={() => onWhy('entry.door')} aria-label="Why is the door so?">
              Door
            </Button>
            <Key>D</Key>
          </Flex>
          <Flex role="group" aria-label="Door" border="1.5px solid" borderColor="ink" borderRadius="3px" overflow="hidden">
            {DOORS.map((value) => (
              <chakra.button
                key={value}
                type="button"
                aria-pressed={desk.door.value === value}
                px="11px"
                py="3px"
                cursor="pointer"
                borderLeft={value === 'open' ? 'none' : '1px solid'}
                borderColor="lineStrong"
                bg={desk.door.value === value ? 'ink' : 'sheet'}
                color={desk.door.value === value ? 'sheet' : 'ink'}
                fontWeight={desk.door.value === value ? 650 : 400}
                onClick={() => give({ do: 'set', rule: 'entry.door', value })}
              >
                {value}
              </chakra.button>
            ))}
          </Flex>
          <Button onClick={() => give({ do: 'mute-all', keepMuted: true })}>
            Mute all <Key>M</Key>
          </Button>
          <Button onClick={() => give({ do: 'leave' })}>Step out</Button>
          <Button look="main" disabled={busy} onClick={() => setDismissing(true)}>
            Dismiss class
          </Button>
        </>
      )}
      {live && !desk.iAmIn && (
        <Button look="main" disabled={busy} onClick={() => give({ do: 'join' })}>
          Come in
        </Button>
      )}
      <Sheet title="Dismiss the class?" open={dismissing} onClose={() => setDismissing(false)}>
        <p>
          Everyone is out at once, the door is shut, and the register is drafted from what was counted.
          {desk.waiting.length > 0 && ` ${desk.waiting.length} who wait at the door are told that the lesson is over.`}
        </p>
        <Flex gap="8px" mt="14px">
          <Button
            look="main"
            onClick={() => {
              give({ do: 'dismiss' })
              setDismissing(false)
            }}
          >
            Dismiss now
          </Button>
          <Button onClick={() => setDismissing(false)}>Go on teaching</Button>
        </Flex>
      </Sheet>
    </Flex>
  )
}

function Line({ connected }: { connected: boolean }) {
  if (connected) return null
  return (
    <Box role="status" bg="mark" color="onMark" px="8px" fontWeight="650">
      No connection. Trying again…
    </Box>
  )
}
