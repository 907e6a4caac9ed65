import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import type { Give } from '../orders'

/** What is said, in writing, and the box to write it in. */
export function Captions({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const [text, setText] = useState('')
  return (
    <Flex direction="column" flex="1" minH="0" px="14px" pb="8px">
      <Box flex="1" overflowY="auto" tabIndex={0} role="log" aria-label="Captions">
        {desk.material.captions.length === 0 && (
          <Box color="ink2">No captions yet. Each reader switches them on for themselves.</Box>
        )}
        {desk.material.captions.map((one) => (
          <Box key={one.number}>{one.text}</Box>
        ))}
        {desk.material.captions.length > 0 && (
          <a href={`/api/lessons/${encodeURIComponent(lesson)}/captions.vtt`} download={`${desk.title}.vtt`}>
            All of them as a WebVTT file
          </a>
        )}
      </Box>
      {desk.mine.door.in && !desk.mine.door.observing && (
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
            aria-label="What is being said"
            value={text}
            maxLength={1000}
            required
            onChange={(event) => setText(event.target.value)}
          />
          <Button type="submit">Caption</Button>
        </chakra.form>
      )}
    </Flex>
  )
}
