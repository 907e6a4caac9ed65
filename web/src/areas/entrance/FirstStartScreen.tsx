import { chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Navigate } from 'react-router'
import { say } from '../../languages/en/staff/entrance'
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
  if (!data) return <LoadingNote what={say.theSchool} />
  if (data.me) return <Navigate to="/today" replace />
  if (data.founded) return <Navigate to="/sign-in" replace />
  const box = (field: keyof typeof form) => ({
    value: form[field],
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [field]: event.target.value }),
    required: true,
  })
  return (
    <Entrance title={say.setUpYourSchool}>
      <chakra.p color="ink2" mb="14px">
        {say.thisMakesTheFirstAccount}
      </chakra.p>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          begin.mutate()
        }}
      >
        <TextField label={say.setupWord} hint={say.itWasPrintedWhere} autoComplete="off" {...box('setupWord')} />
        <TextField label={say.school} {...box('school')} />
        <TextField label={say.timeZone} hint={say.allTimesAreTold} {...box('zone')} />
        <TextField label={say.yourName} autoComplete="name" {...box('name')} />
        <TextField label={say.nameToSign} autoComplete="username" {...box('signIn')} />
        <TextField
          label={say.password}
          hint={say.lettersOrSignsAtLeast}
          type="password"
          autoComplete="new-password"
          {...box('password')}
        />
        <ProblemNote problem={begin.error} />
        <Button type="submit" look="main" size="large" disabled={begin.isPending}>
          {say.begin}
        </Button>
      </chakra.form>
    </Entrance>
  )
}
