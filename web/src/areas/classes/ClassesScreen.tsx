import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { get } from '../../shared/api/http'
import type { ClassLine, Me } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

export default function ClassesScreen() {
  return <Page title="Classes">{(me) => <List me={me} />}</Page>
}

function List({ me }: { me: Me }) {
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['classes'], queryFn: () => get<ClassLine[]>('/api/classes') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the classes" />
  return (
    <Box maxW="960px" mx="auto" px="20px" py="18px">
      <Flex align="center" justify="space-between" mb="10px">
        <chakra.h1 fontSize="25px">{me.position === 'LEAD' ? 'All classes' : 'Your classes'}</chakra.h1>
        <Link to="/classes/new">
          <Button as="span" look="main">
            Make a class
          </Button>
        </Link>
      </Flex>
      {data.length === 0 && (
        <EmptyNote>
          {me.position === 'LEAD' ? 'There is no class yet.' : 'You have no class yet.'} Here stand classes with their pupils,
          adults and next lessons. <Link to="/classes/new">Make the first one</Link>: rules and lessons are chosen on the same
          page.
        </EmptyNote>
      )}
      {data.length > 0 && (
        <chakra.table
          w="100%"
          bg="sheet"
          borderTop="1.5px solid"
          borderColor="ink"
          css={{
            '& td, & th': {
              padding: '6px 10px',
              borderBottom: '1px solid var(--chakra-colors-line)',
              textAlign: 'left',
            },
          }}
        >
          <thead>
            <chakra.tr fontSize="12px" color="ink2">
              <th>Class</th>
              <th>Pupils</th>
              <th>Adults</th>
              <th>Next lesson</th>
            </chakra.tr>
          </thead>
          <tbody>
            {data.map((one) => (
              <tr key={one.id}>
                <chakra.td fontWeight="640">
                  <Link to={`/classes/${one.id}`}>{one.title}</Link>
                </chakra.td>
                <chakra.td fontFamily="mono" fontSize="13px">
                  {one.pupils}
                </chakra.td>
                <chakra.td color="ink2">{one.adults.join(', ')}</chakra.td>
                <chakra.td color="ink2">{one.next ? `${time.day(one.next)}, ${time.clock(one.next)}` : 'none planned'}</chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      )}
    </Box>
  )
}
