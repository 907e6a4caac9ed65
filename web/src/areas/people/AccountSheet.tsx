import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/people'
import { post, put } from '../../shared/api/http'
import type { GivenCode, PersonLine } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import { Leaving } from './Leaving'
import { PositionAndYear } from './AddPerson'
import { Code } from './Code'
import { KEY } from './positions'

/** One person's account: the way in, what the school says of them, and when it ends. */
export function AccountSheet({ person, onClose }: { person: PersonLine; onClose: () => void }) {
  const cache = useQueryClient()
  const path = `/api/people/${encodeURIComponent(person.id)}`
  const [signIn, setSignIn] = useState(person.signIn)
  const [said, setSaid] = useState({ name: person.name, position: person.position, year: person.year })
  const [ends, setEnds] = useState(person.ends ?? '')
  const taken = (people: PersonLine[]) => cache.setQueryData(KEY, people)
  const code = useMutation({
    mutationFn: () => put<GivenCode>(`${path}/account`, { signIn }),
    onSuccess: () => cache.invalidateQueries({ queryKey: KEY }),
  })
  const correct = useMutation({ mutationFn: () => put<PersonLine[]>(path, said), onSuccess: taken })
  const end = useMutation({
    mutationFn: (day: string | null) => put<PersonLine[]>(`${path}/end`, { ends: day }),
    onSuccess: taken,
  })
  const endFactor = useMutation({ mutationFn: () => post<PersonLine[]>(`${path}/factor/end`), onSuccess: taken })
  return (
    <Sheet title={say.accountOf(person.name)} open onClose={onClose}>
      <chakra.form
        aria-label={say.theWayIn}
        onSubmit={(event) => {
          event.preventDefault()
          code.mutate()
        }}
      >
        <TextField
          label={say.nameToSign}
          hint={say.aNewCodeCountsOnce}
          autoComplete="off"
          value={signIn}
          onChange={(event) => setSignIn(event.target.value)}
          required
        />
        <ProblemNote problem={code.error} compact />
        <Flex gap="8px" wrap="wrap">
          <Button type="submit" look="main" disabled={code.isPending}>
            {say.giveANewCodeGive(person.signIn)}
          </Button>
          {person.factor && (
            <Button disabled={endFactor.isPending} onClick={() => endFactor.mutate()}>
              {say.endTheSecondFactorTelephoneLost}
            </Button>
          )}
        </Flex>
        <ProblemNote problem={endFactor.error} compact />
        {code.data && <Code given={code.data} />}
      </chakra.form>
      <chakra.form
        aria-label={say.whatTheSchoolSaysOfThem}
        mt="18px"
        onSubmit={(event) => {
          event.preventDefault()
          correct.mutate()
        }}
      >
        <TextField
          label={say.name}
          value={said.name}
          onChange={(event) => setSaid({ ...said, name: event.target.value })}
          required
        />
        <PositionAndYear value={said} onChange={(part) => setSaid({ ...said, ...part })} />
        <ProblemNote problem={correct.error} compact />
        <Button type="submit" disabled={correct.isPending}>
          {say.correctIt}
        </Button>
        {correct.isSuccess && <chakra.span role="status"> {say.corrected}</chakra.span>}
      </chakra.form>
      {person.signIn && (
        <Box as="section" aria-label={say.whenTheAccountEnds} mt="18px">
          <TextField
            label={say.theAccountEnds}
            hint={say.fromThatDayOnNobody}
            type="date"
            value={ends}
            onChange={(event) => setEnds(event.target.value)}
          />
          <ProblemNote problem={end.error} compact />
          <Flex gap="8px" wrap="wrap">
            <Button disabled={end.isPending || ends === ''} onClick={() => end.mutate(ends)}>
              {say.endItOnThatDay}
            </Button>
            <Button look="stop" disabled={end.isPending || person.ended} onClick={() => end.mutate(LONG_AGO)}>
              {say.endItNow}
            </Button>
            {person.ends && (
              <Button
                disabled={end.isPending}
                onClick={() => {
                  setEnds('')
                  end.mutate(null)
                }}
              >
                {say.letItCountAgain}
              </Button>
            )}
          </Flex>
        </Box>
      )}
      {person.position === 'PUPIL' && <Leaving person={person} />}
    </Sheet>
  )
}

/** A day that has come everywhere. */
const LONG_AGO = '2000-01-01'
