import { Box, chakra, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { get } from '../../shared/api/http'
import type { Charter } from '../../shared/api/types'
import { RuleTable } from '../../shared/rules/RuleTable'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Shutter } from '../../shared/ui/Shutter'

const KEY = ['charter']

/** The school's rules, as a document one can read. */
export default function CharterScreen() {
  return <Page title="Charter">{() => <Document />}</Page>
}

function Document() {
  const { data, error } = useQuery({ queryKey: KEY, queryFn: () => get<Charter>('/api/charter') })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the charter" />
  return (
    <Grid templateColumns={{ base: '1fr', lg: '200px 1fr' }}>
      <Box as="aside" px="18px" py="18px" hideBelow="lg">
        <Box position="sticky" top="18px">
          <chakra.h2 fontSize="13px" color="ink2" mb="6px">
            Chapters
          </chakra.h2>
          <chakra.nav aria-label="Chapters">
            {data.chapters.map((chapter) => (
              <chakra.a
                key={chapter.area}
                href={`#${chapter.area}`}
                display="flex"
                justifyContent="space-between"
                py="3px"
                color="ink2"
                _hover={{ color: 'ink' }}
              >
                {chapter.title}
                <chakra.span fontFamily="mono" fontSize="12px">
                  {chapter.rules.length}
                </chakra.span>
              </chakra.a>
            ))}
          </chakra.nav>
          <Box
            mt="22px"
            pt="10px"
            borderTop="1px solid"
            borderColor="lineStrong"
            fontSize="12.5px"
            color="ink2"
            css={{ '& p': { paddingBlock: '2px' } }}
          >
            <p>
              <Shutter value="open" /> open
            </p>
            <p>
              <Shutter value="on-request" /> on request: an adult gives a pass
            </p>
            <p>
              <Shutter value="closed" /> closed
            </p>
            <p>
              <Shutter value="closed" bound /> sill under it: binding
            </p>
          </Box>
        </Box>
      </Box>
      <Box px={{ base: '12px', lg: '0' }} pr={{ lg: '24px' }} py="18px" maxW="1080px">
        <chakra.h1 fontSize="27px">Charter</chakra.h1>
        <chakra.p color="ink2" mb="12px" maxW="640px">
          What holds in every lesson of the school. A class may refine it, but never loosen what is binding.
          {data.editable
            ? ' Choose a value to change it or to see why it is so.'
            : ' The safeguarding lead can change it; choose a value to see why it is so.'}
        </chakra.p>
        <RuleTable charter={data} path="/api/charter" cacheKey={KEY} />
      </Box>
    </Grid>
  )
}
