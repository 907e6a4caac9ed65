import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, type ReactNode } from 'react'
import { Link, Navigate, NavLink, useLocation, useNavigate } from 'react-router'
import { remove } from '../api/http'
import type { Me } from '../api/types'
import { standing } from '../standing'
import { Button } from './Button'
import { LoadingNote, ProblemNote } from './Notes'

const PLACES: { to: string; name: string; for: Me['position'][]; demo?: boolean }[] = [
  { to: '/today', name: 'Today', for: ['LEAD', 'TEACHER', 'PUPIL'] },
  { to: '/corridor', name: 'Corridor', for: ['LEAD'] },
  { to: '/timetable', name: 'Timetable', for: ['LEAD', 'TEACHER'] },
  { to: '/inspection', name: 'Inspection', for: ['LEAD', 'TEACHER'] },
  { to: '/attendance', name: 'Attendance', for: ['LEAD', 'TEACHER'] },
  { to: '/casebook', name: 'Casebook', for: ['LEAD', 'TEACHER'] },
  { to: '/recordings', name: 'Recordings', for: ['LEAD', 'TEACHER'] },
  { to: '/outbox', name: 'Outbox', for: ['LEAD', 'TEACHER'] },
  { to: '/classes', name: 'Classes', for: ['LEAD', 'TEACHER'] },
  { to: '/charter', name: 'Charter', for: ['LEAD', 'TEACHER'] },
  { to: '/people', name: 'People', for: ['LEAD'] },
  { to: '/upkeep', name: 'Upkeep', for: ['LEAD'] },
  { to: '/stand-in', name: 'Stand-in', for: ['LEAD', 'TEACHER'], demo: true },
]

const POSITIONS: Record<Me['position'], string> = {
  LEAD: 'safeguarding lead',
  TEACHER: 'teacher',
  PUPIL: 'pupil',
}

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
  useEffect(() => {
    document.title = `${title} · Juricast`
  }, [title])
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the school" />
  if (!data.founded) return <Navigate to="/first-start" replace />
  if (!data.me) return <Navigate to="/sign-in" replace state={{ from: here.pathname }} />
  const me = data.me
  // An account that lacks something opens nothing else before it has it.
  if (me.missing !== 'NOTHING' && here.pathname !== '/account') return <Navigate to="/account" replace />
  if (bare) return <main>{children(me)}</main>
  return (
    <Flex direction="column" minH="100%">
      <Flex
        as="header"
        align="center"
        gap="22px"
        px="18px"
        h="50px"
        bg="sheet"
        borderBottom="3px double"
        borderColor="ink"
        flexShrink={0}
      >
        <chakra.span fontFamily="heading" fontWeight="700" fontSize="20px">
          Juricast
        </chakra.span>
        <chakra.nav
          display="flex"
          gap={{ base: '13px', xl: '11px', '2xl': '18px' }}
          whiteSpace="nowrap"
          overflowX="auto"
          aria-label="Places"
        >
          {PLACES.filter((place) => place.for.includes(me.position) && (!place.demo || data.demo)).map((place) => (
            <NavLink key={place.to} to={place.to}>
              {({ isActive }) => (
                <chakra.span
                  py="4px"
                  color={isActive ? 'ink' : 'ink2'}
                  fontWeight={isActive ? 650 : 400}
                  boxShadow={isActive ? '0 3px 0 var(--chakra-colors-mark)' : 'none'}
                >
                  {place.name}
                </chakra.span>
              )}
            </NavLink>
          ))}
        </chakra.nav>
        <Box flex="1" />
        <chakra.span fontSize="12.5px" color="ink2" whiteSpace="nowrap" hideBelow="xl">
          <chakra.span hideBelow="2xl">{data.school} · </chakra.span>
          <Link to="/account" title="Your account: password, second factor, where you are signed in">
            <chakra.span textDecoration="underline dotted">{me.name}</chakra.span>
          </Link>
          , {POSITIONS[me.position]}
        </chakra.span>
        <chakra.span hideFrom="xl" whiteSpace="nowrap">
          <Link to="/account">Account</Link>
        </chakra.span>
        <SignOut />
      </Flex>
      <Box as="main" flex="1" minH="0">
        {children(me)}
      </Box>
    </Flex>
  )
}

function SignOut() {
  const cache = useQueryClient()
  const navigate = useNavigate()
  return (
    <Button
      size="small"
      onClick={async () => {
        await remove('/api/session')
        await navigate('/sign-in')
        cache.clear()
      }}
    >
      Sign out
    </Button>
  )
}
