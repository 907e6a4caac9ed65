import { chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { post } from '../../shared/api/http'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'

/** Out of the lesson by two presses: a slip of the thumb costs nobody the place. */
export function LeaveButton({ onLeave }: { onLeave: () => void }) {
  const [asked, setAsked] = useState(false)
  if (!asked) return <Button onClick={() => setAsked(true)}>Leave the lesson</Button>
  return (
    <Flex gap="6px" align="center" role="group" aria-label="Leave the lesson?">
      <Button look="main" onClick={onLeave}>
        Leave
      </Button>
      <Button autoFocus onClick={() => setAsked(false)}>
        Stay
      </Button>
    </Flex>
  )
}

/** The way back for who is signed in: one press, and they wait at the door again. Others come by their link. */
export function KnockAgain({ visit, signedIn }: { visit: string; signedIn: boolean }) {
  const navigate = useNavigate()
  const again = useMutation({
    mutationFn: () => post<{ visit: string }>(`/api/seats/${encodeURIComponent(visit)}/knock-again`, {}),
    onSuccess: (knocked) => navigate(`/seat/${knocked.visit}`),
  })
  if (!signedIn) return <chakra.p my="12px">You can open the link in your joining note again and knock.</chakra.p>
  return (
    <>
      <ProblemNote problem={again.error} />
      <Button size="large" my="12px" onClick={() => again.mutate()} disabled={again.isPending}>
        Knock again
      </Button>
    </>
  )
}
