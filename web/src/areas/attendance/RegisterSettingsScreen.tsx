import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/attendance'
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
  return <Page title={say.codesAndLimits}>{(me) => <Shown mayChange={me.position === 'LEAD'} />}</Page>
}

function Shown({ mayChange }: { mayChange: boolean }) {
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<RegisterSettings>('/api/register-settings'), ...EDITED })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theSchoolsCodes} />
  return <Form key={JSON.stringify(data)} known={data} mayChange={mayChange} />
}

type Limits = RegisterSettings['limits']

const LIMITS: { field: keyof Limits; label: string; min: number; max: number; unit: string }[] = [
  { field: 'inARow', label: say.absentInARow, min: 2, max: 20, unit: say.lessonsOn },
  { field: 'belowPercent', label: say.thereInLess, min: 1, max: 100, unit: say.ofFourWeeks },
  { field: 'dropPoints', label: say.thereLess, min: 5, max: 100, unit: say.percentagePointsOrMore },
  { field: 'lateTimes', label: say.lateLabel, min: 2, max: 50, unit: say.timesInFourWeeks },
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
      <chakra.h1 fontSize="25px">{say.codesAndLimits}</chakra.h1>
      <chakra.p color="ink2" mb="14px">
        {say.howRegistersAreWritten}{' '}
        <Link to="/attendance">
          <u>{say.attendance}</u>
        </Link>
        {say.fromWhenOnSomebody}{' '}
        <Link to="/charter">
          <u>{say.rule}</u>
        </Link>
        .
      </chakra.p>
      <chakra.fieldset disabled={!mayChange} border="none" minW="0">
        <Grid templateColumns={{ base: '1fr', md: 'minmax(0, 1fr) 380px' }} gap="40px" alignItems="start">
          <Box>
            <chakra.h2 fontSize="17px">{say.theSchoolsOwnCodes}</chakra.h2>
            <chakra.p color="ink2" fontSize="13px" mb="6px">
              {say.theFirstCode}
            </chakra.p>
            {wanted.codes.length === 0 && <EmptyNote>{say.noCodesMarksAreWritten}</EmptyNote>}
            {wanted.codes.map((one, place) => (
              <Flex key={place} gap="8px" mb="5px" align="center" role="group" aria-label={say.code(one.code || place + 1)}>
                <TextInput
                  w="76px"
                  fontFamily="mono"
                  aria-label={say.codeLabel}
                  maxLength={4}
                  value={one.code}
                  onChange={(event) => change(place, { code: event.target.value })}
                />
                <TextInput
                  aria-label={say.meaning}
                  placeholder={say.whatItMeans}
                  maxLength={60}
                  value={one.meaning}
                  onChange={(event) => change(place, { meaning: event.target.value })}
                />
                <Select
                  w="160px"
                  aria-label={say.mark}
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
                  aria-label={say.removeCode(one.code || place + 1)}
                  onClick={() => setWanted({ ...wanted, codes: wanted.codes.filter((_, index) => index !== place) })}
                >
                  {say.remove}
                </Button>
              </Flex>
            ))}
            <Button
              onClick={() => setWanted({ ...wanted, codes: [...wanted.codes, { code: '', meaning: '', mark: 'EXCUSED' }] })}
            >
              {say.anotherCode}
            </Button>
          </Box>
          <Box>
            <chakra.h2 fontSize="17px" mb="6px">
              {say.whoNeedsAttention}
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
            {say.keepCodesAndLimits}
          </Button>
          {changed && <Button onClick={() => setWanted(known)}>{say.backTo}</Button>}
          <span role="status">{say.kept(save.isSuccess, changed)}</span>
        </Flex>
      ) : (
        <chakra.p color="ink2" mt="10px">
          {say.theSafeguardingLeadKeepsThem}
        </chakra.p>
      )}
    </chakra.form>
  )
}
