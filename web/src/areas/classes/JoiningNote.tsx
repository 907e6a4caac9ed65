import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { post } from '../../shared/api/http'
import type { ClassPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'

/** The link, the word, and the short note to hand out (need C1). */
export function JoiningNote({ page }: { page: ClassPage }) {
  const [copied, setCopied] = useState(false)
  const [renewing, setRenewing] = useState(false)
  const cache = useQueryClient()
  const renew = useMutation({
    mutationFn: () => post<ClassPage>(`/api/classes/${page.id}/link/renew`),
    onSuccess: (next) => {
      cache.setQueryData(['class', page.id], next)
      setRenewing(false)
    },
  })
  return (
    <Box maxW="640px">
      <chakra.dl css={{ '& dt': { fontWeight: 600 }, '& dd': { marginBottom: '10px' } }}>
        <dt>Joining link</dt>
        <chakra.dd fontFamily="mono" fontSize="13px" overflowWrap="anywhere">
          {page.link}
        </chakra.dd>
        <dt>Join word</dt>
        <chakra.dd fontFamily="mono" fontSize="20px">
          {page.word}
        </chakra.dd>
      </chakra.dl>
      <chakra.h2 fontSize="17px" mb="4px">
        Joining note
      </chakra.h2>
      <chakra.pre
        fontFamily="body"
        whiteSpace="pre-wrap"
        overflowWrap="anywhere"
        bg="sheet"
        border="1px solid"
        borderColor="lineStrong"
        px="14px"
        py="10px"
        aria-label="Joining note"
      >
        {page.note}
      </chakra.pre>
      <Flex gap="8px" mt="8px" align="center">
        <Button
          look="main"
          onClick={async () => {
            await navigator.clipboard.writeText(page.note)
            setCopied(true)
          }}
        >
          Copy the note
        </Button>
        {page.mine && <Button onClick={() => setRenewing(true)}>Renew the link…</Button>}
        <span role="status">{copied && 'Copied.'}</span>
      </Flex>
      <Sheet title="Renew the link?" open={renewing} onClose={() => setRenewing(false)}>
        <chakra.p mb="12px">
          The old link counts no more from this moment: who comes with it is told so. Hand out the new note afterwards. Pupils who
          are signed in find the new way by themselves.
        </chakra.p>
        <ProblemNote problem={renew.error} />
        <Flex gap="8px">
          <Button look="main" onClick={() => renew.mutate()}>
            Renew it
          </Button>
          <Button onClick={() => setRenewing(false)}>Keep it</Button>
        </Flex>
      </Sheet>
    </Box>
  )
}
