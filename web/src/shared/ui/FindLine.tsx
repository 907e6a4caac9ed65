import { Box, chakra, Flex } from '@chakra-ui/react'
import { keepPreviousData, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../languages/en/staff/shared'
import { get } from '../api/http'
import type { FoundLine, Me } from '../api/types'
import { useNow } from '../time'
import { Button } from './Button'
import { TextInput } from './Fields'
import { hitOf, pagesFor, type Hit } from './find'
import { Key } from './Key'
import { ProblemNote } from './Notes'
import { Sheet } from './Sheet'
import { useOpenKey } from './useOpenKey'
import { WhyHere } from './Why'

const PAUSE_MS = 120

/** One key opens a line in which one types a name or what one means to do; the likely act stands first. */
export default function FindLine({ me, demo, shown }: { me: Me; demo: boolean; shown: boolean }) {
  const [open, setOpen] = useOpenKey('/')
  return (
    <>
      {shown && (
        <Button size="small" onClick={() => setOpen(true)} aria-label={say.findAndDo}>
          <chakra.span hideBelow="lg">{say.findAndDo}</chakra.span>
          <chakra.span hideFrom="lg">{say.find}</chakra.span>{' '}
          <chakra.span hideBelow="md">
            <Key>/</Key>
          </chakra.span>
        </Button>
      )}
      <Sheet title={say.findAndDo} wide open={open} onClose={() => setOpen(false)}>
        {open && <Line me={me} demo={demo} onDone={() => setOpen(false)} />}
      </Sheet>
    </>
  )
}

function Line({ me, demo, onDone }: { me: Me; demo: boolean; onDone: () => void }) {
  const [typed, setTyped] = useState('')
  const [asked, setAsked] = useState('')
  const [at, setAt] = useState(0)
  const [why, setWhy] = useState<Hit | null>(null)
  const navigate = useNavigate()
  const now = useNow()
  useEffect(() => {
    const timer = setTimeout(() => setAsked(typed.trim()), PAUSE_MS)
    return () => clearTimeout(timer)
  }, [typed])
  const { data, error, isFetching } = useQuery({
    queryKey: ['find', asked],
    queryFn: () => get<FoundLine[]>(`/api/find?typed=${encodeURIComponent(asked)}`),
    enabled: asked !== '',
    placeholderData: keepPreviousData,
  })
  const hits = typed.trim() === '' ? [] : [...pagesFor(typed, me, demo), ...(data ?? []).map((one) => hitOf(one, now))]
  const chosen = Math.min(at, hits.length - 1)
  const go = (hit: Hit | undefined) => {
    if (!hit) return
    if (hit.to) {
      onDone()
      void navigate(hit.to)
    } else setWhy(hit)
  }
  const shown = why ? [why] : hits
  return (
    <Box>
      <TextInput
        aria-label={say.findAndDo}
        role="combobox"
        aria-expanded={shown.length > 0}
        aria-controls={shown.length > 0 ? 'found' : undefined}
        aria-activedescendant={hits[chosen] && `found-${chosen}`}
        autoFocus
        autoComplete="off"
        placeholder={say.aNameAClass}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value)
          setAt(0)
          setWhy(null)
        }}
        onKeyDown={(event) => {
          const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
          if (step) {
            event.preventDefault()
            setAt(Math.max(0, Math.min(hits.length - 1, chosen + step)))
          }
          if (event.key === 'Enter') {
            event.preventDefault()
            go(hits[chosen])
          }
        }}
      />
      <ProblemNote problem={error} compact />
      <Box mt="8px" minH={why ? undefined : '190px'}>
        {shown.length > 0 ? (
          <Box as="ul" id="found" role="listbox" aria-label={say.found} listStyleType="none">
            {shown.map((hit, place) => (
              <Flex
                as="li"
                role="option"
                id={`found-${place}`}
                key={hit.key}
                aria-selected={!!why || place === chosen}
                bg={why || place === chosen ? 'markSoft' : 'transparent'}
                borderBottom="1px solid"
                borderColor="line"
                px="8px"
                py="5px"
                gap="12px"
                justify="space-between"
                cursor="pointer"
                onClick={() => go(hit)}
              >
                <chakra.span fontWeight="600">{hit.says}</chakra.span>
                <chakra.span color="ink2" fontSize="13px" textAlign="end">
                  {hit.detail}
                </chakra.span>
              </Flex>
            ))}
          </Box>
        ) : (
          <chakra.p color="ink2" px="8px" py="6px">
            {say.typeTheBeginning(typed.trim(), isFetching, asked)}
          </chakra.p>
        )}
      </Box>
      {why?.why && <WhyHere path={why.why} />}
      {why && !why.why && <p>{say.thereIsNoLessonNear}</p>}
      <chakra.p fontSize="12.5px" color="ink2" mt="8px">
        <Key>↑</Key> <Key>↓</Key> {say.choose} <Key>Enter</Key> {say.goesThere} <Key>Esc</Key> {say.closes}
      </chakra.p>
    </Box>
  )
}
