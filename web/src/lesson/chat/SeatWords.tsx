import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { Heard, Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextArea } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { ProblemNote } from '../../shared/ui/Notes'
import { FileChooser, SentFile } from '../../shared/ui/SentFile'
import { useLatestInSight } from '../../shared/ui/useLatestInSight'
import { useActs } from '../acts'

/** What is written, and the box. What is refused is said at once, and the text stays (need F3). */
export function SeatWords({ seat, visit }: { seat: Seat; visit: string }) {
  const mayAll = seat.rights.rights.find((right) => right.rule === 'chat.class')?.value === 'open'
  const [to, setTo] = useState('CLASS')
  const [text, setText] = useState('')
  const saying = useActs(visit)
  const say = seatWords()
  const log = useLatestInSight<HTMLDivElement>(seat.words.length)
  const kind = to === 'CLASS' || to === 'ADULTS' ? to : 'ONE'
  const whose = { to: kind, person: kind === 'ONE' ? to : null } as const
  const send = () => saying.mutate({ do: 'say', ...whose, text }, { onSuccess: () => setText('') })
  return (
    <Grid
      as="section"
      aria-label={say.writing}
      templateColumns={{ base: '1fr', lg: '1fr 372px' }}
      bg="sheet"
      borderTop="1.5px solid"
      borderColor="ink"
      flex={{ base: 'none', md: '0 0 250px' }}
      minH="0"
    >
      <Flex direction="column" minH="0" maxH={{ base: '260px', md: '250px' }} px="14px">
        <Flex justify="space-between" align="baseline">
          <chakra.h2 fontSize="17px" py="8px">
            {say.writing}
          </chakra.h2>
          {seat.mine.chat?.mayKeep && (
            <chakra.a
              fontSize="14px"
              textDecoration="underline"
              href={`/api/seats/${encodeURIComponent(visit)}/words.txt`}
              download
            >
              {say.keepCopy}
            </chakra.a>
          )}
        </Flex>
        <Box ref={log} overflowY="auto" flex="1" role="log" aria-label={say.whatIsWritten} tabIndex={0}>
          {seat.words.length === 0 && <Box color="ink2">{say.nothingWritten}</Box>}
          {seat.words.map((heard) => (
            <Box key={heard.number} py="4px" borderBottom="1px dotted" borderColor="line" overflowWrap="anywhere">
              <strong>{heard.mine ? say.you : heard.from}</strong> <chakra.span color="ink2">{whom(heard, seat)}:</chakra.span>{' '}
              <SentFile
                text={heard.text}
                file={heard.file}
                href={`/api/seats/${encodeURIComponent(visit)}/files/${heard.number}`}
              />
            </Box>
          ))}
        </Box>
      </Flex>
      <chakra.form
        borderInlineStart={{ lg: '1px solid' }}
        borderColor={{ lg: 'line' }}
        px="14px"
        py="10px"
        overflowY="auto"
        onSubmit={(event) => {
          event.preventDefault()
          send()
        }}
      >
        <ProblemNote problem={saying.error} compact />
        <Select aria-label={say.toWhom} value={to} onChange={(event) => setTo(event.target.value)} mb="6px">
          <option value="CLASS">
            {seat.groups?.here ? say.to(seat.groups.here.name) : say.toClass}
            {mayAll ? '' : say.closedNow}
          </option>
          <option value="ADULTS">{say.toTeachers}</option>
          {seat.mine.chat?.classmates.map((one) => (
            <option key={one.id} value={one.id}>
              {say.to(one.name)} {one.readAlong ? say.readAlong : say.alone}
            </option>
          ))}
        </Select>
        <TextArea
          aria-label={say.write}
          rows={3}
          resize="none"
          maxLength={1200}
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Enter' && !event.shiftKey && !event.nativeEvent.isComposing) {
              event.preventDefault()
              send()
            }
          }}
        />
        <Flex justify="space-between" align="center" mt="4px" fontSize="14px" color="ink2">
          <FileChooser disabled={saying.isPending} onChoose={(file) => saying.mutate({ do: 'file', ...whose, file })} />
          <chakra.span flex="1" px="8px">
            {seat.mine.chat?.classmates.some((one) => one.id === to && one.readAlong) ? say.keptReadAlong : say.kept}
          </chakra.span>
          <Button type="submit" disabled={saying.isPending || text.trim() === ''}>
            {say.send} <Key>Enter</Key>
          </Button>
        </Flex>
      </chakra.form>
    </Grid>
  )
}

function whom(heard: Heard, seat: Seat): string {
  const say = seatWords()
  if (heard.to === 'CLASS') return say.toAll
  if (heard.to === 'ADULTS') return say.toTeachers
  if (heard.to === 'PLACE') return say.to(heard.toName ?? '')
  return heard.toName === seat.mine.door.name ? say.toYou : say.to(heard.toName ?? '')
}
