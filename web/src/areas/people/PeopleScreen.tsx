import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/people'
import { get } from '../../shared/api/http'
import type { PersonLine } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { AccountSheet } from './AccountSheet'
import { AddPerson } from './AddPerson'
import { KEY, POSITIONS } from './positions'
import { SchoolFiles } from './SchoolFiles'

/** Everybody of the school and who has an account (need N1). */
export default function PeopleScreen() {
  return <Page title={say.people}>{() => <List />}</Page>
}

function List() {
  const [wanted, setWanted] = useState('')
  const [chosen, setChosen] = useState<string | null>(null)
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<PersonLine[]>('/api/people') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.thePeople} />
  const person = data.find((one) => one.id === chosen)
  const found = data.filter((one) => one.name.toLowerCase().includes(wanted.toLowerCase()))
  return (
    <Grid templateColumns={{ base: '1fr', md: '1fr 340px' }} gap="32px" maxW="1060px" mx="auto" px="20px" py="18px">
      <Box>
        <chakra.h1 fontSize="25px">{say.people}</chakra.h1>
        <chakra.p color="ink2" mb="8px">
          {say.inAllPupilsWithout(data.length)}
        </chakra.p>
        <TextInput
          aria-label={say.findAPerson}
          placeholder={say.findAPerson}
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          mb="8px"
        />
        <Box bg="sheet" borderTop="1.5px solid" borderColor="ink">
          {found.slice(0, 100).map((one) => (
            <Flex key={one.id} px="10px" py="4px" gap="10px" align="center" borderBottom="1px solid" borderColor="line">
              <Box flex="1" fontWeight="600" overflowWrap="anywhere">
                {one.name}
              </Box>
              <Box w="150px" color="ink2">
                {say.year(POSITIONS[one.position], one.year)}
              </Box>
              <Box w="170px" color={one.ended ? 'verdict.away' : 'ink2'} fontSize="13px" overflowWrap="anywhere">
                {one.signIn || say.noAccount}
                {one.ended ? say.ended : one.ends ? say.until(one.ends) : ''}
                {one.codeUntil && say.codeNotUsedYet}
              </Box>
              <Button size="small" onClick={() => setChosen(one.id)} aria-label={say.accountOfSaid(one.name)}>
                {say.account}
              </Button>
            </Flex>
          ))}
          {found.length > 100 && <Box p="10px">{say.andMoreFindThemByName(found.length - 100)}</Box>}
          {found.length === 0 && <Box p="10px">{say.nobodyOfThatName}</Box>}
        </Box>
      </Box>
      <Box>
        <AddPerson />
        <Box mt="28px">
          <SchoolFiles />
        </Box>
      </Box>
      {person && <AccountSheet key={person.id} person={person} onClose={() => setChosen(null)} />}
    </Grid>
  )
}
