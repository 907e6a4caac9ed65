import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/classes'
import { get, post, put } from '../../shared/api/http'
import type { ClassPage, Joining as JoiningPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { CalendarAddress } from '../../shared/ui/CalendarAddress'
import { LANGUAGE_NAMES } from '../../languages/language'
import { Select } from '../../shared/ui/Fields'
import { CopyButton } from '../../shared/ui/CopyButton'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import { JoinWord } from './JoinWord'

/** How a class is joined: the note to hand out, the word, the links, and whether pupils find them by themselves. */
export function Joining({ page }: { page: ClassPage }) {
  const [language, setLanguage] = useState('en')
  const key = ['joining', page.id, language]
  const path = `/api/classes/${page.id}`
  const cache = useQueryClient()
  const { data, error } = useQuery({
    queryKey: key,
    queryFn: () => get<JoiningPage>(`${path}/joining?language=${language}`),
    placeholderData: keepPreviousData,
  })
  const again = () => cache.invalidateQueries({ queryKey: ['joining', page.id] })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theJoiningNote} />
  return (
    <Grid templateColumns={{ base: '1fr', lg: '1fr 400px' }} gap="32px" alignItems="start">
      <Note joining={data} title={page.title} path={path} language={language} onLanguage={setLanguage} />
      <Box>
        <Heading>{say.joinWord}</Heading>
        <JoinWord path={path} mine={page.mine} onChanged={again} />
        <Heading>{say.onThePupilsOwnPages}</Heading>
        <Shown
          joining={data}
          path={path}
          mine={page.mine}
          language={language}
          onChanged={(next) => cache.setQueryData(key, next)}
        />
        <Heading>{say.links}</Heading>
        <Links joining={data} path={path} mine={page.mine} onChanged={again} />
        <Heading>{say.inCalendarPrograms}</Heading>
        <CalendarAddress path={`${path}/feed`} renewable={page.mine} />
      </Box>
    </Grid>
  )
}

function Heading({ children }: { children: string }) {
  return (
    <chakra.h2 fontSize="16px" mt="18px" mb="4px" _first={{ mt: 0 }} borderBottom="1px solid" borderColor="lineStrong">
      {children}
    </chakra.h2>
  )
}

interface NoteProps {
  joining: JoiningPage
  title: string
  path: string
  language: string
  onLanguage: (tag: string) => void
}

function Note({ joining, title, path, language, onLanguage }: NoteProps) {
  const [full, setFull] = useState(false)
  const note = full ? joining.inFull : joining.forPupils
  return (
    <Box>
      <Flex gap="18px" align="baseline" mb="8px">
        <chakra.h2 fontSize="18px">{say.joiningNote}</chakra.h2>
        {[false, true].map((one) => (
          <chakra.button
            key={String(one)}
            type="button"
            aria-pressed={full === one}
            cursor="pointer"
            py="2px"
            fontWeight={full === one ? 650 : 400}
            boxShadow={full === one ? 'inset 0 -3px 0 var(--chakra-colors-mark)' : 'none'}
            onClick={() => setFull(one)}
          >
            {say.forParentsAndVisitorsForPupils(one)}
          </chakra.button>
        ))}
        <Select w="auto" aria-label={say.languageOfTheNote} value={language} onChange={(event) => onLanguage(event.target.value)}>
          {LANGUAGE_NAMES.map((one) => (
            <option key={one.tag} value={one.tag}>
              {one.name}
            </option>
          ))}
        </Select>
      </Flex>
      <Flex
        className="paper"
        bg="sheet"
        border="1px solid"
        borderColor="lineStrong"
        borderTop="3px double"
        borderTopColor="ink"
        px="20px"
        py="16px"
        gap="20px"
        align="start"
        wrap={{ base: 'wrap', sm: 'nowrap' }}
      >
        <chakra.pre
          lang={language}
          fontFamily="body"
          fontSize="15.5px"
          lineHeight="1.55"
          whiteSpace="pre-wrap"
          overflowWrap="anywhere"
          flex="1"
          minW="0"
          css={{ '&::first-line': { fontWeight: 700, fontSize: '19px' } }}
        >
          {note.text}
        </chakra.pre>
        <Box w="132px" flexShrink={0}>
          <chakra.img src={`${path}/link.svg?of=${joining.link.slice(-12)}`} alt={say.qrCodeOfTheLink(title)} w="132px" />
          <chakra.p fontSize="12px" color="ink2" textAlign="center">
            {say.theLinkToBeScanned}
          </chakra.p>
        </Box>
      </Flex>
      <Flex gap="8px" mt="10px" align="center" wrap="wrap">
        <CopyButton look="main" text={note.text}>
          {say.copyAsText}
        </CopyButton>
        <CopyButton text={note.text} html={note.html}>
          {say.copyAsRichText}
        </CopyButton>
        <Button onClick={() => window.print()}>{say.print}</Button>
      </Flex>
    </Box>
  )
}

