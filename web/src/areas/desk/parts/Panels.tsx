import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Desk } from '../../../shared/api/types'
import { Board } from '../../../lesson/board/Board'
import { Button } from '../../../shared/ui/Button'
import { Sheet } from '../../../shared/ui/Sheet'
import type { Give } from '../../../lesson/orders'
import { WordsPanel } from '../../../lesson/chat/WordsPanel'
import { Captions } from '../../../lesson/material/Captions'
import { Material } from '../../../lesson/material/Material'

type Place = 'Words' | 'Material' | 'Captions'

/** What is written, handed out and captioned; the board opens large. */
export function Panels({ desk, lesson, give, onWhy }: { desk: Desk; lesson: string; give: Give; onWhy: () => void }) {
  const [place, setPlace] = useState<Place>('Words')
  const [board, setBoard] = useState(false)
  // The page of the group one is in, or looks into.
  const here = desk.mine.groups.in ?? desk.mine.groups.looking
  const table = desk.groups.tables.find((one) => one.id === here)
  const counts: Record<Place, number> = { Words: 0, Material: desk.material.handouts.length, Captions: 0 }
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
      <Sheet title={table ? `Board of ${table.name}` : 'Board'} open={board} onClose={() => setBoard(false)}>
        <Board
          path={`/api/lessons/${encodeURIComponent(lesson)}/board`}
          number={table?.board ?? desk.board.changed}
          place={table?.id}
          mayDraw={desk.mine.door.in && !desk.mine.door.observing && (!table || desk.mine.groups.in === table.id)}
          onWipe={(of) => give({ do: 'wipe', of, place: table?.id })}
        />
      </Sheet>
    </Flex>
  )
}
