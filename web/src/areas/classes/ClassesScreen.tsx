import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { get, post } from '../../shared/api/http'
import type { ClassLine, Me } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'

export default function ClassesScreen() {
  return <Page title="Classes">{(me) => <List me={me} />}</Page>
}

function List({ me }: { me: Me }) {
  const [making, setMaking] = useState(false)
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['classes'], queryFn: () => get<ClassLine[]>('/api/classes') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the classes" />
  return (
    <Box maxW="960px" mx="auto" px="20px" py="18px">
      <Flex align="center" justify="space-between" mb="10px">
        <chakra.h1 fontSize="25px">{me.position === 'LEAD' ? 'All classes' : 'Your classes'}</chakra.h1>
        {me.position === 'TEACHER' && (
          <Button look="main" onClick={() => setMaking(true)}>
            Make a class
          </Button>
        )}
      </Flex>
      {data.length === 0 && (
        <EmptyNote>
          {me.position === 'LEAD'
            ? 'No teacher has made a class yet.'
            : 'You have no class yet. Make one, then import its roster.'}
        </EmptyNote>
      )}
      {data.length > 0 && (
        <chakra.table
          w="100%"
          bg="sheet"
          borderTop="1.5px solid"
          borderColor="ink"
          css={{
            '& td, & th': {
              padding: '6px 10px',
              borderBottom: '1px solid var(--chakra-colors-line)',
              textAlign: 'left',
            },
          }}
        >
          <thead>
            <chakra.tr fontSize="12px" color="ink2">
              <th>Class</th>
              <th>Pupils</th>
              <th>Adults</th>
              <th>Next lesson</th>
            </chakra.tr>
          </thead>
          <tbody>
            {data.map((one) => (
              <tr key={one.id}>
                <chakra.td fontWeight="640">
                  <Link to={`/classes/${one.id}`}>{one.title}</Link>
                </chakra.td>
                <chakra.td fontFamily="mono" fontSize="13px">
                  {one.pupils}
                </chakra.td>
                <chakra.td color="ink2">{one.adults.join(', ')}</chakra.td>
                <chakra.td color="ink2">{one.next ? `${time.day(one.next)}, ${time.clock(one.next)}` : 'none planned'}</chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      )}
      <Sheet title="Make a class" open={making} onClose={() => setMaking(false)}>
        <MakeClass me={me} />
      </Sheet>
    </Box>
  )
}

function MakeClass({ me }: { me: Me }) {
  const [form, setForm] = useState({ title: '', subject: '', year: 8, secondAdult: '' })
  const navigate = useNavigate()
  const adults = useQuery({
    queryKey: ['adults'],
    queryFn: () => get<{ id: string; name: string }[]>('/api/adults'),
  })
  const make = useMutation({
    mutationFn: () => post<ClassLine>('/api/classes', form),
    onSuccess: (made) => navigate(`/classes/${made.id}`),
  })
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        make.mutate()
      }}
    >
      <TextField
        label="Title"
        hint="Such as Harbour Law 9. No two classes have the same."
        value={form.title}
        onChange={(event) => setForm({ ...form, title: event.target.value })}
        required
      />
      <TextField
        label="Subject"
        hint="What it is about, such as Harbour Law; attendance is also counted by it."
        maxLength={80}
        value={form.subject}
        onChange={(event) => setForm({ ...form, subject: event.target.value })}
      />
      <TextField
        label="Year group"
        type="number"
        min={0}
        max={13}
        hint="0 for several year groups"
        value={form.year}
        onChange={(event) => setForm({ ...form, year: Number(event.target.value) })}
      />
      <Labelled label="Second adult" hint="You are the lead adult.">
        {(id) => (
          <Select id={id} value={form.secondAdult} onChange={(event) => setForm({ ...form, secondAdult: event.target.value })}>
            <option value="">nobody</option>
            {adults.data
              ?.filter((one) => one.id !== me.id)
              .map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
          </Select>
        )}
      </Labelled>
      <ProblemNote problem={make.error} />
      <Button type="submit" look="main" disabled={make.isPending}>
        Make the class
      </Button>
    </chakra.form>
  )
}
