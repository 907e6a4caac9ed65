import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useLocation } from 'react-router'
import { words } from '../../languages/language'
import { get } from '../api/http'
import type { GuidePage } from '../api/types'
import { Button } from './Button'
import { Key } from './Key'
import { LoadingNote } from './Notes'
import { Sheet } from './Sheet'
import { useOpenKey } from './useOpenKey'

/** `?` on every page: what it is for, what one does there, its keys and its signs; and the way to the card to print. */
export function Guide({ shown = true }: { shown?: boolean }) {
  const [open, setOpen] = useOpenKey('?')
  const { pathname } = useLocation()
  return (
    <>
      {shown && (
        <Button size="small" minW="26px" minH="24px" aria-label={words().whatFor} onClick={() => setOpen(true)}>
          ?
        </Button>
      )}
      <Sheet title={words().whatForTitle} open={open} onClose={() => setOpen(false)}>
        {open && <Text at={pathname} />}
      </Sheet>
    </>
  )
}

function Text({ at }: { at: string }) {
  const { data, error } = useQuery({
    queryKey: ['guide', at],
    queryFn: () => get<GuidePage>(`/api/guide?at=${encodeURIComponent(at)}`),
    retry: false,
    staleTime: Infinity,
  })
  if (error) return <p>{words().noGuide}</p>
  if (!data) return <LoadingNote says={words().fetchingText} />
  return (
    <Box>
      <chakra.p mb="8px">
        <strong>{data.title}.</strong> {data.what}
      </chakra.p>
      <chakra.ul ps="18px" listStyleType="'– '" mb="10px">
        {data.how.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </chakra.ul>
      {data.keys.length > 0 && (
        <Flex wrap="wrap" gap="3px 16px" mb="10px" fontSize="13px">
          {data.keys.map((one) => (
            <span key={one.key}>
              <Key>{one.key}</Key> {one.does}
            </span>
          ))}
        </Flex>
      )}
      {data.signs.length > 0 && (
        <chakra.p fontSize="13px" color="ink2" mb="10px">
          {data.signs.join(' · ')}
        </chakra.p>
      )}
      <chakra.a href={`/api/guide/${data.card}.pdf`} textDecoration="underline" target="_blank" rel="noreferrer">
        {words().card}
      </chakra.a>
    </Box>
  )
}
