import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState, type ReactNode } from 'react'
import { say } from '../../languages/en/desk/supervision'
import type { Desk } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Since } from '../../shared/ui/Clocks'
import { TextInput } from '../../shared/ui/Fields'
import { mayOrder } from '../mayOrder'
import type { Give } from '../orders'
import { titleOf } from '../rights/Lending'

/** What holds for the whole room and must not be overlooked; nothing else stands here. */
export function RoomBanner({ desk, give }: { desk: Desk; give: Give }) {
  const time = useSchoolTime()
  const { stoppedAt, stoppedBecause, aloneSince, quiet } = desk.supervision
  const { light, showingName } = desk.rights
  const { leading } = desk.mine.door
  const { focus } = desk.signals
  const orders = mayOrder(desk)
  const name =
    desk.door.pupils.find((pupil) => pupil.id === focus)?.name ?? desk.door.adults.find((adult) => adult.id === focus)?.name
  const me = orders && !leading ? desk.door.adults.find((adult) => adult.id === desk.mine.me) : undefined
  const askFirst = ((me && desk.rights.helpers[me.id]) ?? [])
    .filter((cell) => cell.value !== 'open')
    .map((cell) => titleOf(desk, cell.rule).toLowerCase())
    .join(', ')
  return (
    <Box role="status">
      {stoppedAt && (
        <Line grave>
          {say.everythingIsStoppedSince(time.clock(stoppedAt))}
          {orders && (
            <Button size="small" onClick={() => give({ do: 'resume' })}>
              {say.bringBack}
            </Button>
          )}
          {stoppedBecause ? (
            <chakra.span fontWeight="400">{say.because(stoppedBecause)}</chakra.span>
          ) : (
            orders && <Because give={give} />
          )}
        </Line>
      )}
      {desk.ending.lastWord && <Line grave>{say.aLastWord(desk.ending.lastWord)}</Line>}
      {me && !leading && (
        <Line>
          {desk.door.adults.find((adult) => adult.leads && adult.in)?.name ?? say.theLeadAdult}{' '}
          {say.leadsYouHelpStoppingEverything(askFirst)}
        </Line>
      )}
      {aloneSince && (
        <Line grave>
          {say.noAdult} <Since at={aloneSince} /> {say.now(quiet)}
        </Line>
      )}
      {desk.door.observers.length > 0 && <Line>{say.on(desk.door.observers.join(' and '), desk.door.observers.length)}</Line>}
      {(light || name || showingName) && (
        <Line>
          {[light && say.lightLessonCamerasAreClosed, name && say.isInFocus(name), showingName && say.showsSomething(showingName)]
            .filter(Boolean)
            .join(' · ')}
        </Line>
      )}
    </Box>
  )
}

/** Why everything was stopped, written once the room is calm. */
function Because({ give }: { give: Give }) {
  const [why, setWhy] = useState('')
  return (
    <chakra.form
      display="flex"
      gap="6px"
      onSubmit={(event) => {
        event.preventDefault()
        if (why.trim()) give({ do: 'stop', why })
      }}
    >
      <TextInput
        aria-label={say.whyEverythingIsStopped}
        placeholder={say.whatHappenedForTheRecord}
        value={why}
        maxLength={500}
        w="230px"
        onChange={(event) => setWhy(event.target.value)}
      />
      <Button size="small" type="submit" disabled={!why.trim()}>
        {say.noteIt}
      </Button>
    </chakra.form>
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
