import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/recordings'
import { get, post } from '../../shared/api/http'
import type { ConsentLine, ConsentWord } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import { GIVERS, SAID } from './consent'

interface ConsentSheetProps {
  pupil: ConsentLine | null
  isLead: boolean
  onClose: () => void
}

/** All that was said about one pupil, and, for the lead, a new word. Nothing that was noted is changed. */
export function ConsentSheet({ pupil, isLead, onClose }: ConsentSheetProps) {
  return (
    <Sheet title={pupil ? say.mayBeRecordedSaid(pupil.name) : ''} open={pupil !== null} onClose={onClose}>
      {pupil && <Words pupil={pupil} isLead={isLead} onClose={onClose} />}
    </Sheet>
  )
}

function Words({ pupil, isLead, onClose }: { pupil: ConsentLine; isLead: boolean; onClose: () => void }) {
  const path = `/api/consents/people/${encodeURIComponent(pupil.person)}`
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['consent', pupil.person], queryFn: () => get<ConsentWord[]>(path) })
  return (
    <>
      {isLead && <Note path={path} person={pupil.person} onNoted={onClose} />}
      <ProblemNote problem={error} />
      <chakra.h3 fontSize="15px" mt="10px" mb="2px">
        {say.whatWasSaidBefore}
      </chakra.h3>
      {data?.length === 0 && <chakra.p color="ink2">{say.nothingYet}</chakra.p>}
      {data?.map((one) => (
        <Box key={one.at} py="3px" borderBottom="1px solid" borderColor="line">
          <strong>{SAID[one.said]}</strong>
          {say.byFrom(GIVERS[one.giver], one.paper && `, ${one.paper}`, one.from)}
          {one.until && say.until(one.until)}.
          <chakra.span display="block" fontSize="12.5px" color="ink2">
            {say.notedByOn(one.by, time.longDay(one.at))}
          </chakra.span>
        </Box>
      ))}
    </>
  )
}

function Note({ path, person, onNoted }: { path: string; person: string; onNoted: () => void }) {
  const cache = useQueryClient()
  const [said, setSaid] = useState<ConsentWord['said']>('GIVEN')
  const [giver, setGiver] = useState<ConsentWord['giver']>('PARENT')
  const [paper, setPaper] = useState('')
  const [from, setFrom] = useState('')
  const [until, setUntil] = useState('')
  const note = useMutation({
    mutationFn: () => post(path, { said, giver, paper, ...(from ? { from } : {}), ...(until ? { until } : {}) }),
    onSuccess: async () => {
      await cache.invalidateQueries({ queryKey: ['consents'] })
      await cache.invalidateQueries({ queryKey: ['consent', person] })
      onNoted()
    },
  })
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        note.mutate()
      }}
    >
      <Labelled label={say.whatWasSaid}>
        {(id) => (
          <Select id={id} value={said} onChange={(event) => setSaid(event.target.value as ConsentWord['said'])}>
            {Object.entries(SAID).map(([value, says]) => (
              <option key={value} value={value}>
                {says}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      <Labelled label={say.byWhom}>
        {(id) => (
          <Select id={id} value={giver} onChange={(event) => setGiver(event.target.value as ConsentWord['giver'])}>
            {(['PARENT', 'PUPIL', 'SCHOOL'] as const).map((value) => (
              <option key={value} value={value}>
                {GIVERS[value]}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      <TextField
        label={say.onWhichPaperOrForm}
        value={paper}
        maxLength={200}
        onChange={(event) => setPaper(event.target.value)}
      />
      <Flex gap="8px">
        <TextField
          label={say.from}
          type="date"
          hint={say.todayIfLeftEmpty}
          value={from}
          onChange={(event) => setFrom(event.target.value)}
        />
        <TextField
          label={say.untilLabel}
          type="date"
          hint={say.noEndIfLeftEmpty}
          value={until}
          onChange={(event) => setUntil(event.target.value)}
        />
      </Flex>
      {said === 'WITHDRAWN' && <chakra.p mb="8px">{say.fromThatDay}</chakra.p>}
      <ProblemNote problem={note.error} />
      <Button type="submit" look="main" disabled={note.isPending}>
        {say.noteIt}
      </Button>
    </chakra.form>
  )
}
