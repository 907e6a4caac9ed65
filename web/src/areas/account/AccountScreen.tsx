import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { get, post, put, remove } from '../../shared/api/http'
import type { Account, OfferedFactor } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { CopyButton } from '../../shared/ui/CopyButton'
import { TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { SignOut } from '../../shared/ui/SignOut'

const KEY = ['account']

/** One's own account: password, second factor, and where one is signed in (need N7). */
export default function AccountScreen() {
  return <Page title="Your account">{() => <Own />}</Page>
}

function Own() {
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<Account>('/api/account') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="your account" />
  return (
    <Box maxW="1060px" mx="auto" px="20px" py="18px">
      <chakra.h1 fontSize="25px">Your account</chakra.h1>
      <chakra.p color="ink2" mb="14px">
        {data.name}, signing in as <strong>{data.signIn || 'nobody: you have no account'}</strong>
      </chakra.p>
      {data.missing !== 'NOTHING' && (
        <chakra.p role="status" bg="mark" color="onMark" px="12px" py="8px" mb="14px" fontWeight="650">
          {data.missing === 'OWN_PASSWORD'
            ? 'You came in by a code that counts once. Choose a password of your own; then everything opens.'
            : 'Your school asks for a second factor of those in your position. Set it up; then everything opens.'}
        </chakra.p>
      )}
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="36px">
        <Password account={data} />
        <Factor account={data} />
      </Grid>
      <SignIns account={data} />
      <Box mt="22px">
        <SignOut size="large" />
      </Box>
    </Box>
  )
}

/** What was changed shows on this page and decides what else opens. */
function useRefresh() {
  const cache = useQueryClient()
  return () => Promise.all([cache.invalidateQueries({ queryKey: KEY }), cache.invalidateQueries({ queryKey: standing.queryKey })])
}

function Password({ account }: { account: Account }) {
  const refresh = useRefresh()
  const [form, setForm] = useState({ current: '', password: '', again: '' })
  const differs = form.again !== '' && form.again !== form.password
  const save = useMutation({
    mutationFn: () => put('/api/account/password', { current: form.current, password: form.password }),
    onSuccess: () => {
      setForm({ current: '', password: '', again: '' })
      return refresh()
    },
  })
  return (
    <chakra.form
      aria-label="Change the password"
      onSubmit={(event) => {
        event.preventDefault()
        if (!differs) save.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        Password
      </chakra.h2>
      <TextField
        label={account.missing === 'OWN_PASSWORD' ? 'The code you came in with' : 'Your password now'}
        type="password"
        autoComplete="current-password"
        value={form.current}
        onChange={(event) => setForm({ ...form, current: event.target.value })}
        required
      />
      <TextField
        label="New password"
        hint="10 letters or signs at least. Three or four words that have nothing to do with each other are good."
        type="password"
        autoComplete="new-password"
        value={form.password}
        onChange={(event) => setForm({ ...form, password: event.target.value })}
        required
      />
      <TextField
        label="The same again"
        hint={differs ? 'These two are not the same.' : undefined}
        type="password"
        autoComplete="new-password"
        value={form.again}
        onChange={(event) => setForm({ ...form, again: event.target.value })}
        required
      />
      <ProblemNote problem={save.error} compact />
      <Button type="submit" look="main" disabled={save.isPending || differs}>
        Change it
      </Button>
      {save.isSuccess && (
        <chakra.p role="status" mt="6px">
          Changed. Wherever else you were signed in, you are not any more.
        </chakra.p>
      )}
    </chakra.form>
  )
}

function Factor({ account }: { account: Account }) {
  const refresh = useRefresh()
  const [password, setPassword] = useState('')
  const [code, setCode] = useState('')
  const offer = useMutation({ mutationFn: () => post<OfferedFactor>('/api/account/factor') })
  const confirm = useMutation({
    mutationFn: () => put<{ codes: string[] }>('/api/account/factor', { password, code }),
    onSuccess: () => {
      offer.reset()
      setPassword('')
      setCode('')
      return refresh()
    },
  })
  const end = useMutation({
    mutationFn: () => post('/api/account/factor/end', { password }),
    onSuccess: () => {
      setPassword('')
      confirm.reset()
      return refresh()
    },
  })
  const ownPassword = (
    <TextField
      label="Your password"
      type="password"
      autoComplete="current-password"
      value={password}
      onChange={(event) => setPassword(event.target.value)}
      required
    />
  )
  return (
    <Box as="section" aria-label="Second factor">
      <chakra.h2 fontSize="17px" mb="6px">
        Second factor
      </chakra.h2>
      {confirm.data && <Recovery codes={confirm.data.codes} />}
      {account.factor && !confirm.data && (
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            end.mutate()
          }}
        >
          <chakra.p mb="8px">
            A code of your telephone is asked for besides the password. {account.recoveryCodes} recovery{' '}
            {account.recoveryCodes === 1 ? 'code is' : 'codes are'} left.
          </chakra.p>
          {ownPassword}
          <ProblemNote problem={end.error} compact />
          <Button type="submit" look="stop" disabled={end.isPending}>
            End the second factor
          </Button>
        </chakra.form>
      )}
      {!account.factor && !offer.data && (
        <>
          <chakra.p mb="8px" color="ink2">
            A program for one-time codes on your telephone then shows six digits, which you give besides your password.
          </chakra.p>
          <ProblemNote problem={offer.error} compact />
          <Button disabled={offer.isPending} onClick={() => offer.mutate()}>
            Set up a second factor
          </Button>
        </>
      )}
      {offer.data && (
        <chakra.form
          aria-label="Set up a second factor"
          onSubmit={(event) => {
            event.preventDefault()
            confirm.mutate()
          }}
        >
          <chakra.p mb="6px">Let the program on your telephone read this, or type the secret into it.</chakra.p>
          <Flex gap="14px" align="start" mb="10px">
            <img
              alt="The secret as a picture, for the telephone’s camera"
              width="150"
              height="150"
              src={`data:image/svg+xml;utf8,${encodeURIComponent(offer.data.picture)}`}
            />
            <Box fontFamily="mono" fontSize="13px" overflowWrap="anywhere">
              {offer.data.secret.match(/.{1,4}/g)?.join(' ')}
            </Box>
          </Flex>
          <TextField
            label="The six digits it shows now"
            inputMode="numeric"
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            required
          />
          {ownPassword}
          <ProblemNote problem={confirm.error} compact />
          <Button type="submit" look="main" disabled={confirm.isPending}>
            Use it from now on
          </Button>
        </chakra.form>
      )}
    </Box>
  )
}

function Recovery({ codes }: { codes: string[] }) {
  return (
    <Box role="status" border="1.5px solid" borderColor="ink" bg="sheet" px="14px" py="10px" mb="12px">
      <chakra.p fontWeight="650">Set up. Keep these codes on paper: each counts once, on the day the telephone is lost.</chakra.p>
      <chakra.ul fontFamily="mono" my="8px" listStyleType="none" css={{ columns: 2 }}>
        {codes.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </chakra.ul>
      <CopyButton text={codes.join('\n')}>Copy the codes</CopyButton>
    </Box>
  )
}

/** What a browser says of itself, in three words. */
function browserOf(said: string): string {
  const program = /(Firefox|Edg|Chrome|Safari)\/(\d+)/.exec(said)
  const system = /(Windows|Macintosh|Android|iPhone|iPad|Linux)/.exec(said)
  if (!program && !system) return said || 'A program that does not say what it is'
  return [program && `${program[1] === 'Edg' ? 'Edge' : program[1]} ${program[2]}`, system && `on ${system[1]}`]
    .filter(Boolean)
    .join(' ')
}

function SignIns({ account }: { account: Account }) {
  const time = useSchoolTime()
  const refresh = useRefresh()
  const end = useMutation({ mutationFn: (id: string) => remove(`/api/account/sign-ins/${id}`), onSuccess: refresh })
  return (
    <Box as="section" aria-label="Where you are signed in" mt="26px">
      <chakra.h2 fontSize="17px" mb="6px">
        Where you are signed in
      </chakra.h2>
      <Box bg="sheet" borderTop="1.5px solid" borderColor="ink">
        {account.signIns.map((one) => (
          <Flex key={one.id} gap="14px" px="10px" py="5px" align="center" borderBottom="1px solid" borderColor="line" wrap="wrap">
            <Box flex="1 1 260px" overflowWrap="anywhere">
              {browserOf(one.browser)}
              {one.here && <strong> · here</strong>}
            </Box>
            <Box color="ink2" fontSize="13px">
              since {time.day(one.began)}, {time.clock(one.began)}, until {time.clock(one.expires)}
            </Box>
            {!one.here && (
              <Button size="small" disabled={end.isPending} onClick={() => end.mutate(one.id)}>
                End it
              </Button>
            )}
          </Flex>
        ))}
      </Box>
      <ProblemNote problem={end.error} compact />
    </Box>
  )
}
