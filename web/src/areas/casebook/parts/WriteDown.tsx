import { chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../../languages/en/staff/casebook'
import { get, post } from '../../../shared/api/http'
import type { CasebookPage } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Sheet } from '../../../shared/ui/Sheet'

interface Somebody {
  id: string
  name: string
}

/** Something that somebody heard of afterwards. */
export function WriteDown({ acts, isLead, onClose }: { acts: CasebookPage['acts']; isLead: boolean; onClose: () => void }) {
  const navigate = useNavigate()
  const [title, setTitle] = useState('')
  const [act, setAct] = useState(acts[0]?.id ?? '')
  const [severity, setSeverity] = useState('MIDDLE')
  const [did, setDid] = useState<Somebody[]>([])
  const [suffered, setSuffered] = useState<Somebody[]>([])
  const [leadOnly, setLeadOnly] = useState(false)
  const write = useMutation({
    mutationFn: () =>
      post<{ incident: number }>('/api/casebook', {
        title,
        act,
        severity,
        moment: new Date(Date.now() - 1000).toISOString(),
        did: did.map((one) => one.id),
        suffered: suffered.map((one) => one.id),
        leadOnly,
      }),
    onSuccess: ({ incident }) => navigate(`/casebook/${incident}`),
  })
  return (
    <Sheet title={say.writeAnIncidentDown} open onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          write.mutate()
        }}
      >
        <TextField
          label={say.whatHappenedInAFewWords}
          maxLength={120}
          required
          value={title}
          onChange={(event) => setTitle(event.target.value)}
        />
        <Flex gap="10px">
          <Labelled label={say.kind}>
            {(id) => (
              <Select
                id={id}
                value={act}
                onChange={(event) => {
                  setAct(event.target.value)
                  setSeverity(acts.find((one) => one.id === event.target.value)?.severity ?? 'MIDDLE')
                }}
              >
                {acts.map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.name}
                  </option>
                ))}
              </Select>
            )}
          </Labelled>
          <Labelled label={say.howGrave}>
            {(id) => (
              <Select id={id} value={severity} onChange={(event) => setSeverity(event.target.value)}>
                <option value="SLIGHT">{say.slight}</option>
                <option value="MIDDLE">{say.middle}</option>
                <option value="GRAVE">{say.grave}</option>
              </Select>
            )}
          </Labelled>
        </Flex>
        <Who label={say.whoDidIt} chosen={did} onChange={setDid} />
        <Who label={say.whoSufferedIt} chosen={suffered} onChange={setSuffered} />
        {isLead && (
          <chakra.label display="flex" gap="7px" mb="10px">
            <input type="checkbox" checked={leadOnly} onChange={() => setLeadOnly(!leadOnly)} /> {say.forSafeguardingLeadsAlone}
          </chakra.label>
        )}
        <ProblemNote problem={write.error} />
        <Button type="submit" look="main" disabled={!title.trim() || write.isPending}>
          {say.openTheIncident}
        </Button>
      </chakra.form>
    </Sheet>
  )
}

/** People by their names, found as one types. */
function Who({ label, chosen, onChange }: { label: string; chosen: Somebody[]; onChange: (people: Somebody[]) => void }) {
  const [words, setWords] = useState('')
  const { data } = useQuery({
    queryKey: ['case-people', words],
    queryFn: () => get<Somebody[]>(`/api/casebook/people?find=${encodeURIComponent(words)}`),
    enabled: words.trim().length >= 2,
    placeholderData: (before) => before,
  })
  const found = words.trim().length >= 2 ? (data ?? []).filter((one) => chosen.every((known) => known.id !== one.id)) : []
  return (
    <>
      <TextField
        label={label}
        placeholder={say.aPartOfTheName}
        value={words}
        onChange={(event) => setWords(event.target.value)}
      />
      <Flex gap="6px" wrap="wrap" mb="10px" mt="-4px" role="group" aria-label={label}>
        {chosen.map((one) => (
          <Button
            key={one.id}
            size="small"
            aria-label={say.without(one.name)}
            onClick={() => onChange(chosen.filter((known) => known.id !== one.id))}
          >
            {one.name} ×
          </Button>
        ))}
        {found.slice(0, 6).map((one) => (
          <Button
            key={one.id}
            size="small"
            look="quiet"
            onClick={() => {
              onChange([...chosen, one])
              setWords('')
            }}
          >
            + {one.name}
          </Button>
        ))}
      </Flex>
    </>
  )
}
