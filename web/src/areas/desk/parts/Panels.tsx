import { chakra, Flex } from '@chakra-ui/react'
import { useContext, useState } from 'react'
import { say } from '../../../languages/en/staff/desk'
import type { Desk } from '../../../shared/api/types'
import type { Give } from '../../../lesson/orders'
import { WordsPanel } from '../../../lesson/chat/WordsPanel'
import { WriteTo } from '../../../lesson/chat/writing'
import { Captions } from '../../../lesson/material/Captions'
import { Material } from '../../../lesson/material/Material'

type Place = 'Words' | 'Material' | 'Captions'

/** What is written, handed out and captioned. It has the room that what needs somebody leaves: much in a quiet lesson. */
export function Panels({ desk, lesson, give, onWhy }: { desk: Desk; lesson: string; give: Give; onWhy: () => void }) {
  const [place, setPlace] = useState<Place>('Words')
  // Whoever begins a private word from a row sees the box it is written in.
  const { to } = useContext(WriteTo)
  const [lastTo, setLastTo] = useState(to)
  if (lastTo !== to) {
    setLastTo(to)
    if (to) setPlace('Words')
  }
  const counts: Record<Place, number> = { Words: 0, Material: desk.material.handouts.length, Captions: 0 }
  return (
    <Flex direction="column" flex="1 1 0" minH={{ base: '200px', lg: '27%' }} borderTop="1px solid" borderColor="lineStrong">
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
            {say.panels[name]}
            {counts[name] > 0 && ` ${counts[name]}`}
            {say.on(name, desk.material.serviceListens)}
          </chakra.button>
        ))}
      </Flex>
      {place === 'Words' && <WordsPanel desk={desk} lesson={lesson} onWhy={onWhy} />}
      {place === 'Material' && <Material desk={desk} give={give} />}
      {place === 'Captions' && <Captions desk={desk} lesson={lesson} give={give} />}
    </Flex>
  )
}
