import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/charter'
import { get, post, remove } from '../../shared/api/http'
import type { ClassLine, ReadySet } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

const KEY = ['sets']

/** The ready-made sets: what each says, who uses it, and making one's own. */
export default function SetsScreen() {
  return <Page title={say.readyMadeSets}>{() => <Sets />}</Page>
}

function Sets() {
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<ReadySet[]>('/api/sets') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theSets} />
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 320px' }} gap="28px" maxW="1120px" mx="auto" px="20px" py="18px">
      <Box>
        <chakra.h1 fontSize="27px">{say.readyMadeSets}</chakra.h1>
        <chakra.p color="ink2" mb="10px" maxW="640px">
          {say.bundlesOfSettings}
        </chakra.p>
        {data.map((set) => (
          <OneSet key={set.id} set={set} />
        ))}
      </Box>
      <NewSet sets={data} />
    </Grid>
  )
}

function OneSet({ set }: { set: ReadySet }) {
  const cache = useQueryClient()
  const [sure, setSure] = useState(false)
  const drop = useMutation({
    mutationFn: () => remove<ReadySet[]>(`/api/sets/${set.id}`),
    onSuccess: (sets) => cache.setQueryData(KEY, sets),
    onError: () => setSure(false),
  })
  return (
    <chakra.section bg="sheet" borderTop="1.5px solid" borderColor="ink" px="14px" py="8px" mb="10px" aria-label={set.name}>
      <Flex justify="space-between" gap="12px" wrap="wrap">
        <Box>
          <chakra.h2 fontSize="17px">
            {set.name} {!set.ofSchool && <chakra.span fontSize="12px">{say.yourOwnATeachersOwn(set.own)}</chakra.span>}
          </chakra.h2>
          <p>{set.purpose}</p>
        </Box>
        <Flex gap="8px" align="flex-start">
          <Link to={`/rules/set:${set.id}`}>
            <chakra.span textDecoration="underline">{say.openAndChangeOpen(set.own)}</chakra.span>
          </Link>
          {set.own &&
            (sure ? (
              <Button size="small" look="stop" onClick={() => drop.mutate()}>
                {say.delete(set.name)}
              </Button>
            ) : (
              <Button size="small" onClick={() => setSure(true)}>
                {say.deleteButton}
              </Button>
            ))}
        </Flex>
      </Flex>
      <chakra.ul fontSize="12.5px" color="ink2" css={{ columns: 2, columnGap: '18px' }} listStyleType="none">
        {set.says.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </chakra.ul>
      <chakra.p fontSize="12.5px" mt="3px">
        {say.noClassUsesItUsed(set.usedBy.length, set.usedBy.join(', '))}
      </chakra.p>
      <ProblemNote problem={drop.error} compact />
    </chakra.section>
  )
}

function NewSet({ sets }: { sets: ReadySet[] }) {
  const cache = useQueryClient()
  const [name, setName] = useState('')
  const [purpose, setPurpose] = useState('')
  const [copyOf, setCopyOf] = useState('')
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => get<ClassLine[]>('/api/classes') })
  const add = useMutation({
    mutationFn: () => post<ReadySet[]>('/api/sets', { name, purpose, copyOf: copyOf === '' ? null : copyOf }),
    onSuccess: (all) => {
      cache.setQueryData(KEY, all)
      setName('')
      setPurpose('')
    },
  })
  return (
    <chakra.form
      alignSelf="start"
      onSubmit={(event) => {
        event.preventDefault()
        add.mutate()
      }}
    >
      <chakra.h2 fontSize="17px" mb="6px">
        {say.makeASet}
      </chakra.h2>
      <TextField label={say.name} required maxLength={60} value={name} onChange={(event) => setName(event.target.value)} />
      <TextField label={say.whatFor} maxLength={300} value={purpose} onChange={(event) => setPurpose(event.target.value)} />
      <Labelled label={say.beginWith} hint={say.aCopyOfItsSettings}>
        {(id) => (
          <Select id={id} value={copyOf} onChange={(event) => setCopyOf(event.target.value)}>
            <option value="">{say.nothing}</option>
            <optgroup label={say.sets}>
              {sets.map((one) => (
                <option key={one.id} value={`set:${one.id}`}>
                  {one.name}
                </option>
              ))}
            </optgroup>
            <optgroup label={say.whatAClassHasSet}>
              {classes.data?.map((one) => (
                <option key={one.id} value={`class:${one.id}`}>
                  {one.title}
                </option>
              ))}
            </optgroup>
          </Select>
        )}
      </Labelled>
      <ProblemNote problem={add.error} compact />
      <Button type="submit" look="main" disabled={add.isPending}>
        {say.makeIt}
      </Button>
    </chakra.form>
  )
}