function Shown({
  joining,
  path,
  mine,
  language,
  onChanged,
}: {
  joining: JoiningPage
  path: string
  mine: boolean
  /** In which the note of the answer is written. */
  language: string
  onChanged: (next: JoiningPage) => void
}) {
  const change = useMutation({
    mutationFn: (shown: boolean) => put<JoiningPage>(`${path}/link/shown?language=${language}`, { shown }),
    onSuccess: onChanged,
  })
  return (
    <Box>
      <p>{say.theLinkIsShown(joining.shown, joining.shownMinutes, joining.shownBound)}</p>
      {mine && !joining.shownBound && (
        <Button mt="4px" disabled={change.isPending} onClick={() => change.mutate(!joining.shown)}>
          {say.hideTheLinkFromPupils(joining.shown)}
        </Button>
      )}
      <ProblemNote problem={change.error} compact />
    </Box>
  )
}

const KINDS = {
  class: {
    title: say.renewTheLink,
    what: say.theOldLinkCounts,
    path: 'link/renew',
  },
  staff: {
    title: say.renewTheLinkForStaff,
    what: say.theOldOneLeadsNowhere,
    path: 'staff-link/renew',
  },
} as const

function Links({ joining, path, mine, onChanged }: { joining: JoiningPage; path: string; mine: boolean; onChanged: () => void }) {
  const [renewing, setRenewing] = useState<keyof typeof KINDS | null>(null)
  const cache = useQueryClient()
  const renew = useMutation({
    mutationFn: (kind: keyof typeof KINDS) => post<ClassPage>(`${path}/${KINDS[kind].path}`),
    onSuccess: (next) => {
      cache.setQueryData(['class', next.id], next)
      setRenewing(null)
      onChanged()
    },
  })
  return (
    <Box>
      <Address label={say.forPupils} address={joining.link} onRenew={mine ? () => setRenewing('class') : undefined} />
      <chakra.p color="ink2" fontSize="13px" mb="8px">
        {joining.renewal}
      </chakra.p>
      <Address
        label={say.forAdultsOfTheClass}
        address={joining.staffLink}
        onRenew={mine ? () => setRenewing('staff') : undefined}
      />
      <chakra.p color="ink2" fontSize="13px">
        {say.visitorsHaveALink}
      </chakra.p>
      <Sheet title={KINDS[renewing ?? 'class'].title} open={renewing !== null} onClose={() => setRenewing(null)}>
        <chakra.p mb="12px">{KINDS[renewing ?? 'class'].what}</chakra.p>
        <ProblemNote problem={renew.error} />
        <Flex gap="8px">
          <Button look="main" disabled={renew.isPending} onClick={() => renewing && renew.mutate(renewing)}>
            {say.renewIt}
          </Button>
          <Button onClick={() => setRenewing(null)}>{say.keepIt}</Button>
        </Flex>
      </Sheet>
    </Box>
  )
}

function Address({ label, address, onRenew }: { label: string; address: string; onRenew?: () => void }) {
  return (
    <Box mb="4px">
      <chakra.span fontWeight="600">{label}</chakra.span>
      <chakra.p fontFamily="mono" fontSize="12.5px" overflowWrap="anywhere">
        {address}
      </chakra.p>
      <Flex gap="8px" mt="3px" align="center">
        <CopyButton text={address}>{say.copy}</CopyButton>
        {onRenew && (
          <Button onClick={onRenew}>
            <span>
              {say.renew}
              <chakra.span srOnly> {say.theLink(label.toLowerCase())}</chakra.span>…
            </span>
          </Button>
        )}
      </Flex>
    </Box>
  )
}
