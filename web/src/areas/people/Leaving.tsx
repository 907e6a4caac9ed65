import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/people'
import { get, post } from '../../shared/api/http'
import type { LeavingPage, PersonLine } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { KEY } from './positions'

/** What a family may have of a pupil, and what is erased when the pupil leaves or they ask (need N4). */
export function Leaving({ person }: { person: PersonLine }) {
  const path = `/api/people/${encodeURIComponent(person.id)}`
  const cache = useQueryClient()
  const [open, setOpen] = useState(false)
  const [name, setName] = useState('')
  const look = useQuery({
    queryKey: ['leaving', person.id],
    queryFn: () => get<LeavingPage>(`${path}/leaving`),
    enabled: open,
  })
  const erase = useMutation({
    mutationFn: () => post<LeavingPage>(`${path}/leaving`, { name }),
    onSuccess: () => cache.invalidateQueries({ queryKey: KEY }),
  })
  const shown = erase.data ?? look.data
  return (
    <Box as="section" aria-label={say.whatIsKeptAboutThem} mt="18px">
      <chakra.h3 fontSize="15px" mb="4px">
        {say.whatIsKept(person.name)}
      </chakra.h3>
      <Flex gap="8px" wrap="wrap">
        <chakra.a href={`${path}/file`} download>
          <Button as="span">{say.everythingForTheFamilyZip}</Button>
        </chakra.a>
        {!open && <Button onClick={() => setOpen(true)}>{say.theyLeaveOrAsk}</Button>}
      </Flex>
      <ProblemNote problem={look.error ?? erase.error} compact />
      {open && shown && (
        <Box mt="8px" borderInlineStart="4px solid" borderColor={erase.data ? 'ink' : 'verdict.away'} ps="12px">
          <p>
            <strong>{erase.data ? say.erased : say.erasedAtOnce}</strong>{' '}
            {shown.goes.map((one) => `${one.what} (${one.count})`).join(', ') || say.nothingMore}.
          </p>
          <p>
            <strong>{say.keptOnByRules}</strong> {shown.kept.map((one) => say.keptFor(one.what, one.count, one.days)).join(', ')}.
          </p>
          {!erase.data && (
            <chakra.form
              mt="6px"
              onSubmit={(event) => {
                event.preventDefault()
                erase.mutate()
              }}
            >
              <TextField
                label={say.toEraseItTypeTheName(person.name)}
                value={name}
                autoComplete="off"
                onChange={(event) => setName(event.target.value)}
                required
              />
              <Button type="submit" look="stop" disabled={erase.isPending || name !== person.name}>
                {say.eraseItAndEndTheAccount}
              </Button>
            </chakra.form>
          )}
        </Box>
      )}
    </Box>
  )
}
