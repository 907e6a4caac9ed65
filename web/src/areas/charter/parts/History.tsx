import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { say } from '../../../languages/en/staff/charter'
import { get } from '../../../shared/api/http'
import type { PastLine } from '../../../shared/api/types'
import { TextInput } from '../../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../../shared/ui/Notes'

/** Everything that was ever set at a place, latest first; and a way to the rules of any day. */
export function History({ place, onDay }: { place: string; onDay: (day: string) => void }) {
  const { data, error } = useQuery({
    queryKey: ['history', place],
    queryFn: () => get<PastLine[]>(`/api/rules/${place}/history`),
  })
  return (
    <Box>
      <Flex justify="space-between" align="baseline" wrap="wrap" gap="8px" mb="8px">
        <chakra.h1 fontSize="27px">{say.whatWasSet}</chakra.h1>
        <chakra.label display="flex" gap="6px" alignItems="center">
          {say.theRulesAsOf}
          <TextInput type="date" w="150px" py="2px" onChange={(event) => event.target.value && onDay(event.target.value)} />
        </chakra.label>
      </Flex>
      {error && <ProblemNote problem={error} />}
      {!data && !error && <LoadingNote what={say.theHistory} />}
      {data?.length === 0 && <EmptyNote>{say.nothingHasBeenSetHereYet}</EmptyNote>}
      {data?.map((one, place) => (
        <Box key={place} bg="sheet" borderTop="1px solid" borderColor="line" px="14px" py="4px">
          <strong>{one.title}</strong>, {one.role}: <strong>{one.value}</strong>
          {say.bindingSaid(one.binding)}
          {one.when && <em>, {one.when}</em>}
          <chakra.span display="block" fontSize="12.5px" color="ink2">
            {say.countsSaid(one.by, one.at, one.counted, one.ended && `; ${one.ended}`, one.note && ` “${one.note}”`)}
          </chakra.span>
        </Box>
      ))}
    </Box>
  )
}
