import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { Desk } from '../../../shared/api/types'
import { countdown, useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import type { Give } from '../api'

/** What holds for the whole room and must not be overlooked; nothing else stands here. */
export function RoomBanner({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const time = useSchoolTime()
  const { stoppedAt, aloneSince, quiet, light, focus, showingName } = desk.steering
  const mayOrder = desk.iAmIn && !desk.steering.observing
  const name = desk.pupils.find((pupil) => pupil.id === focus)?.name ?? desk.adults.find((adult) => adult.id === focus)?.name
  return (
    <Box role="status">
      {stoppedAt && (
        <Line grave>
          Everything is stopped since {time.clock(stoppedAt)}: all muted, chat, drawing and sharing closed, the door shut. Pupils
          can still write to you.
          {mayOrder && (
            <Button size="small" onClick={() => give({ do: 'resume' })}>
              Bring back what was
            </Button>
          )}
        </Line>
      )}
      {aloneSince && (
        <Line grave>
          No adult is in the room, for {countdown(now - Date.parse(aloneSince))} now.{' '}
          {quiet ? 'It has gone quiet by itself; the lead was told.' : 'It will go quiet by itself.'}
        </Line>
      )}
      {(light || name || showingName) && (
        <Line>
          {[
            light && 'Light lesson: cameras are closed',
            name && `${name} is in focus`,
            showingName && `${showingName} shows something`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </Line>
      )}
    </Box>
  )
}

function Line({ grave = false, children }: { grave?: boolean; children: ReactNode }) {
  return (
    <Flex
      gap="12px"
      align="center"
      wrap="wrap"
      px="16px"
      py="4px"
      fontSize="13.5px"
      fontWeight={grave ? 600 : 400}
      bg={grave ? 'verdict.awaySoft' : 'sheet'}
      borderBottom="1px solid"
      borderColor={grave ? 'verdict.away' : 'line'}
    >
      {children}
    </Flex>
  )
}
