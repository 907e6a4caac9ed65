import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/outbox'
import { edit, EDITED, get } from '../../shared/api/http'
import type { Me, MessageTemplate, OutboxPage, SentLine } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextArea, TextField, TextInput } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

type Kind = SentLine['kind']

const KINDS: Record<Kind, string> = {
  REMINDER: say.reminder,
  NUDGE: say.nudge,
  CHANGE: say.change,
  NEW_LINK: say.newLink,
  PARENTS: say.letter,
  WORRY: say.worry,
  INVITATION: say.invitation,
}

/** What went out to whom and when, and the school's words for it (need C3). */
export default function OutboxScreen() {
  return <Page title={say.outbox}>{(me) => <Shown me={me} />}</Page>
}

function Shown({ me }: { me: Me }) {
  const [kind, setKind] = useState<Kind | ''>('')
  const [name, setName] = useState('')
  const sent = useInfiniteQuery({
    queryKey: ['outbox', kind, name],
    queryFn: ({ pageParam }) =>
      get<OutboxPage>(
        `/api/outbox?name=${encodeURIComponent(name)}${kind && `&kind=${kind}`}${pageParam && `&before=${pageParam}`}`,
      ),
    initialPageParam: '',
    getNextPageParam: (last) => (last.more ? String(last.messages.at(-1)!.id) : undefined),
    placeholderData: (before) => before,
    refetchInterval: 20_000,
  })
  const messages = sent.data?.pages.flatMap((page) => page.messages)
  return (
    <Box px="20px" py="16px" maxW="1240px" mx="auto">
      <chakra.h1 fontSize="25px">{say.outbox}</chakra.h1>
      <chakra.p color="ink2" mb="12px">
        {say.remindersNudgesAndNoticesGo}
      </chakra.p>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) 420px' }} gap="32px" alignItems="start">
        <Box>
          <Flex gap="10px" mb="8px" align="end">
            <Labelled label={say.kind}>
              {(id) => (
                <Select id={id} value={kind} onChange={(event) => setKind(event.target.value as Kind | '')}>
                  <option value="">{say.allKinds}</option>
                  {Object.entries(KINDS).map(([one, words]) => (
                    <option key={one} value={one}>
                      {words}
                    </option>
                  ))}
                </Select>
              )}
            </Labelled>
            <Labelled label={say.to}>
              {(id) => (
                <TextInput id={id} placeholder={say.partOfAName} value={name} onChange={(event) => setName(event.target.value)} />
              )}
            </Labelled>
          </Flex>
          <ProblemNote problem={sent.error} />
          {!messages && !sent.error && <LoadingNote what={say.theOutbox} />}
          {messages?.length === 0 && <EmptyNote>{say.nothingOfThisKindWent(kind, name)}</EmptyNote>}
          {messages && messages.length > 0 && <Sent messages={messages} />}
          {sent.hasNextPage && (
            <Button mt="8px" disabled={sent.isFetchingNextPage} onClick={() => void sent.fetchNextPage()}>
              {say.showOlderOnes}
            </Button>
          )}
        </Box>
        <Words mayChange={me.position === 'LEAD'} />
      </Grid>
    </Box>
  )
}

/** Messages of one kind and subject that went out together. */
function together(messages: SentLine[]): SentLine[][] {
  const groups: SentLine[][] = []
  for (const one of messages) {
    const first = groups.at(-1)?.[0]
    const same = first?.kind === one.kind && first.subject === one.subject && first.at === one.at
    if (same) groups.at(-1)!.push(one)
    else groups.push([one])
  }
  return groups
}

function Sent({ messages }: { messages: SentLine[] }) {
  const [open, setOpen] = useState<number | null>(null)
  return (
    <chakra.ul listStyleType="none" bg="sheet" borderTop="1.5px solid" borderColor="ink">
      {together(messages).map((group) => {
        const id = group.at(-1)!.id
        return <Group key={id} group={group} open={open === id} onToggle={() => setOpen(open === id ? null : id)} />
      })}
    </chakra.ul>
  )
}

