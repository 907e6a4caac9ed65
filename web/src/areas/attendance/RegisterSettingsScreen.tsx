import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { edit, EDITED, get } from '../../shared/api/http'
import type { Mark, RegisterSettings } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextField, TextInput } from '../../shared/ui/Fields'
import { MARKS } from '../../shared/ui/MarkBox'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

const KEY = ['register-settings']

/** The school's own codes for marks, and from when on attendance is worth a look. */
export default function RegisterSettingsScreen() {
  return <Page title="Codes and limits">{(me) => <Shown mayChange={me.position === 'LEAD'} />}</Page>
}

function Shown({ mayChange }: { mayChange: boolean }) {
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<RegisterSettings>('/api/register-settings'), ...EDITED })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the school's codes" />
  return <Form key={JSON.stringify(data)} known={data} mayChange={mayChange} />
}

type Limits = RegisterSettings['limits']

const LIMITS: { field: keyof Limits; label: string; min: number; max: number; unit: string }[] = [
  { field: 'inARow', label: 'Absent in a row from', min: 2, max: 20, unit: 'lessons on' },
  { field: 'belowPercent', label: 'There in less than', min: 1, max: 100, unit: '% of four weeks' },
  { field: 'dropPoints', label: 'There less than before by', min: 5, max: 100, unit: 'percentage points or more' },
  { field: 'lateTimes', label: 'Late', min: 2, max: 50, unit: 'times in four weeks, and to every fourth lesson' },
]

function Form({ known, mayChange }: { known: RegisterSettings; mayChange: boolean }) {
  const cache = useQueryClient()
  const [wanted, setWanted] = useState(known)
  const save = useMutation({
    mutationFn: () => edit<RegisterSettings>('/api/register-settings', wanted),
    onSuccess: async (next) => {
      cache.setQueryData(KEY, next)
      await cache.invalidateQueries({ queryKey: ['attendance'] })
      await cache.invalidateQueries({ queryKey: ['register'] })
    },
  })
  const changed = JSON.stringify(wanted) !== JSON.stringify(known)
  const change = (place: number, part: Partial<RegisterSettings['codes'][number]>) =>
    setWanted({ ...wanted, codes: wanted.codes.map((one, index) => (index === place ? { ...one, ...part } : one)) })
  return (
    <chakra.form
      px="20px"
      py="16px"
      maxW="1060px"
      mx="auto"
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate()
      }}
    >
      <chakra.h1 fontSize="25px">Codes and limits</chakra.h1>
      <chakra.p color="ink2" mb="14px">
        How registers are written, and from when on a pupil is named on the page of{' '}
        <Link to="/attendance">
          <u>attendance</u>
        </Link>
        . From when on somebody is late or absent is a{' '}
        <Link to="/charter">
          <u>rule</u>
        </Link>
        .
      </chakra.p>
      <chakra.fieldset disabled={!mayChange} border="none" minW="0">
        <Grid templateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 380px' }} gap="40px" alignItems="start">
          <Box>
            <chakra.h2 fontSize="17px">The school's own codes</chakra.h2>
            <chakra.p color="ink2" fontSize="13px" mb="6px">
              The first code of a mark is the one that a computed mark is written as; the others are chosen by who corrects. What
              stands in a register already stays as it was written.
            </chakra.p>
            {wanted.codes.length === 0 && <EmptyNote>No codes: marks are written as words.</EmptyNote>}
            {wanted.codes.map((one, place) => (
              <Flex key={place} gap="8px" mb="5px" align="center" role="group" aria-label={`Code ${one.code || place + 1}`}>
                <TextInput
                  w="76px"
                  fontFamily="mono"
                  aria-label="Code"
                  maxLength={4}
                  value={one.code}
                  onChange={(event) => change(place, { code: event.target.value })}
                />
                <TextInput
                  aria-label="Meaning"
                  placeholder="what it means"
                  maxLength={60}
                  value={one.meaning}
                  onChange={(event) => change(place, { meaning: event.target.value })}
                />
                <Select
                  w="160px"
                  aria-label="Mark"
                  value={one.mark}
                  onChange={(event) => change(place, { mark: event.target.value as Mark })}
                >
                  {(Object.keys(MARKS) as Mark[]).map((mark) => (
                    <option key={mark} value={mark}>
                      {MARKS[mark]}
                    </option>
                  ))}
                </Select>
                <Button
                  size="small"
                  aria-label={`Remove code ${one.code || place + 1}`}
                  onClick={() => setWanted({ ...wanted, codes: wanted.codes.filter((_, index) => index !== place) })}
                >
                  Remove
                </Button>
              </Flex>
            ))}
            <Button
              onClick={() => setWanted({ ...wanted, codes: [...wanted.codes, { code: '', meaning: '', mark: 'EXCUSED' }] })}
            >
              Another code
            </Button>
          </Box>
          <Box>
            <chakra.h2 fontSize="17px" mb="6px">
              Who needs attention
            </chakra.h2>
            {LIMITS.map(({ field, label, min, max, unit }) => (
              <TextField
                key={field}
                label={label}
                hint={unit}
                type="number"
                min={min}
                max={max}
                w="90px"
                value={wanted.limits[field]}
                onChange={(event) => setWanted({ ...wanted, limits: { ...wanted.limits, [field]: Number(event.target.value) } })}
              />
            ))}
          </Box>
        </Grid>
      </chakra.fieldset>
      <ProblemNote problem={save.error} />
      {mayChange ? (
        <Flex gap="8px" mt="10px" align="center">
          <Button type="submit" look="main" disabled={!changed || save.isPending}>
            Keep codes and limits
          </Button>
          {changed && <Button onClick={() => setWanted(known)}>Back to what it was</Button>}
          <span role="status">{save.isSuccess && !changed && 'Kept.'}</span>
        </Flex>
      ) : (
        <chakra.p color="ink2" mt="10px">
          The safeguarding lead keeps them.
        </chakra.p>
      )}
    </chakra.form>
  )
}
