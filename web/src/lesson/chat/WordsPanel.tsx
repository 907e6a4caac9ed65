import { Box, chakra, Flex } from '@chakra-ui/react'
import { useContext, useState } from 'react'
import { say as staffSays } from '../../languages/en/desk/chat'
import type { Desk, Message } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { ProblemNote } from '../../shared/ui/Notes'
import { FileChooser, SentFile } from '../../shared/ui/SentFile'
import { useLatestInSight } from '../../shared/ui/useLatestInSight'
import { useOrders } from '../orders'
import { whom } from './whom'
import { WRITE_BOX, WriteTo } from './writing'

const CHAT: Record<string, string> = {
  open: staffSays.pupilsWrite,
  'on-request': staffSays.pupilsWriteToAdultsOnly,
  closed: staffSays.pupilsWriteToAdultsOnly,
}

/** What is written, and the box to write in. Text stays in the box until the server has it. */
export function WordsPanel({ desk, lesson, onWhy }: { desk: Desk; lesson: string; onWhy: () => void }) {
  const [text, setText] = useState('')
  const { to, setTo } = useContext(WriteTo)
  const say = useOrders(lesson)
  const here = desk.groups.tables.find((one) => one.id === (desk.mine.groups.in ?? desk.mine.groups.looking))
  const [all, setAll] = useState(false)
  const words = here && !all ? desk.words.filter((one) => one.place === here.id || one.to === 'CLASS') : desk.words
  const log = useLatestInSight<HTMLDivElement>(words.length)
  const time = useSchoolTime()
  const chat = desk.rights.columns.find((column) => column.rule === 'chat.class')?.value ?? 'open'
  const table = desk.groups.out && desk.groups.tables.find((one) => one.id === to)
  const whom = table
    ? ({ to: 'PLACE', person: null, place: table.id } as const)
    : to && desk.door.pupils.some((one) => one.id === to)
      ? ({ to: 'ONE', person: to } as const)
      : ({ to: 'CLASS', person: null } as const)
  const send = () =>
    say.mutate(
      { do: 'say', ...whom, text },
      {
        // A private word is one word: the next is for all again, as the box says.
        onSuccess: () => {
          setText('')
          if (whom.to === 'ONE') setTo('')
        },
      },
    )
  return (
    <Flex direction="column" flex="1" minH="0">
      <Flex px="14px" fontSize="12px" color="ink2" gap="4px" align="baseline">
        {here ? (
          <Button look="quiet" fontSize="12px" onClick={() => setAll(!all)}>
            {staffSays.onlyYouHearAllWords(all, here.name)}
          </Button>
        ) : (
          <>
            {CHAT[chat]} ·{' '}
            <Button look="quiet" fontSize="12px" onClick={onWhy} aria-label={staffSays.whyMayPupilsWrite}>
              {staffSays.why}
            </Button>
          </>
        )}
        {desk.mine.door.in && !desk.mine.door.observing && (
          <chakra.span ms="auto">
            <FileChooser disabled={say.isPending} onChoose={(file) => say.mutate({ do: 'file', ...whom, file })} />
          </chakra.span>
        )}
      </Flex>
      <Box ref={log} flex="1" overflowY="auto" px="14px" tabIndex={0} role="log" aria-label={staffSays.wordsOfTheLesson}>
        {words.length === 0 && <Box color="ink2">{staffSays.nothingIsWrittenYet}</Box>}
        {words.map((one) => (
          <Said
            key={one.number}
            words={one}
            clock={time.clock(one.at)}
            href={`/api/lessons/${encodeURIComponent(lesson)}/files/${one.number}`}
          />
        ))}
      </Box>
      <ProblemNote problem={say.error} compact />
      {desk.mine.door.in && !desk.mine.door.observing && (
        <chakra.form
          display="flex"
          gap="6px"
          p="8px 10px"
          onSubmit={(event) => {
            event.preventDefault()
            send()
          }}
        >
          <Select
            w="92px"
            flexShrink={0}
            aria-label={staffSays.toWhom}
            value={to}
            onChange={(event) => setTo(event.target.value)}
            px="4px"
          >
            <option value="">{staffSays.toAll}</option>
            {desk.groups.out &&
              desk.groups.tables.map((one) => (
                <option key={one.id} value={one.id}>
                  {staffSays.toSaid(one.name)}
                </option>
              ))}
            {desk.door.pupils
              .filter((pupil) => pupil.whereabouts === 'IN')
              .map((pupil) => (
                <option key={pupil.id} value={pupil.id}>
                  {pupil.name}
                </option>
              ))}
          </Select>
          <TextInput
            id={WRITE_BOX}
            aria-label={table ? staffSays.writeTo(table.name) : to ? staffSays.writeToOnePupil : staffSays.writeToTheClass}
            placeholder={table ? staffSays.toGroup(table.name) : to ? staffSays.aPrivateWordPlaceholder : staffSays.writeToAll}
            value={text}
            maxLength={1000}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => event.key === 'Escape' && event.currentTarget.blur()}
          />
          <Button type="submit" disabled={say.isPending}>
            {staffSays.send} <Key>W</Key>
          </Button>
        </chakra.form>
      )}
    </Flex>
  )
}

function Said({ words, clock, href }: { words: Message; clock: string; href: string }) {
  return (
    <Box py="2px" borderBottom="1px dotted" borderColor="line" overflowWrap="anywhere">
      <chakra.span fontFamily="mono" fontSize="12px" color="ink3" me="6px">
        {clock}
      </chakra.span>
      <strong>{words.fromName}</strong> <chakra.span color="ink2">{whom(words)}:</chakra.span>{' '}
      <SentFile text={words.text} file={words.file} href={href} />
    </Box>
  )
}
