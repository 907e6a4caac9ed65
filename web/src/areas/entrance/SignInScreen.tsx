import { chakra, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useState } from 'react'
import { Navigate, useLocation } from 'react-router'
import { ChooseLanguage } from '../../languages/ChooseLanguage'
import { ownWords } from '../../languages/own'
import { post, Problem } from '../../shared/api/http'
import type { Standing } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Entrance } from './Entrance'

const DemoPeople = lazy(() => import('./DemoPeople'))

export default function SignInScreen() {
  const { data, error } = useQuery(standing)
  const location = useLocation()
  const cache = useQueryClient()
  const [name, setName] = useState('')
  const [password, setPassword] = useState('')
  const [code, setCode] = useState('')
  const say = ownWords()
  const arrive = (now: Standing) => cache.setQueryData(standing.queryKey, now)
  const signIn = useMutation({
    mutationFn: () => post<Standing>('/api/session', { name, password, code: code === '' ? null : code }),
    onSuccess: arrive,
  })
  const type = signIn.error instanceof Problem ? signIn.error.body.type : ''
  const asksForCode = type.includes('second-factor') || code !== ''
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={say.fetchingSchool} />
  if (!data.founded) return <Navigate to="/first-start" replace />
  if (data.me) return <Navigate to={(location.state as { from?: string } | null)?.from ?? '/today'} replace />
  return (
    <Entrance title={say.signInTo(data.school)} wide={data.demo}>
      <Grid templateColumns={{ base: '1fr', md: data.demo ? '300px 1fr' : '1fr' }} gap="32px">
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            signIn.mutate()
          }}
        >
          <TextField
            label={say.name}
            autoComplete="username"
            value={name}
            onChange={(event) => setName(event.target.value)}
            required
          />
          <TextField
            label={say.password}
            type="password"
            autoComplete="current-password"
            value={password}
            onChange={(event) => setPassword(event.target.value)}
            required
          />
          {asksForCode && (
            <TextField
              label={say.codeOfTelephone}
              hint={say.codeHint}
              autoComplete="one-time-code"
              autoFocus
              value={code}
              onChange={(event) => setCode(event.target.value)}
              required
            />
          )}
          <ProblemNote problem={signIn.error} />
          <Button type="submit" look="main" size="large" disabled={signIn.isPending}>
            {say.signIn}
          </Button>
          <chakra.p mt="16px" color="ink2" fontSize="14px">
            {say.byLink}
          </chakra.p>
          <ChooseLanguage />
        </chakra.form>
        {data.demo && (
          <Suspense fallback={null}>
            <DemoPeople />
          </Suspense>
        )}
      </Grid>
    </Entrance>
  )
}