function Group({ group, open, onToggle }: { group: SentLine[]; open: boolean; onToggle: () => void }) {
  const time = useSchoolTime()
  const first = group[0]!
  const [shown, setShown] = useState(first.id)
  const one = group.find((message) => message.id === shown) ?? first
  return (
    <chakra.li borderBottom="1px solid" borderColor="line">
      <chakra.button
        type="button"
        aria-expanded={open}
        display="grid"
        gridTemplateColumns={{ base: '1fr', md: '142px 78px minmax(0, 1.3fr) minmax(0, 1fr)' }}
        gap={{ base: '0', md: '12px' }}
        w="100%"
        textAlign="start"
        px="8px"
        py="4px"
        cursor="pointer"
        onClick={onToggle}
      >
        <chakra.span fontFamily="mono" fontSize="13px" whiteSpace="nowrap">
          {time.day(first.at)} {time.clock(first.at)}
        </chakra.span>
        <chakra.span color="ink2" fontSize="13px">
          {KINDS[first.kind]}
        </chakra.span>
        <chakra.span fontWeight="600" overflowWrap="anywhere">
          {first.subject}
        </chakra.span>
        <chakra.span overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
          {say.toToPeople(group.length, first.name, group.map((each) => each.name).join(', '))}
        </chakra.span>
      </chakra.button>
      {open && (
        <Box px="14px" pt="4px" pb="10px" bg="markSoft">
          {group.length > 1 && (
            <Flex gap="2px 12px" wrap="wrap" mb="6px">
              {group.map((each) => (
                <Button
                  key={each.id}
                  look="quiet"
                  fontSize="13px"
                  aria-pressed={each.id === one.id}
                  fontWeight={each.id === one.id ? 650 : 400}
                  onClick={() => setShown(each.id)}
                >
                  {each.name}
                </Button>
              ))}
            </Flex>
          )}
          <chakra.p color="ink2" fontSize="12.5px">
            {say.toSaid(one.way, one.name)}
          </chakra.p>
          <chakra.pre fontFamily="body" whiteSpace="pre-wrap" overflowWrap="anywhere">
            {one.body}
          </chakra.pre>
        </Box>
      )}
    </chakra.li>
  )
}

function Words({ mayChange }: { mayChange: boolean }) {
  const { data, error } = useQuery({
    queryKey: ['templates'],
    ...EDITED,
    queryFn: () => get<MessageTemplate[]>('/api/outbox/templates'),
  })
  const [kind, setKind] = useState<Kind>('REMINDER')
  if (error) return <ProblemNote problem={error} />
  const chosen = data?.find((one) => one.kind === kind)
  return (
    <chakra.section aria-label={say.theSchoolsWords} bg="sheet" border="1px solid" borderColor="lineStrong" px="16px" py="12px">
      <chakra.h2 fontSize="17px" mb="6px">
        {say.theSchoolsWords}
      </chakra.h2>
      <Labelled label={say.for}>
        {(id) => (
          <Select id={id} value={kind} onChange={(event) => setKind(event.target.value as Kind)}>
            {data?.map((one) => (
              <option key={one.kind} value={one.kind}>
                {say.ownWords(one.title, one.own)}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      {chosen && <WordsOf key={chosen.kind + chosen.subject + chosen.body} template={chosen} mayChange={mayChange} />}
    </chakra.section>
  )
}

function WordsOf({ template, mayChange }: { template: MessageTemplate; mayChange: boolean }) {
  const cache = useQueryClient()
  const [subject, setSubject] = useState(template.subject)
  const [body, setBody] = useState(template.body)
  const save = useMutation({
    mutationFn: (words: { subject?: string; body?: string }) =>
      edit<MessageTemplate[]>(`/api/outbox/templates/${template.kind}`, words, '/api/outbox/templates'),
    onSuccess: (next) => cache.setQueryData(['templates'], next),
  })
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate({ subject, body })
      }}
    >
      <TextField label={say.subject} value={subject} readOnly={!mayChange} onChange={(event) => setSubject(event.target.value)} />
      <Labelled label={say.words} hint={say.inBracesStandsWhatDiffers(template.places.map((one) => `{${one}}`).join(' '))}>
        {(id) => (
          <TextArea id={id} rows={7} value={body} readOnly={!mayChange} onChange={(event) => setBody(event.target.value)} />
        )}
      </Labelled>
      <ProblemNote problem={save.error} compact />
      {mayChange ? (
        <Flex gap="8px" wrap="wrap">
          <Button type="submit" look="main" disabled={save.isPending || (subject === template.subject && body === template.body)}>
            {say.useTheseWords}
          </Button>
          {template.own && <Button onClick={() => save.mutate({})}>{say.backToTheUsualWords}</Button>}
        </Flex>
      ) : (
        <chakra.p color="ink2">{say.theSafeguardingLeadChoosesTheWords}</chakra.p>
      )}
    </chakra.form>
  )
}
