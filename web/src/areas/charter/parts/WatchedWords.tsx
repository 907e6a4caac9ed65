import { chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/charter'
import { get, put } from '../../../shared/api/http'
import type { WatchedList } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { TextArea } from '../../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../../shared/ui/Notes'
import { Sheet } from '../../../shared/ui/Sheet'

const PATH = '/api/rules/watched-words'

/** The school's list of words that are looked at first; what becomes of them is the rule "Write watched words". */
export function WatchedWords({ lead }: { lead: boolean }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        {say.watchedWords}
      </Button>
      <Sheet title={say.wordsThatAreLookedAtFirst} open={open} onClose={() => setOpen(false)}>
        <List lead={lead} onDone={() => setOpen(false)} />
      </Sheet>
    </>
  )
}

function List({ lead, onDone }: { lead: boolean; onDone: () => void }) {
  const cache = useQueryClient()
  const list = useQuery({ queryKey: [PATH], queryFn: () => get<WatchedList>(PATH) })
  const [typed, setTyped] = useState<string | null>(null)
  const keep = useMutation({
    mutationFn: (words: string[]) => put<WatchedList>(PATH, { words, was: list.data?.words }),
    onSuccess: (kept) => {
      cache.setQueryData([PATH], kept)
      onDone()
    },
  })
  if (list.error) return <ProblemNote problem={list.error} />
  if (!list.data) return <LoadingNote what={say.theList} />
  const text = typed ?? list.data.words.join('\n')
  return (
    <>
      <chakra.p mb="8px" color="ink2">
        {say.aMessage}
      </chakra.p>
      <TextArea
        aria-label={say.oneWordOrPhrase}
        rows={9}
        readOnly={!lead}
        value={text}
        onChange={(event) => setTyped(event.target.value)}
      />
      <ProblemNote problem={keep.error} compact />
      <Flex justify="space-between" align="center" mt="8px" color="ink2" fontSize="14px">
        <span>{say.countsInEveryLesson(lead)}</span>
        {lead && (
          <Button look="main" disabled={keep.isPending || typed === null} onClick={() => keep.mutate(text.split('\n'))}>
            {say.keepThisList}
          </Button>
        )}
      </Flex>
    </>
  )
}
