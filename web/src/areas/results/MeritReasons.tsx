import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/results'
import { edit, EDITED, get } from '../../shared/api/http'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextArea } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'

interface Reasons {
  reasons: string[]
}

/** The school's own list of what merits are given for; written by the lead. */
export function MeritReasons({ mayChange }: { mayChange: boolean }) {
  const cache = useQueryClient()
  const [open, setOpen] = useState(false)
  const [text, setText] = useState<string | null>(null)
  const { data } = useQuery({ queryKey: ['merit-reasons'], queryFn: () => get<Reasons>('/api/merit-reasons'), ...EDITED })
  const save = useMutation({
    mutationFn: (reasons: string[]) => edit<Reasons>('/api/merit-reasons', { reasons }),
    onSuccess: (next) => {
      cache.setQueryData(['merit-reasons'], next)
      setText(null)
      setOpen(false)
    },
  })
  if (!data) return null
  return (
    <>
      <Button look="quiet" onClick={() => setOpen(true)}>
        {say.whatMeritsAreGiven}
      </Button>
      <Sheet title={say.whatMeritsAreGiven} open={open} onClose={() => setOpen(false)}>
        {mayChange ? (
          <>
            <Labelled label={say.reasons} hint={say.oneOnEachLineUp}>
              {(id) => (
                <TextArea
                  id={id}
                  rows={6}
                  value={text ?? data.reasons.join('\n')}
                  onChange={(event) => setText(event.target.value)}
                />
              )}
            </Labelled>
            <Button
              look="main"
              disabled={text === null || save.isPending}
              onClick={() => save.mutate((text ?? '').split('\n').filter((one) => one.trim()))}
            >
              {say.keepTheList}
            </Button>
            <ProblemNote problem={save.error} compact />
          </>
        ) : (
          <p>{data.reasons.join(' · ')}</p>
        )}
      </Sheet>
    </>
  )
}
