import { chakra } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { words } from '../../languages/language'
import { post } from '../../shared/api/http'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'

interface OutsideAccountProps {
  /** The address that is signed in, if one is. */
  address?: string
  onSignedIn: (ticket: string, address: string) => void
}

/** Signed in at another place. Its sign-in is a stand-in that ships with the program. */
export function OutsideAccount({ address, onSignedIn }: OutsideAccountProps) {
  const say = words()
  const [wanted, setWanted] = useState('')
  const signIn = useMutation({
    mutationFn: () => post<{ ticket: string }>('/api/outside/accounts', { address: wanted }),
    onSuccess: ({ ticket }) => onSignedIn(ticket, wanted),
  })
  if (address)
    return (
      <chakra.p role="status" mb="14px">
        {say.signedInElsewhere} <strong>{address}</strong>. {say.whatItIsWorth}
      </chakra.p>
    )
  return (
    <Way title={say.otherSchool} onSubmit={() => signIn.mutate()}>
      <TextField
        label={say.addressThere}
        hint={say.addressHint}
        inputMode="email"
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
      />
      <ProblemNote problem={signIn.error} />
      <Button type="submit" disabled={!wanted || signIn.isPending}>
        {say.signInThere}
      </Button>
    </Way>
  )
}

/** A call instead of a browser, also a stand-in: a number, and a voice that reads the house rules. */
export function RingIn({ doorstep }: { doorstep: string }) {
  const navigate = useNavigate()
  const say = words()
  const [number, setNumber] = useState('')
  const ring = useMutation({
    mutationFn: () => post<{ visit: string }>(`${doorstep}/ring`, { number, agreed: true }),
    onSuccess: (rung) => navigate(`/seat/${rung.visit}`),
  })
  return (
    <Way title={say.ringIn} onSubmit={() => ring.mutate()}>
      <TextField
        label={say.yourNumber}
        hint={say.numberHint}
        type="tel"
        value={number}
        onChange={(event) => setNumber(event.target.value)}
      />
      <ProblemNote problem={ring.error} />
      <Button type="submit" disabled={!number || ring.isPending}>
        {say.ring}
      </Button>
    </Way>
  )
}

/** Shut until it is wanted; a form of its own, so that Enter in it does not knock. */
function Way({ title, onSubmit, children }: { title: string; onSubmit: () => void; children: ReactNode }) {
  return (
    <chakra.details my="10px" borderTop="1px solid" borderColor="line" pt="8px">
      <chakra.summary cursor="pointer" fontSize="15.5px" py="4px">
        {title}
      </chakra.summary>
      <chakra.form
        pt="8px"
        onSubmit={(event) => {
          event.preventDefault()
          onSubmit()
        }}
      >
        {children}
      </chakra.form>
    </chakra.details>
  )
}
