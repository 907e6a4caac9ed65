import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Desk } from '../../../shared/api/types'
import { Board } from '../../../shared/board/Board'
import { Button } from '../../../shared/ui/Button'
import { TextArea, TextInput } from '../../../shared/ui/Fields'
import { Sheet } from '../../../shared/ui/Sheet'
import type { Give } from '../api'
import { WordsPanel } from './WordsPanel'

type Place = 'Words' | 'Material' | 'Captions'

/** What is written, handed out and captioned; the board opens large. */
export function Panels({ desk, lesson, give, onWhy }: { desk: Desk; lesson: string; give: Give; onWhy: () => void }) {
  const [place, setPlace] = useState<Place>('Words')
  const [board, setBoard] = useState(false)
  const counts: Record<Place, number> = { Words: 0, Material: desk.materials.length, Captions: 0 }
  return (
    <Flex direction="column" flex="1 1 26%" minH="170px" borderTop="1px solid" borderColor="lineStrong">
      <Flex gap="14px" px="14px" pt="6px" pb="2px" align="baseline" wrap="wrap">
        {(['Words', 'Material', 'Captions'] as const).map((name) => (
          <chakra.button
            key={name}
            type="button"
            aria-pressed={place === name}
            onClick={() => setPlace(name)}
            cursor="pointer"
            css={{ '@media (pointer: coarse)': { minHeight: '38px' } }}
            fontFamily="heading"
            fontSize="15px"
            fontWeight={place === name ? 700 : 400}
            color={place === name ? 'ink' : 'ink2'}
            borderBottom="2px solid"
            borderColor={place === name ? 'ink' : 'transparent'}
          >
            {name}
            {counts[name] > 0 && ` ${counts[name]}`}
          </chakra.button>
        ))}
        <Box flex="1" />
        <Button size="small" onClick={() => setBoard(true)}>
          Board
        </Button>
      </Flex>
      {place === 'Words' && <WordsPanel desk={desk} lesson={lesson} onWhy={onWhy} />}
      {place === 'Material' && <Material desk={desk} give={give} />}
      {place === 'Captions' && <Captions desk={desk} lesson={lesson} give={give} />}
      <Sheet title="Board" open={board} onClose={() => setBoard(false)}>
        <Board
          path={`/api/lessons/${encodeURIComponent(lesson)}/board`}
          number={desk.steering.board}
          mayDraw={desk.iAmIn && !desk.steering.observing}
          onWipe={(of) => give({ do: 'wipe', of })}
        />
      </Sheet>
    </Flex>
  )
}

/** What latecomers still find. */
export function Material({ desk, give }: { desk: Desk; give: Give }) {
  const [title, setTitle] = useState('')
  const [body, setBody] = useState('')
  return (
    <Flex direction="column" flex="1" minH="0" px="14px" pb="8px">
      <Box flex="1" overflowY="auto" tabIndex={0} role="region" aria-label="Handed out">
        {desk.materials.length === 0 && <Box color="ink2">Nothing is handed out. Who comes late finds all of it.</Box>}
        {desk.materials.map((one) => (
          <Flex key={one.number} gap="8px" py="2px" borderBottom="1px dotted" borderColor="line">
            <Box flex="1" overflowWrap="anywhere">
              <strong>{one.title}</strong> {one.body}
            </Box>
            <Button size="small" onClick={() => give({ do: 'take-back', number: one.number })}>
              Take back
            </Button>
          </Flex>
        ))}
      </Box>
      {desk.iAmIn && !desk.steering.observing && (
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            give({ do: 'hand-out', title, body })
            setTitle('')
            setBody('')
          }}
        >
          <TextInput
            aria-label="What you hand out"
            placeholder="What it is"
            value={title}
            maxLength={120}
            required
            onChange={(event) => setTitle(event.target.value)}
          />
          <Flex gap="6px" mt="4px">
            <TextArea
              aria-label="Link or note"
              placeholder="Link or note"
              rows={1}
              value={body}
              maxLength={1000}
              onChange={(event) => setBody(event.target.value)}
            />
            <Button type="submit">Hand out</Button>
          </Flex>
        </chakra.form>
      )}
    </Flex>
  )
}

function Captions({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const [text, setText] = useState('')
  return (
    <Flex direction="column" flex="1" minH="0" px="14px" pb="8px">
      <Box flex="1" overflowY="auto" tabIndex={0} role="log" aria-label="Captions">
        {desk.captions.length === 0 && <Box color="ink2">No captions yet. Each reader switches them on for themselves.</Box>}
        {desk.captions.map((one) => (
          <Box key={one.number}>{one.text}</Box>
        ))}
        {desk.captions.length > 0 && (
          <a href={`/api/lessons/${encodeURIComponent(lesson)}/captions.vtt`} download={`${desk.title}.vtt`}>
            All of them as a WebVTT file
          </a>
        )}
      </Box>
      {desk.iAmIn && !desk.steering.observing && (
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
