import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/notices'
import type { Desk } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { mayOrder } from '../mayOrder'
import { client, type OrderOf } from '../send'

export const noticesOrders = {
  welcome: (lesson: string, { text }: { text: string }) =>
    client.PUT('/api/lessons/{lesson}/welcome', { params: { path: { lesson } }, body: { text } }),
  announce: (lesson: string, { text }: { text: string }) =>
    client.POST('/api/lessons/{lesson}/announcements', { params: { path: { lesson } }, body: { text } }),
  'take-down': (lesson: string, { number }: { number: number }) =>
    client.DELETE('/api/lessons/{lesson}/announcements/{number}', { params: { path: { lesson, number } } }),
}

type Give = (order: OrderOf<typeof noticesOrders>) => void

/** What is up now, over the class list, and down again by one press. */
function UnderHead({ desk, give }: { desk: Desk; now: number; give: Give }) {
  const time = useSchoolTime()
  return desk.notices.up.map((one) => (
    <Flex
      key={one.number}
      as="section"
      aria-label={say.announcement}
      gap="12px"
      align="center"
      px="16px"
      py="4px"
      bg="sheet"
      borderBottom="1px solid"
      borderColor="lineStrong"
    >
      <span>
        <strong>{say.announced}</strong> {one.text}
      </span>
      <chakra.span fontSize="12px" color="ink2">
        {one.by}, {time.clock(one.at)}
      </chakra.span>
      <Box flex="1" />
      {mayOrder(desk) && (
        <Button size="small" onClick={() => give({ do: 'take-down', number: one.number })}>
          {say.takeItDown}
        </Button>
      )}
    </Flex>
  ))
}

/** Writes an announcement, or the welcome of this lesson. */
export function NoticeMaker({ desk, give }: { desk: Desk; give: Give }) {
  const [text, setText] = useState('')
  const [greeting, setGreeting] = useState(desk.notices.welcome?.text ?? '')
  return (
    <Box>
      <Labelled label={say.announcement} hint={say.staysOnTopOfEverybodys}>
        {(id) => <TextArea id={id} rows={2} maxLength={400} value={text} onChange={(event) => setText(event.target.value)} />}
      </Labelled>
      <Button look="main" disabled={!text.trim()} onClick={() => give({ do: 'announce', text })}>
        {say.putItUp}
      </Button>
      <Box mt="18px">
        <Labelled label={say.welcome} hint={say.whoeverArrivesFromNow}>
          {(id) => (
            <TextArea id={id} rows={2} maxLength={400} value={greeting} onChange={(event) => setGreeting(event.target.value)} />
          )}
        </Labelled>
        <Button onClick={() => give({ do: 'welcome', text: greeting })}>{say.welcomeThemSo}</Button>
      </Box>
    </Box>
  )
}

export const notices = { orders: noticesOrders, page: { UnderHead } }
