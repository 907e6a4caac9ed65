import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/material'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import type { Give } from '../orders'

/** What is said, in writing, and the box to write it in. */
export function Captions({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const [text, setText] = useState('')
  const { captions, serviceListens } = desk.material
  const may = desk.mine.door.in && !desk.mine.door.observing
  return (
    <Flex direction="column" flex="1" minH="0" px="14px" pb="8px">
      <Box flex="1" overflowY="auto" tabIndex={0} role="log" aria-label={say.captions}>
        {captions.length === 0 && <Box color="ink2">{say.theServiceListensItWrites(serviceListens)}</Box>}
        {captions.map((one) => (
          <Box key={one.number}>
            {one.heard && <chakra.strong fontWeight="650">{one.by}: </chakra.strong>}
            {one.text}
          </Box>
        ))}
        {captions.length > 0 && (
          <a href={`/api/lessons/${encodeURIComponent(lesson)}/captions.vtt`} download={`${desk.title}.vtt`}>
            {say.allOfThem}
          </a>
        )}
      </Box>
      {may && (
        <Box py="4px">
          <Button size="small" aria-pressed={serviceListens} onClick={() => give({ do: 'caption-service', on: !serviceListens })}>
            {say.letTheServiceStopListening(serviceListens)}
          </Button>
        </Box>
      )}
      {may && (
        <chakra.form
          display="flex"
          gap="6px"
          onSubmit={(event) => {
            event.preventDefault()
            give({ do: 'caption', text })
            setText('')
          }}
        >
          <TextInput
            aria-label={say.whatIsBeingSaid}
            value={text}
            maxLength={1000}
            required
            onChange={(event) => setText(event.target.value)}
          />
          <Button type="submit">{say.caption}</Button>
        </chakra.form>
      )}
    </Flex>
  )
}
