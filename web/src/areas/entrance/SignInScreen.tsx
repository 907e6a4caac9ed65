import { Box, chakra, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Navigate, useLocation, useNavigate } from 'react-router'
import { ChooseLanguage } from '../../languages/ChooseLanguage'
import { ownWords } from '../../languages/own'
import { get, post, Problem } from '../../shared/api/http'
import type { DemoPerson, LessonLine, Standing } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { Button } from '../../shared/ui/Button'
import { TextField, TextInput } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { TOUR } from '../../lesson/tour/asked'
import { Entrance } from './Entrance'

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
        {data.demo && <DemoPeople />}
      </Grid>
    </Entrance>
  )
}

/** Whose lesson is live in the demo, with a bit of everything. */
const GUIDED = 'orla-venn'

const POSITIONS = { LEAD: 'Safeguarding lead', TEACHER: 'Teachers', PUPIL: 'Pupils' }

/** In the demo, everybody is one click away. */
function DemoPeople() {
  const cache = useQueryClient()
  const [wanted, setWanted] = useState('')
  const { data } = useQuery({
    queryKey: ['demo-people'],
    queryFn: () => get<DemoPerson[]>('/api/demo/people'),
  })
  const become = useMutation({
    mutationFn: (id: string) => post(`/api/demo/session/${id}`),
    onSuccess: () => cache.invalidateQueries({ queryKey: standing.queryKey }),
  })
  const navigate = useNavigate()
  const tour = useMutation({
    mutationFn: async () => {
      await post(`/api/demo/session/${GUIDED}`)
      const live = (await get<LessonLine[]>('/api/today')).find((one) => one.mine && one.phase === 'OPEN')
      await navigate(live ? `/lessons/${encodeURIComponent(live.id)}/desk?${TOUR}` : '/today')
      await cache.invalidateQueries({ queryKey: standing.queryKey })
    },
  })
  const found = (data ?? []).filter((one) => one.name.toLowerCase().includes(wanted.toLowerCase()))
  return (
    <chakra.section aria-label="People of the demo">
      <chakra.h2 fontSize="17px" mb="6px">
        This is the demo: be anybody
      </chakra.h2>
      <chakra.p mb="8px">
        <Button disabled={tour.isPending} onClick={() => tour.mutate()}>
          Show me around in a live lesson
        </Button>
      </chakra.p>
      <ProblemNote problem={tour.error} compact />
      <TextInput
        aria-label="Find a person"
        placeholder="Find a person"
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
        mb="6px"
      />
      <ProblemNote problem={become.error} />
      <Box
        maxH="360px"
        overflowY="auto"
        borderTop="1.5px solid"
        borderColor="ink"
        tabIndex={0}
        role="region"
        aria-label="List of people"
      >
        {(Object.keys(POSITIONS) as (keyof typeof POSITIONS)[]).map((position) => {
          const people = found.filter((one) => one.position === position)
          return people.length === 0 ? null : (
            <Box key={position}>
              <chakra.h3 fontSize="13px" color="ink2" mt="8px">
                {POSITIONS[position]}
              </chakra.h3>
              {people.map((one) => (
                <chakra.button
                  key={one.id}
                  type="button"
                  display="flex"
                  justifyContent="space-between"
                  gap="12px"
                  w="100%"
                  py="4px"
                  px="4px"
                  cursor="pointer"
                  borderBottom="1px solid"
                  borderColor="line"
                  _hover={{ bg: 'markSoft' }}
                  textAlign="start"
                  onClick={() => become.mutate(one.id)}
                >
                  <chakra.span fontWeight="600" whiteSpace="nowrap">
                    {one.name}
                  </chakra.span>
                  <chakra.span fontSize="13px" color="ink2">
                    {one.about}
                  </chakra.span>
                </chakra.button>
              ))}
            </Box>
          )
        })}
      </Box>
    </chakra.section>
  )
}
