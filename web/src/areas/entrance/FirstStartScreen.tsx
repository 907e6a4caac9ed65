import { chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Navigate } from 'react-router'
import { post } from '../../shared/api/http'
import type { Standing } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Entrance } from './Entrance'

const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone

/** The first start makes the school and the account of its first safeguarding lead (need N2). */
export default function FirstStartScreen() {
  const { data } = useQuery(standing)
  const cache = useQueryClient()
  const [form, setForm] = useState({ school: '', zone: HERE, name: '', signIn: '', password: '', setupWord: '' })
  const begin = useMutation({
    mutationFn: () => post<Standing>('/api/first-start', form),
    onSuccess: (now) => cache.setQueryData(standing.queryKey, now),
  })
  if (!data) return <LoadingNote what="the school" />
  if (data.me) return <Navigate to="/today" replace />
  if (data.founded) return <Navigate to="/sign-in" replace />
  const box = (field: keyof typeof form) => ({
    value: form[field],
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [field]: event.target.value }),
    required: true,
  })
  return (
    <Entrance title="Set up your school">
      <chakra.p color="ink2" mb="14px">
        This makes the first account: a safeguarding lead, who writes the charter. It can be done once.
      </chakra.p>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          begin.mutate()
        }}
      >
        <TextField
          label="Setup word"
          hint="It was printed where the program was started. It shows that you are at the machine."
          autoComplete="off"
          {...box('setupWord')}
        />
        <TextField label="School" {...box('school')} />
        <TextField label="Time zone" hint="All times are told in it." {...box('zone')} />
        <TextField label="Your name" autoComplete="name" {...box('name')} />
        <TextField label="Name to sign in with" autoComplete="username" {...box('signIn')} />
        <TextField
          label="Password"
          hint="10 letters or signs at least. Three or four words that have nothing to do with each other are good."
          type="password"
          autoComplete="new-password"
          {...box('password')}
        />
        <ProblemNote problem={begin.error} />
        <Button type="submit" look="main" size="large" disabled={begin.isPending}>
          Begin
        </Button>
      </chakra.form>
    </Entrance>
  )
}
