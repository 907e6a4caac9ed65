import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { accountWords } from '../../languages/account'
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
  return <Page title={accountWords().yourAccount}>{() => <Own />}</Page>
}

function Own() {
  const say = accountWords()
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<Account>('/api/account') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={say.fetchingAccount} />
  return (
    <Box maxW="1060px" mx="auto" px="20px" py="18px">
      <chakra.h1 fontSize="25px">{say.yourAccount}</chakra.h1>
      <chakra.p color="ink2" mb="14px">
        {data.name}
        {say.signingInAs} <strong>{data.signIn || say.nobodyNoAccount}</strong>
      </chakra.p>
      {data.missing !== 'NOTHING' && (
        <chakra.p role="status" bg="mark" color="onMark" px="12px" py="8px" mb="14px" fontWeight="650">
          {data.missing === 'OWN_PASSWORD' ? say.chooseOwn : say.factorAsked}
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
  const say = accountWords()
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
      aria-label={say.changePassword}
      onSubmit={(event) => {
        event.preventDefault()
        if (!differs) save.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        {say.password}
      </chakra.h2>
      <TextField
        label={account.missing === 'OWN_PASSWORD' ? say.codeCameIn : say.passwordNow}
        type="password"
        autoComplete="current-password"
        value={form.current}
        onChange={(event) => setForm({ ...form, current: event.target.value })}
        required
      />
      <TextField
        label={say.newPassword}
        hint={say.newPasswordHint}
        type="password"
        autoComplete="new-password"
        value={form.password}
        onChange={(event) => setForm({ ...form, password: event.target.value })}
        required
      />
      <TextField
        label={say.sameAgain}
        hint={differs ? say.notTheSame : undefined}
        type="password"
        autoComplete="new-password"
        value={form.again}
        onChange={(event) => setForm({ ...form, again: event.target.value })}
        required
      />
      <ProblemNote problem={save.error} compact />
      <Button type="submit" look="main" disabled={save.isPending || differs}>
        {say.changeIt}
      </Button>
      {save.isSuccess && (
        <chakra.p role="status" mt="6px">
          {say.changed}
        </chakra.p>
      )}
    </chakra.form>
  )
}

function Factor({ account }: { account: Account }) {
  const refresh = useRefresh()
  const say = accountWords()
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
      label={say.yourPassword}
      type="password"
      autoComplete="current-password"
      value={password}
      onChange={(event) => setPassword(event.target.value)}
      required
    />
  )
  return (
    <Box as="section" aria-label={say.factor}>
      <chakra.h2 fontSize="17px" mb="6px">
        {say.factor}
      </chakra.h2>
      {confirm.data && <Recovery codes={confirm.data.codes} />}
      {account.factor && !confirm.data && (
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            end.mutate()
          }}
        >
          <chakra.p mb="8px">{say.factorOn(account.recoveryCodes)}</chakra.p>
          {ownPassword}
          <ProblemNote problem={end.error} compact />
          <Button type="submit" look="stop" disabled={end.isPending}>
            {say.endFactor}
          </Button>
        </chakra.form>
      )}
      {!account.factor && !offer.data && (
        <>
          <chakra.p mb="8px" color="ink2">
            {say.factorWhat}
          </chakra.p>
          <ProblemNote problem={offer.error} compact />
          <Button disabled={offer.isPending} onClick={() => offer.mutate()}>
            {say.setUpFactor}
          </Button>
        </>
      )}
      {offer.data && (
        <chakra.form
          aria-label={say.setUpFactor}
          onSubmit={(event) => {
            event.preventDefault()
            confirm.mutate()
          }}
        >
          <chakra.p mb="6px">{say.letProgramRead}</chakra.p>
          <Flex gap="14px" align="start" mb="10px">
            <img
              alt={say.secretPicture}
              width="150"
              height="150"
              src={`data:image/svg+xml;utf8,${encodeURIComponent(offer.data.picture)}`}
            />
            <Box fontFamily="mono" fontSize="13px" overflowWrap="anywhere">
              {offer.data.secret.match(/.{1,4}/g)?.join(' ')}
            </Box>
          </Flex>
          <TextField
            label={say.digitsNow}
            inputMode="numeric"
            autoComplete="one-time-code"
            value={code}
            onChange={(event) => setCode(event.target.value)}
            required
          />
          {ownPassword}
          <ProblemNote problem={confirm.error} compact />
          <Button type="submit" look="main" disabled={confirm.isPending}>
            {say.useIt}
          </Button>
        </chakra.form>
      )}
    </Box>
  )
}

function Recovery({ codes }: { codes: string[] }) {
  return (
    <Box role="status" border="1.5px solid" borderColor="ink" bg="sheet" px="14px" py="10px" mb="12px">
      <chakra.p fontWeight="650">{accountWords().keepCodes}</chakra.p>
      <chakra.ul fontFamily="mono" my="8px" listStyleType="none" css={{ columns: 2 }}>
        {codes.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </chakra.ul>
      <CopyButton text={codes.join('\n')}>{accountWords().copyCodes}</CopyButton>
    </Box>
  )
}

/** What a browser says of itself, in three words. */
function browserOf(said: string): string {
  const program = /(Firefox|Edg|Chrome|Safari)\/(\d+)/.exec(said)
  const system = /(Windows|Macintosh|Android|iPhone|iPad|Linux)/.exec(said)
  if (!program && !system) return said || accountWords().unknownProgram
  return [
    program && `${program[1] === 'Edg' ? 'Edge' : program[1]} ${program[2]}`,
    system?.[1] && accountWords().onSystem(system[1]),
  ]
    .filter(Boolean)
    .join(' ')
}

function SignIns({ account }: { account: Account }) {
  const say = accountWords()
  const time = useSchoolTime()
  const refresh = useRefresh()
  const end = useMutation({ mutationFn: (id: string) => remove(`/api/account/sign-ins/${id}`), onSuccess: refresh })
  return (
    <Box as="section" aria-label={say.whereSignedIn} mt="26px">
      <chakra.h2 fontSize="17px" mb="6px">
        {say.whereSignedIn}
      </chakra.h2>
      <Box bg="sheet" borderTop="1.5px solid" borderColor="ink">
        {account.signIns.map((one) => (
          <Flex key={one.id} gap="14px" px="10px" py="5px" align="center" borderBottom="1px solid" borderColor="line" wrap="wrap">
            <Box flex="1 1 260px" overflowWrap="anywhere">
              {browserOf(one.browser)}
              {one.here && <strong> · {say.here}</strong>}
            </Box>
            <Box color="ink2" fontSize="13px">
              {say.since(time.day(one.began), time.clock(one.began), time.clock(one.expires))}
            </Box>
            {!one.here && (
              <Button size="small" disabled={end.isPending} onClick={() => end.mutate(one.id)}>
                {say.endIt}
              </Button>
            )}
          </Flex>
        ))}
      </Box>
      <ProblemNote problem={end.error} compact />
    </Box>
  )
}
