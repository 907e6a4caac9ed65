import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/classes'
import { get } from '../../shared/api/http'
import type { ClassLine, Me } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

export default function ClassesScreen() {
  return <Page title={say.classes}>{(me) => <List me={me} />}</Page>
}

function List({ me }: { me: Me }) {
  const time = useSchoolTime()
  const { data, error } = useQuery({ queryKey: ['classes'], queryFn: () => get<ClassLine[]>('/api/classes') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theClasses} />
  return (
    <Box maxW="960px" mx="auto" px="20px" py="18px">
      <Flex align="center" justify="space-between" mb="10px">
        <chakra.h1 fontSize="25px">{say.allClassesYourClasses(me.position)}</chakra.h1>
        <Link to="/classes/new">
          <Button as="span" look="main">
            {say.makeAClass}
          </Button>
        </Link>
      </Flex>
      {data.length === 0 && (
        <EmptyNote>
          {say.hereStandClasses(me.position)} <Link to="/classes/new">{say.makeTheFirst}</Link>
          {say.rulesAndLessonsAreChosen}
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
              <th>{say.class}</th>
              <th>{say.pupils}</th>
              <th>{say.adults}</th>
              <th>{say.nextLesson}</th>
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
                <chakra.td color="ink2">
                  {one.next ? `${time.day(one.next)}, ${time.clock(one.next)}` : say.nonePlanned}
                </chakra.td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      )}
    </Box>
  )
}
