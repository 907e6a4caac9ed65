import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/questions'
import { edit, EDITED, get } from '../../shared/api/http'
import type { WelcomePage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'

/** The welcome that who arrives reads at the door and first at the seat. @param path of the class or the lesson */
export function WelcomeOf({ path }: { path: string }) {
  const cache = useQueryClient()
  const time = useSchoolTime()
  const [text, setText] = useState<string | null>(null)
  const { data } = useQuery({ queryKey: ['welcome', path], queryFn: () => get<WelcomePage>(path), ...EDITED })
  const save = useMutation({
    mutationFn: (words: string) => edit<WelcomePage>(path, { text: words }),
    onSuccess: (next) => {
      cache.setQueryData(['welcome', path], next)
      setText(null)
    },
  })
  if (!data) return null
  return (
    <Box mt="18px" maxW="560px">
      <Labelled label={say.welcome} hint={say.whoArrivesReads}>
        {(id) => (
          <TextArea
            id={id}
            rows={2}
            maxLength={400}
            value={text ?? data.own?.text ?? data.ofClass?.text ?? ''}
            onChange={(event) => setText(event.target.value)}
          />
        )}
      </Labelled>
      <Button disabled={text === null || save.isPending} onClick={() => text !== null && save.mutate(text)}>
        {say.keepTheWelcome}
      </Button>{' '}
      {data.own && (
        <chakra.span fontSize="13px" color="ink2">
          {data.own.by}, {time.day(data.own.at)}
        </chakra.span>
      )}
      <ProblemNote problem={save.error} compact />
    </Box>
  )
}
