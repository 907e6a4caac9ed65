import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import { watchWords } from '../../../languages/watch'
import type { Played } from '../../../shared/api/types'
import { TextInput } from '../../../shared/ui/Fields'
import { EmptyNote } from '../../../shared/ui/Notes'
import { found, transcript } from '../transcript'
import { length } from '../words'

interface TranscriptProps {
  played: Played
  nowMs: number
  onSeek: (ms: number) => void
}

/** Everything that was said and written, to read, to search in, and to jump to. */
export function Transcript({ played, nowMs, onSeek }: TranscriptProps) {
  const say = watchWords()
  const [search, setSearch] = useState('')
  const all = useMemo(() => transcript(played), [played])
  const lines = found(all, search)
  const current = lines.filter((one) => one.atMs <= nowMs).at(-1)
  return (
    <Box as="section" aria-label={say.transcript}>
      <Flex gap="10px" align="center" mb="6px">
        <chakra.h2 fontSize="17px">{say.saidAndWritten}</chakra.h2>
        <TextInput
          type="search"
          aria-label={say.searchIn}
          placeholder={say.search}
          value={search}
          maxW="220px"
          onChange={(event) => setSearch(event.target.value)}
        />
        {search && (
          <chakra.span role="status" color="ink2" fontSize="13px">
            {say.found(lines.length)}
          </chakra.span>
        )}
      </Flex>
      {all.length === 0 ? (
        <EmptyNote>{say.nothingSaid}</EmptyNote>
      ) : (
        <Box
          as="ol"
          listStyleType="none"
          maxH={{ base: 'none', lg: '430px' }}
          overflowY="auto"
          tabIndex={0}
          aria-label={say.lines}
        >
          {lines.map((one) => (
            <li key={`${one.atMs} ${one.kind} ${one.text}`}>
              <chakra.button
                type="button"
                display="flex"
                gap="10px"
                w="100%"
                textAlign="start"
                px="8px"
                py="4px"
                cursor="pointer"
                borderInlineStart="4px solid"
                borderColor={one === current ? 'ink' : 'transparent'}
                bg={one === current ? 'markSoft' : 'transparent'}
                aria-current={one === current ? 'true' : undefined}
                css={{ '@media (pointer: coarse)': { minHeight: '40px' } }}
                onClick={() => onSeek(one.atMs)}
              >
                <chakra.span fontFamily="mono" fontSize="12.5px" color="ink2" flexShrink={0} w="48px">
                  {length(one.atMs / 1000)}
                </chakra.span>
                <chakra.span fontStyle={one.kind === 'gap' ? 'italic' : 'normal'} overflowWrap="anywhere">
                  {(one.who || say.kinds[one.kind]) && (
                    <chakra.span color="ink2" fontSize="13px">
                      {[one.who, say.kinds[one.kind]].filter(Boolean).join(' ')}:{' '}
                    </chakra.span>
                  )}
                  {one.text}
                </chakra.span>
              </chakra.button>
            </li>
          ))}
        </Box>
      )}
    </Box>
  )
}
