import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { say } from '../../../languages/en/staff/casebook'
import { put } from '../../../shared/api/http'
import type { IncidentPage } from '../../../shared/api/types'
import { Select } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'

type Part = IncidentPage['people'][number]['part']

export const PARTS: [Part, string][] = [
  ['DID', 'did'],
  ['SUFFERED', 'suffered'],
  ['SAW', 'saw'],
  ['ACTED', 'acted'],
]

/** Who had which part in it. Whoever did or suffered it never reads it. */
export function People({ page, onChanged }: { page: IncidentPage; onChanged: (page: IncidentPage) => void }) {
  const set = useMutation({
    mutationFn: (wanted: { person: string; part: Part | null }) =>
      put<IncidentPage>(`/api/casebook/${page.number}/people`, wanted),
    onSuccess: onChanged,
  })
  const may = page.open && page.may.includes('SAY_WHO')
  const others = page.pupils.filter((one) => page.people.every((known) => known.id !== one.id))
  return (
    <Box mb="14px">
      <chakra.h2 fontSize="15px" borderBottom="1px solid" borderColor="ink" mb="2px">
        {say.whoInWhichPart}
      </chakra.h2>
      {page.people.length === 0 && <chakra.p color="ink2">{say.nobodyIsNamedYet}</chakra.p>}
      {page.people.map((one) => (
        <Flex
          key={one.id}
          justify="space-between"
          align="baseline"
          borderBottom="1px dotted"
          borderColor="lineStrong"
          py="2px"
          gap="8px"
        >
          <span>{one.name}</span>
          {may ? (
            <Select
              w="auto"
              py="0"
              fontSize="13px"
              aria-label={say.whatHad(one.name)}
              value={one.part}
              onChange={(event) => set.mutate({ person: one.id, part: (event.target.value || null) as Part | null })}
            >
              {PARTS.map(([value, name]) => (
                <option key={value} value={value}>
                  {name}
                </option>
              ))}
              <option value="">{say.nothingAfterAll}</option>
            </Select>
          ) : (
            <chakra.span fontSize="13px" color="ink2">
              {PARTS.find(([value]) => value === one.part)?.[1]}
            </chakra.span>
          )}
        </Flex>
      ))}
      {may && others.length > 0 && (
        <Select
          mt="5px"
          fontSize="13px"
          className="no-print"
          aria-label={say.somebodyElseHadAPart}
          value=""
          onChange={(event) => event.target.value && set.mutate({ person: event.target.value, part: 'SAW' })}
        >
          <option value="">{say.somebodyElse}</option>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Select>
      )}
      <ProblemNote problem={set.error} />
    </Box>
  )
}
