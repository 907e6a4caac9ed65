import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, type ReactNode } from 'react'
import { Link, Navigate, useLocation } from 'react-router'
import { say as staffSays } from '../../languages/en/staff/frame'
import { ownWords } from '../../languages/own'
import type { Me } from '../api/types'
import { standing } from '../standing'
import { Guide } from './Guide'
import { LoadingNote, ProblemNote } from './Notes'
import { OwnPlaces } from './OwnPlaces'
import { SignOut } from './SignOut'

// Of the staff only: a pupil's browser does not fetch them.
const FindLine = lazy(() => import('./FindLine'))
const Places = lazy(() => import('./Places'))

const POSITIONS = { LEAD: staffSays.safeguardingLead, TEACHER: staffSays.teacher }

interface PageProps {
  title: string
  /** Without the head, for a page that needs the whole height and has its own way out. */
  bare?: boolean
  children: (me: Me) => ReactNode
}

/** A page for somebody who is signed in: the head with its places, and the work below. */
export function Page({ title, bare = false, children }: PageProps) {
  const { data, error } = useQuery(standing)
  const here = useLocation()
  const say = ownWords()
  useEffect(() => {
    document.title = `${title} · Juricast`
  }, [title])
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote says={say.fetchingSchool} />
  if (!data.founded) return <Navigate to="/first-start" replace />
  if (!data.me) return <Navigate to="/sign-in" replace state={{ from: here.pathname }} />
  const me = data.me
  // An account that lacks something opens nothing else before it has it.
  if (me.missing !== 'NOTHING' && here.pathname !== '/account') return <Navigate to="/account" replace />
  if (bare) {
    return (
      <main>
        {children(me)}
        {me.position !== 'PUPIL' && (
          <Suspense fallback={null}>
            <FindLine me={me} demo={data.demo} shown={false} />
          </Suspense>
        )}
        <Guide shown={false} />
      </main>
    )
  }
  return (
    <Flex direction="column" minH="100%">
      <Box as="header" position="relative" bg="sheet" borderBottom="3px double" borderColor="ink" flexShrink={0}>
        <Flex
          align={{ base: 'start', md: 'center' }}
          gap={{ base: '8px', md: '18px' }}
          px={{ base: '8px', md: '18px' }}
          pb={{ base: '0', md: me.position === 'PUPIL' ? '0' : '29px' }}
          minH="43px"
        >
          <chakra.span fontFamily="heading" fontWeight="700" fontSize="20px" hideBelow="md">
            {staffSays.juricast}
          </chakra.span>
          {me.position === 'PUPIL' ? (
            <OwnPlaces />
          ) : (
            <Suspense fallback={null}>
              <Places me={me} demo={data.demo} />
            </Suspense>
          )}
          <Box flex="1" />
          {me.position !== 'PUPIL' && (
            <Box flexShrink={0} pt={{ base: '7px', md: '0' }}>
              <Suspense fallback={null}>
                <FindLine me={me} demo={data.demo} shown />
              </Suspense>
            </Box>
          )}
          <Box flexShrink={0} pt={{ base: '7px', md: '0' }}>
            <Guide />
          </Box>
          <chakra.span fontSize="12.5px" color="ink2" whiteSpace="nowrap" hideBelow="lg">
            <chakra.span hideBelow="xl">{data.school} · </chakra.span>
            <Link to="/account" title={say.accountHint}>
              <chakra.span textDecoration="underline dotted">{me.name}</chakra.span>
            </Link>
            , {me.position === 'PUPIL' ? say.pupil : POSITIONS[me.position]}
          </chakra.span>
          <Box flexShrink={0} pt={{ base: '8px', md: '0' }} hideBelow={me.position === 'PUPIL' ? undefined : 'md'}>
            <SignOut />
          </Box>
        </Flex>
      </Box>
      <Box as="main" flex="1" minH="0">
        {children(me)}
      </Box>
    </Flex>
  )
}
