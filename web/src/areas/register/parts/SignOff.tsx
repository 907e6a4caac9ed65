import { chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/register'
import { post } from '../../../shared/api/http'
import type { RegisterPage } from '../../../shared/api/types'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { TextField } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Sheet } from '../../../shared/ui/Sheet'

/** Who has signed, or the button to do it; a signed register is opened again only with a reason. */
export function SignOff({ page, lesson }: { page: RegisterPage; lesson: string }) {
  const cache = useQueryClient()
  const time = useSchoolTime()
  const [reopening, setReopening] = useState(false)
  const [reason, setReason] = useState('')
  const path = `/api/lessons/${encodeURIComponent(lesson)}/register`
  const change = useMutation({
    mutationFn: (order: 'sign' | 'reopen') => post<RegisterPage>(`${path}/${order}`, order === 'reopen' ? { reason } : {}),
    onSuccess: (next) => {
      cache.setQueryData(['register', lesson], next)
      setReopening(false)
      setReason('')
    },
  })
  if (page.draft) return null
  return (
    <Flex gap="10px" align="center" mb="8px" wrap="wrap">
      {page.signed ? (
        <>
          <span role="status">
            {say.signedBy} <strong>{page.signed.by}</strong>, {time.day(page.signed.at)} {time.clock(page.signed.at)}.
          </span>
          {page.signed.reopenable && (
            <Button size="small" onClick={() => setReopening(true)}>
              {say.openItAgain}
            </Button>
          )}
        </>
      ) : (
        page.editable && (
          <>
            <Button look="main" disabled={change.isPending} onClick={() => change.mutate('sign')}>
              {say.signTheRegister}
            </Button>
            <chakra.span color="ink2">{say.itThenStands}</chakra.span>
          </>
        )
      )}
      <ProblemNote problem={reopening ? null : change.error} compact />
      <Sheet title={say.openTheRegisterAgain} open={reopening} onClose={() => setReopening(false)}>
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            change.mutate('reopen')
          }}
        >
          <TextField
            label={say.why}
            hint={say.keptWithWhoSigned}
            value={reason}
            maxLength={300}
            required
            onChange={(event) => setReason(event.target.value)}
          />
          <ProblemNote problem={change.error} compact />
          <Button type="submit" look="main" disabled={change.isPending}>
            {say.openItAgainButton}
          </Button>
        </chakra.form>
      </Sheet>
    </Flex>
  )
}
