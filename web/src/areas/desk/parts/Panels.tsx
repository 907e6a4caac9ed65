import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { Desk } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import type { Give } from '../../../lesson/orders'
import { WordsPanel } from '../../../lesson/chat/WordsPanel'
import { Captions } from '../../../lesson/material/Captions'
import { Material } from '../../../lesson/material/Material'

type Place = 'Words' | 'Material' | 'Captions'

/** What is written, handed out and captioned; the board opens large. */
export function Panels({
  desk,
  lesson,
  give,
  onWhy,
  onBoard,
}: {
  desk: Desk
  lesson: string
  give: Give
  onWhy: () => void
  onBoard: () => void
}) {
  const [place, setPlace] = useState<Place>('Words')
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
        <Button size="small" onClick={onBoard}>
          Board
        </Button>
      </Flex>
      {place === 'Words' && <WordsPanel desk={desk} lesson={lesson} onWhy={onWhy} />}
      {place === 'Material' && <Material desk={desk} give={give} />}
      {place === 'Captions' && <Captions desk={desk} lesson={lesson} give={give} />}
    </Flex>
  )
}
