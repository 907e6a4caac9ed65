import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { get, post, put } from '../../shared/api/http'
import type { PersonLine, Position } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField, TextInput } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'
import { SchoolFiles } from './SchoolFiles'

const KEY = ['people']
const POSITIONS: Record<Position, string> = { LEAD: 'safeguarding lead', TEACHER: 'teacher', PUPIL: 'pupil' }

/** Everybody of the school and who has an account (need N1). */
export default function PeopleScreen() {
  return <Page title="People">{() => <List />}</Page>
}

function List() {
  const [wanted, setWanted] = useState('')
  const [chosen, setChosen] = useState<PersonLine | null>(null)
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<PersonLine[]>('/api/people') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the people" />
  const found = data.filter((one) => one.name.toLowerCase().includes(wanted.toLowerCase()))
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 340px' }} gap="32px" maxW="1060px" mx="auto" px="20px" py="18px">
      <Box>
        <chakra.h1 fontSize="25px">People</chakra.h1>
        <chakra.p color="ink2" mb="8px">
          {data.length} in all. Pupils without an account join by link and join word.
        </chakra.p>
        <TextInput
          aria-label="Find a person"
          placeholder="Find a person"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          mb="8px"
        />
        <Box bg="sheet" borderTop="1.5px solid" borderColor="ink">
          {found.slice(0, 100).map((one) => (
            <Flex key={one.id} px="10px" py="4px" gap="10px" align="center" borderBottom="1px solid" borderColor="line">
              <Box flex="1" fontWeight="600" overflowWrap="anywhere">
                {one.name}
              </Box>
              <Box w="150px" color="ink2">
                {POSITIONS[one.position]}
                {one.year > 0 && `, year ${one.year}`}
              </Box>
              <Box w="150px" color="ink2" fontSize="13px" truncate>
                {one.signIn || 'no account'}
              </Box>
              <Button size="small" onClick={() => setChosen(one)} aria-label={`Account of ${one.name}`}>
                Account
              </Button>
            </Flex>
          ))}
          {found.length > 100 && <Box p="10px">and {found.length - 100} more: find them by name.</Box>}
          {found.length === 0 && <Box p="10px">Nobody of that name.</Box>}
        </Box>
      </Box>
      <Box>
        <AddPerson />
        <Box mt="28px">
          <SchoolFiles />
        </Box>
      </Box>
      {chosen && <Account key={chosen.id} person={chosen} onClose={() => setChosen(null)} />}
    </Grid>
  )
}

function AddPerson() {
  const cache = useQueryClient()
  const empty = { name: '', position: 'TEACHER' as Position, year: 7, signIn: '', password: '' }
  const [form, setForm] = useState(empty)
  const add = useMutation({
    mutationFn: () => post<PersonLine[]>('/api/people', form),
    onSuccess: (people) => {
      cache.setQueryData(KEY, people)
      setForm(empty)
    },
  })
  return (
    <chakra.form
      aria-label="Add a person"
      onSubmit={(event) => {
        event.preventDefault()
        add.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        Add a person
      </chakra.h2>
      <TextField label="Name" value={form.name} onChange={(event) => setForm({ ...form, name: event.target.value })} required />
      <Labelled label="Is a">
        {(id) => (
          <Select
            id={id}
            value={form.position}
            onChange={(event) => setForm({ ...form, position: event.target.value as Position })}
          >
            {Object.entries(POSITIONS).map(([position, words]) => (
              <option key={position} value={position}>
                {words}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {form.position === 'PUPIL' && (
        <TextField
          label="Year group"
          type="number"
          min={1}
          max={13}
          value={form.year}
          onChange={(event) => setForm({ ...form, year: Number(event.target.value) })}
        />
      )}
      <TextField
        label="Name to sign in with"
        autoComplete="off"
        value={form.signIn}
        onChange={(event) => setForm({ ...form, signIn: event.target.value })}
        required
      />
      <TextField
        label="First password"
        hint="10 letters or signs at least; hand it over in person."
        type="password"
        autoComplete="new-password"
        value={form.password}
        onChange={(event) => setForm({ ...form, password: event.target.value })}
        required
      />
      <ProblemNote problem={add.error} />
      <Button type="submit" look="main" disabled={add.isPending}>
        Add
      </Button>
    </chakra.form>
  )
}

function Account({ person, onClose }: { person: PersonLine; onClose: () => void }) {
  const cache = useQueryClient()
  const [form, setForm] = useState({ signIn: person.signIn, password: '' })
  const save = useMutation({
    mutationFn: () => put<PersonLine[]>(`/api/people/${person.id}/account`, form),
    onSuccess: (people) => {
      cache.setQueryData(KEY, people)
      onClose()
    },
  })
  return (
    <Sheet title={`Account of ${person.name}`} open onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          save.mutate()
        }}
      >
        <TextField
          label="Name to sign in with"
          autoComplete="off"
          value={form.signIn}
          onChange={(event) => setForm({ ...form, signIn: event.target.value })}
          required
        />
        <TextField
          label="New password"
          hint="Whoever is signed in with the old one is signed out."
          type="password"
          autoComplete="new-password"
          value={form.password}
          onChange={(event) => setForm({ ...form, password: event.target.value })}
          required
        />
        <ProblemNote problem={save.error} />
        <Button type="submit" look="main" disabled={save.isPending}>
          Keep
        </Button>
      </chakra.form>
    </Sheet>
  )
}
