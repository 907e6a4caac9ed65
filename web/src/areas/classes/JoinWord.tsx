import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/classes'
import { get, put } from '../../shared/api/http'
import type { WordCheck } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'

/** The word to say aloud: how strong it is, which words are near, and another one (need B4). */
export function JoinWord({ path, mine, onChanged }: { path: string; mine: boolean; onChanged: () => void }) {
  const [choosing, setChoosing] = useState(false)
  const present = useQuery({ queryKey: ['word', path, ''], queryFn: () => get<WordCheck>(`${path}/word`) })
  if (!present.data) return <ProblemNote problem={present.error} compact />
  return (
    <Box role="region" aria-label={say.joinWord}>
      <chakra.p fontFamily="mono" fontSize="22px">
        {present.data.word}
      </chakra.p>
      <Strength check={present.data} />
      {mine && !choosing && <Button onClick={() => setChoosing(true)}>{say.chooseAnotherWord}</Button>}
      {choosing && (
        <Chooser
          path={path}
          onDone={() => {
            setChoosing(false)
            onChanged()
          }}
          onLeave={() => setChoosing(false)}
        />
      )}
    </Box>
  )
}

function Chooser({ path, onDone, onLeave }: { path: string; onDone: () => void; onLeave: () => void }) {
  const cache = useQueryClient()
  const [typed, setTyped] = useState('')
  const word = typed.trim()
  const check = useQuery({
    queryKey: ['word', path, word],
    queryFn: () => get<WordCheck>(`${path}/word?of=${encodeURIComponent(word)}`),
    enabled: word.length > 0,
    placeholderData: (before) => before,
  })
  const proposed = useQuery({
    queryKey: ['words', path],
    queryFn: () => get<WordCheck[]>(`${path}/word/suggestions`),
    staleTime: Infinity,
  })
  const take = useMutation({
    mutationFn: (one: string) => put<WordCheck>(`${path}/word`, { word: one }),
    onSuccess: async () => {
      await cache.invalidateQueries({ queryKey: ['word', path] })
      onDone()
    },
  })
  return (
    <chakra.form
      bg="sheet"
      border="1px solid"
      borderColor="lineStrong"
      px="12px"
      py="10px"
      onSubmit={(event) => {
        event.preventDefault()
        take.mutate(word)
      }}
    >
      <TextField
        label={say.anotherJoinWord}
        hint={say.twoWordsAndANumber}
        value={typed}
        maxLength={60}
        autoFocus
        onChange={(event) => setTyped(event.target.value)}
      />
      {word && check.data && <Strength check={check.data} />}
      <Flex gap="6px" wrap="wrap" mb="8px" align="center">
        <span>{say.proposed}</span>
        {proposed.data?.map((one) => (
          <Button key={one.word} size="small" fontFamily="mono" onClick={() => setTyped(one.word)}>
            {one.word}
          </Button>
        ))}
        <Button size="small" look="quiet" onClick={() => void proposed.refetch()}>
          {say.others}
        </Button>
      </Flex>
      <ProblemNote problem={take.error ?? check.error} compact />
      <Flex gap="8px">
        <Button type="submit" look="main" disabled={!word || take.isPending || !!check.data?.fault}>
          {say.takeThisWord}
        </Button>
        <Button onClick={onLeave}>{say.keepTheOld}</Button>
      </Flex>
    </chakra.form>
  )
}

/** Strength as a ruler with the mark that the rules set, and the nearest words of other classes. */
function Strength({ check }: { check: WordCheck }) {
  const full = Math.max(30, check.wantedBits + 6)
  const part = (bits: number) => `${Math.min(100, (100 * bits) / full)}%`
  return (
    <Box mb="8px" fontSize="13px">
      <Box position="relative" h="9px" border="1px solid" borderColor="ink" bg="sheet" aria-hidden="true">
        <Box h="100%" w={part(check.bits)} bg={check.bits < check.wantedBits ? 'verdict.away' : 'verdict.in'} />
        <Box position="absolute" top="-4px" bottom="-4px" left={part(check.wantedBits)} w="2px" bg="ink" />
      </Box>
      <p>
        {say.bitsOfChanceTheRules(
          Math.round(check.bits),
          check.wantedBits,
          check.neighbours.length,
          check.neighbours
            .slice(0, 3)
            .map(
              (one) =>
                `${one.word ?? say.aWord} (${one.ofClass}, ${one.soundsAlike ? say.soundsAlike : say.lettersApart(one.letters)})`,
            )
            .join('; '),
        )}
      </p>
      {check.fault && (
        <chakra.p color="verdict.away" fontWeight="600" role="status">
          {check.fault}.
        </chakra.p>
      )}
    </Box>
  )
}
