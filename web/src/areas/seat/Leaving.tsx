import { chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { seatWords } from '../../languages/seat'
import { post } from '../../shared/api/http'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'

/** Out of the lesson by two presses: a slip of the thumb costs nobody the place. */
export function LeaveButton({ onLeave }: { onLeave: () => void }) {
  const [asked, setAsked] = useState(false)
  const say = seatWords()
  if (!asked) return <Button onClick={() => setAsked(true)}>{say.leaveLesson}</Button>
  return (
    <Flex gap="6px" align="center" role="group" aria-label={say.leaveLessonAsked}>
      <Button look="main" onClick={onLeave}>
        {say.leave}
      </Button>
      <Button autoFocus onClick={() => setAsked(false)}>
        {say.stay}
      </Button>
    </Flex>
  )
}

/** The way back for who is signed in: one press, and they wait at the door again. Others come by their link. */
export function KnockAgain({ visit, signedIn }: { visit: string; signedIn: boolean }) {
  const navigate = useNavigate()
  const say = seatWords()
  const again = useMutation({
    mutationFn: () => post<{ visit: string }>(`/api/seats/${encodeURIComponent(visit)}/knock-again`, {}),
    onSuccess: (knocked) => navigate(`/seat/${knocked.visit}`),
  })
  if (!signedIn) return <chakra.p my="12px">{say.byLinkAgain}</chakra.p>
  return (
    <>
      <ProblemNote problem={again.error} />
      <Button size="large" my="12px" onClick={() => again.mutate()} disabled={again.isPending}>
        {say.knockAgain}
      </Button>
    </>
  )
}
