import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Desk, Seat } from '../../shared/api/types'
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
      aria-label="Announcement"
      gap="12px"
      align="center"
      px="16px"
      py="4px"
      bg="sheet"
      borderBottom="1px solid"
      borderColor="lineStrong"
    >
      <span>
        <strong>Announced:</strong> {one.text}
      </span>
      <chakra.span fontSize="12px" color="ink2">
        {one.by}, {time.clock(one.at)}
      </chakra.span>
      <Box flex="1" />
      {mayOrder(desk) && (
        <Button size="small" onClick={() => give({ do: 'take-down', number: one.number })}>
          Take it down
        </Button>
      )}
    </Flex>
  ))
}

/** Announcements stay on top until they are taken down; the welcome until it has been read. */
function Banner({ seat }: { seat: Seat }) {
  const time = useSchoolTime()
  const { welcome, up } = seat.notices
  const [read, setRead] = useState<string | null>(null)
  return (
    <>
      {up.map((one) => (
        <Box
          key={one.number}
          as="section"
          role="status"
          aria-label="Announcement"
          px={{ base: '14px', md: '22px' }}
          py="9px"
          bg="markSoft"
          borderBottom="1px solid"
          borderColor="ink"
          fontSize="18px"
        >
          {one.text}{' '}
          <chakra.span fontSize="13px" color="ink2">
            {one.by}, {time.clock(one.at)}
          </chakra.span>
        </Box>
      ))}
      {welcome && read !== welcome.at && (
        <Flex
          as="section"
          aria-label="Welcome"
          gap="12px"
          align="center"
          px={{ base: '14px', md: '22px' }}
          py="9px"
          bg="verdict.inSoft"
          borderBottom="1px solid"
          borderColor="lineStrong"
          fontSize="17px"
          wrap="wrap"
        >
          <span>
            {welcome.text}{' '}
            <chakra.span fontSize="13px" color="ink2">
              {welcome.by}
            </chakra.span>
          </span>
          <Box flex="1" />
          <Button onClick={() => setRead(welcome.at)}>I have read it</Button>
        </Flex>
      )}
    </>
  )
}

/** At the doorstep and in the waiting: what is said to who arrives. */
export function WelcomeNote({ welcome }: { welcome: { text: string; by: string } | undefined }) {
  if (!welcome) return null
  return (
    <chakra.blockquote
      my="12px"
      px="14px"
      py="10px"
      bg="verdict.inSoft"
      borderInlineStart="4px solid"
      borderColor="verdict.in"
      fontSize="17px"
    >
      {welcome.text}
      <chakra.footer fontSize="13px" color="ink2">
        {welcome.by}
      </chakra.footer>
    </chakra.blockquote>
  )
}

/** Writes an announcement, or the welcome of this lesson. */
export function NoticeMaker({ desk, give }: { desk: Desk; give: Give }) {
  const [text, setText] = useState('')
  const [greeting, setGreeting] = useState(desk.notices.welcome?.text ?? '')
  return (
    <Box>
      <Labelled label="Announcement" hint="Stays on top of everybody’s page until you take it down; up to three at a time.">
        {(id) => <TextArea id={id} rows={2} maxLength={400} value={text} onChange={(event) => setText(event.target.value)} />}
      </Labelled>
      <Button look="main" disabled={!text.trim()} onClick={() => give({ do: 'announce', text })}>
        Put it up
      </Button>
      <Box mt="18px">
        <Labelled
          label="Welcome"
          hint="Whoever arrives from now on reads it at the door and first at the seat. Empty it for none."
        >
          {(id) => (
            <TextArea id={id} rows={2} maxLength={400} value={greeting} onChange={(event) => setGreeting(event.target.value)} />
          )}
        </Labelled>
        <Button onClick={() => give({ do: 'welcome', text: greeting })}>Welcome them so</Button>
      </Box>
    </Box>
  )
}

export const notices = { orders: noticesOrders, acts: {}, page: { UnderHead, Banner } }
