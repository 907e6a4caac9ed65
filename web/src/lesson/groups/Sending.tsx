import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/groups'
import type { Desk, GroupsPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextArea, TextInput } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Shutter } from '../../shared/ui/Shutter'
import { useOrders, type Give } from '../orders'
import { usePreview } from './usePreview'

/** What is to be done, what holds there, how long, and off they go. */
export function Sending({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const { groups } = desk
  const [task, setTask] = useState(groups.task)
  const [known, setKnown] = useState(groups.task)
  const [minutes, setMinutes] = useState('10')
  const [invite, setInvite] = useState(false)
  const sending = useOrders(lesson)
  const preview = usePreview(desk, lesson)
  if (known !== groups.task) {
    setKnown(groups.task)
    setTask(groups.task)
  }
  const binding = groups.broken.filter((one) => one.binding)
  return (
    <Box px="14px" py="8px" borderTop="1.5px solid" borderColor="ink" fontSize="13px" flexShrink={0}>
      <Box role="status">
        {groups.broken.map((one) => (
          <Box key={one.says} color={one.binding ? 'verdict.away' : 'verdict.wait'} fontWeight={one.binding ? 650 : 400}>
            {say.keepsThemFromBeingSent(one.binding, one.says)}
          </Box>
        ))}
      </Box>
      {preview && <Rights preview={preview} />}
      <TextArea
        aria-label={say.whatIsToBeDone}
        placeholder={say.whatIsToBeDoneIn}
        rows={2}
        resize="none"
        maxLength={1000}
        mt="5px"
        value={task}
        onChange={(event) => setTask(event.target.value)}
        onBlur={() => task !== groups.task && give({ do: 'groups-task', text: task })}
      />
      <ProblemNote problem={sending.error} compact />
      <Flex gap="8px" mt="6px" align="center" wrap="wrap">
        <chakra.label display="inline-flex" gap="5px" alignItems="center">
          {say.for}
          <TextInput
            aria-label={say.minutesInGroups}
            type="number"
            min={1}
            max={preview?.minutes ?? 120}
            w="60px"
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
          {say.min}
          {preview && say.upTo(preview.minutes)}
        </chakra.label>
        <Select
          aria-label={say.howTheyGo}
          w="190px"
          value={invite ? 'invite' : 'once'}
          onChange={(event) => setInvite(event.target.value === 'invite')}
        >
          <option value="once">{say.allGoAtOnce}</option>
          <option value="invite">{say.eachGoesWhenTheyAccept}</option>
        </Select>
        <Box flex="1" />
        <Button
          look="main"
          disabled={sending.isPending || binding.length > 0}
          onClick={() => sending.mutate({ do: 'send-out', minutes: Number(minutes), invite })}
        >
          {say.sendOut}
        </Button>
      </Flex>
    </Box>
  )
}

/** What pupils may in a group, and what is kept of it. */
function Rights({ preview }: { preview: GroupsPreview }) {
  return (
    <Box color="ink2" fontSize="12.5px">
      <Flex gap="4px 12px" wrap="wrap" align="center">
        <strong>{say.inAGroup}</strong>
        {preview.rights.map((right) => (
          <Flex key={right.rule} as="span" gap="4px" align="center" fontWeight={right.now === right.inGroups ? 400 : 650}>
            <Shutter value={right.inGroups.toLowerCase().replace('_', '-')} />{' '}
            {say.otherwiseThere(right.title, right.now, right.inGroups)}
          </Flex>
        ))}
      </Flex>
      <Box>{say.aGroupIsWithout(preview.recording, preview.aloneMinutes)}</Box>
    </Box>
  )
}
