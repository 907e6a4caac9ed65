import { chakra } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { say } from '../../languages/en/desk/door'
import { post } from '../../shared/api/http'
import type { Nudged } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'

/** Tells those who have not come that they are missed; nobody twice in ten minutes. */
export function Nudge({ lesson }: { lesson: string }) {
  const nudge = useMutation({ mutationFn: () => post<Nudged>(`/api/lessons/${encodeURIComponent(lesson)}/nudges`, {}) })
  const done = nudge.data
  return (
    <>
      {' '}
      <Button look="quiet" fontSize="12px" disabled={nudge.isPending} onClick={() => nudge.mutate()}>
        {say.nudge}
      </Button>
      <chakra.span role="status" fontSize="12px">
        {nudge.error && say.notSentTryAgain}
        {done && say.nudgedNudgedAMomentAgo(done.nudged)}
      </chakra.span>
    </>
  )
}
