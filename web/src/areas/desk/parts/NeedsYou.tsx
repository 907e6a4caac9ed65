import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState, type ReactNode } from 'react'
import type { Desk, Waiting } from '../../../shared/api/types'
import { countdown } from '../../../shared/time'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Select, TextInput } from '../../../shared/ui/Fields'
import { Key } from '../../../shared/ui/Key'
import { VerdictMark } from '../../../shared/ui/VerdictMark'
import { SentFile } from '../../../shared/ui/SentFile'
import type { Give } from '../api'
import { useArrivalSound } from '../hooks/useArrivalSound'
import type { Need } from '../queue'

interface NeedsYouProps {
  queue: Need[]
  desk: Desk
  now: number
  give: Give
  onWhy: (rule: string) => void
}

/** The only place that asks for attention: oldest first, with what is known and the likely actions. */
export function NeedsYou({ queue, desk, now, give, onWhy }: NeedsYouProps) {
  const refused = desk.refused.slice(0, 3)
  const [sounds, setSounds] = useArrivalSound(desk.waiting)
  return (
    <Box flex="1 1 74%" minH="0" overflowY="auto" pb="4px" tabIndex={0} role="region" aria-label="Needs you">
      <Flex as="h2" justify="space-between" align="baseline" px="14px" pt="9px" pb="5px" fontSize="15px">
        Needs you
        <chakra.span fontFamily="body" fontWeight="400" fontSize="12px" color="ink2">
          {queue.length > 0 ? `${queue.length}, oldest first · ` : ''}
          <Button look="quiet" fontSize="12px" aria-pressed={sounds} onClick={() => setSounds(!sounds)}>
            {sounds ? 'a sound at a knock' : 'no sound at a knock'}
          </Button>
        </chakra.span>
      </Flex>
      <Signals desk={desk} give={give} />
      <Box aria-live="polite">
        {queue.length === 0 && (
          <Box px="14px" pb="8px" color="ink2">
            Nobody waits, no hand is up. Teach on.
          </Box>
        )}
        {queue.map((need, place) => (
          <Card key={need.key} first={place === 0} brief={place > 1 && BRIEF.has(need.kind)} age={age(need, now)}>
            <Body need={need} desk={desk} give={give} onWhy={onWhy} />
          </Card>
        ))}
      </Box>
      {refused.length > 0 && (
        <Box mx="10px" mt="6px" fontSize="12.5px" color="ink2">
          {refused.map((one) => (
            <Flex key={one.visit} gap="6px" py="2px">
              <VerdictMark verdict="away" />
              <span>
                <strong>{one.name}</strong> turned away. {one.reasons[0]?.text}
              </span>
            </Flex>
          ))}
        </Box>
      )}
    </Box>
  )
}

const SIGNS: Record<string, string> = {
  AGREE: 'agree',
  DISAGREE: 'disagree',
  SLOWER: 'slower',
  FASTER: 'faster',
  BREAK: 'a break',
  CANNOT_HEAR: 'cannot hear',
}

/** Signals are counted, not queued: nobody needs an answer to "agree". */
function Signals({ desk, give }: { desk: Desk; give: Give }) {
  if (desk.signs.length === 0) return null
  return (
    <Flex mx="14px" mb="5px" gap="10px" fontSize="13px" wrap="wrap" role="status" aria-label="Signals">
      {desk.signs.map((one) => (
        <span key={one.sign} title={one.names.join(', ')}>
          <chakra.strong fontFamily="mono">{one.count}</chakra.strong> {SIGNS[one.sign]}
        </span>
      ))}
      <Button look="quiet" fontSize="12px" onClick={() => give({ do: 'clear-signs' })}>
        clear signals
      </Button>
    </Flex>
  )
}

function age(need: Need, now: number): string {
  return need.kind === 'ending' ? `in ${countdown(need.until - now)}` : countdown(now - need.since)
}

/** What is said in full only near the top: the actions tell enough. At the door the reason always stands. */
const BRIEF = new Set<Need['kind']>(['hand', 'ending', 'lost', 'stance', 'sign'])

interface CardProps {
  first: boolean
  brief: boolean
  age: string
  children: ReactNode
}

function Card({ first, brief, age: shown, children }: CardProps) {
  return (
    <Box
      as="article"
      position="relative"
      mx="10px"
      mb="4px"
      px="9px"
      py="3px"
      css={{ '& button': { paddingTop: '1px', paddingBottom: '1px' }, '& [data-detail]': brief ? { display: 'none' } : {} }}
      bg={first ? 'markSoft' : 'sheet'}
      border="1px solid"
      borderColor={first ? 'mark' : 'line'}
      borderLeft="4px solid"
      borderLeftColor="mark"
    >
      <chakra.span position="absolute" right="9px" top="6px" fontFamily="mono" fontSize="12px" color="ink2">
        {shown}
      </chakra.span>
      {children}
    </Box>
  )
}

function Body({ need, desk, give, onWhy }: { need: Need; desk: Desk; give: Give; onWhy: NeedsYouProps['onWhy'] }) {
  const time = useSchoolTime()
  switch (need.kind) {
    case 'listed':
      return <Listed waiting={need.waiting} give={give} onWhy={onWhy} />
    case 'unsure':
      return <Unsure waiting={need.waiting} desk={desk} give={give} onWhy={onWhy} />
    case 'hand':
      return (
        <>
          <Title>{need.pupil.name} raises a hand</Title>
          <Small>{spoken(need.pupil.timesSpoken)}</Small>
          <Actions>
            <Button onClick={() => give({ do: 'pass', person: need.pupil.id, rule: 'voice.speak', minutes: 2 })}>
              Let speak 2 min <Key>S</Key>
            </Button>
            <Button onClick={() => give({ do: 'lower-hand', person: need.pupil.id })}>Lower</Button>
          </Actions>
        </>
      )
    case 'ending':
      return (
        <>
          <Title>{need.pupil.name}: pass ends</Title>
          <Small>{need.title}</Small>
          <Actions>
            <Button onClick={() => give({ do: 'pass', person: need.pupil.id, rule: need.rule, minutes: 2 })}>2 min more</Button>
            <Button onClick={() => give({ do: 'end-loan', person: need.pupil.id, rule: need.rule })}>End now</Button>
          </Actions>
        </>
      )
    case 'held':
      return (
        <>
          <Title>
            {need.held.name} {need.held.file ? 'sends a file' : 'writes'} to {need.held.to}
          </Title>
          <Small>It {need.held.because}. Only you read it so far:</Small>
          <Box fontSize="13px" overflowWrap="anywhere">
            “
            <SentFile
              text={need.held.text}
              file={need.held.file}
              href={`/api/lessons/${encodeURIComponent(desk.lesson)}/files/${need.held.number}`}
            />
            ”
          </Box>
          <Actions>
            <Button onClick={() => give({ do: 'let-through', number: need.held.number })}>Let through</Button>
            <Button onClick={() => give({ do: 'keep-back', number: need.held.number })}>Keep back</Button>
          </Actions>
        </>
      )
    case 'stance':
      return (
        <>
          <Title>{need.name} is planned now</Title>
          <Small>By the running order. Nothing changes until you say so.</Small>
          <Actions>
            <Button onClick={() => give({ do: 'stance', stance: need.id, keepLive: false })}>
              Switch to {need.name} <Key>N</Key>
            </Button>
          </Actions>
        </>
      )
    case 'sign':
      return (
        <>
          <Title>
            {need.pupil.name} {need.says}
          </Title>
          <Actions>
            <Button
              onClick={() =>
                give({ do: 'say', to: 'ONE', person: need.pupil.id, text: 'I saw your signal. Write to me what is wrong.' })
              }
            >
              Ask what is wrong
            </Button>
          </Actions>
        </>
      )
    case 'lost':
      return (
        <>
          <Title>{need.pupil.name} lost the connection</Title>
          <Small>
            The seat is kept; coming back needs no knock.
            {need.pupil.backBy && ` Back by ${time.clock(need.pupil.backBy)} it is no gap in the register.`}
          </Small>
        </>
      )
  }
}

function Listed({ waiting, give, onWhy }: { waiting: Waiting[]; give: Give; onWhy: NeedsYouProps['onWhy'] }) {
  const [single, setSingle] = useState(false)
  return (
    <>
      <Title mark>{waiting.length === 1 ? waiting[0]?.name + ' waits' : `${waiting.length} on the class list wait`}</Title>
      <Small>
        {waiting.length > 1 && waiting.map((one) => one.name).join(', ') + '. '}
        {waiting[0] && <Reasons reasons={waiting[0].reasons.slice(0, 1)} onWhy={onWhy} />}
      </Small>
      <Actions>
        <Button look="main" onClick={() => give({ do: 'admit-all-listed' })}>
          {waiting.length === 1 ? 'Let in' : `Let all ${waiting.length} in`} <Key>A</Key>
        </Button>
        <Button onClick={() => setSingle(!single)} aria-expanded={single}>
          {waiting.length === 1 ? 'More' : 'One by one'}
        </Button>
      </Actions>
      {single &&
        waiting.map((one) => (
          <Flex key={one.visit} align="center" gap="6px" mt="4px">
            <Box flex="1">{one.personName}</Box>
            <Button size="small" onClick={() => give({ do: 'admit', visit: one.visit, as: one.person ?? null })}>
              Let in
            </Button>
            <Button size="small" onClick={() => give({ do: 'turn-away', visit: one.visit })}>
              Turn away
            </Button>
          </Flex>
        ))}
    </>
  )
}

function Unsure({ waiting, desk, give, onWhy }: { waiting: Waiting; desk: Desk; give: Give; onWhy: NeedsYouProps['onWhy'] }) {
  const [asking, setAsking] = useState(false)
  const [guest, setGuest] = useState(false)
  const missing = desk.pupils.filter((pupil) => pupil.whereabouts !== 'IN')
  return (
    <>
      <Title mark>“{waiting.name}”</Title>
      <Small>
        <Reasons
          reasons={waiting.reasons.filter((one) => !/^(Everyone knocks|On the class list)/.test(one.text))}
          onWhy={onWhy}
        />
      </Small>
      <Actions>
        {waiting.person && (
          <Button onClick={() => give({ do: 'admit', visit: waiting.visit, as: waiting.person ?? null })}>
            Let in as {waiting.personName}
          </Button>
        )}
        {!waiting.person && (
          <Button onClick={() => setAsking(!asking)} aria-expanded={asking}>
            Let in as…
          </Button>
        )}
        {!waiting.person && (
          <Button onClick={() => setGuest(!guest)} aria-expanded={guest}>
            As a guest…
          </Button>
        )}
        <Button onClick={() => give({ do: 'turn-away', visit: waiting.visit })}>Turn away</Button>
      </Actions>
      {guest && <AsGuest waiting={waiting} give={give} />}
      {asking && missing.length === 0 && (
        <Small>Everyone on the class list is here. Let them in as a guest, or turn them away.</Small>
      )}
      {asking && missing.length > 0 && (
        <Select
          mt="5px"
          aria-label={`Who is ${waiting.name}?`}
          defaultValue=""
          onChange={(event) => give({ do: 'admit', visit: waiting.visit, as: event.target.value })}
        >
          <option value="" disabled>
            Who of those not here?
          </option>
          {missing.map((pupil) => (
            <option key={pupil.id} value={pupil.id}>
              {pupil.name}
            </option>
          ))}
        </Select>
      )}
    </>
  )
}

/** Somebody on no list, for this lesson only: an adult vouches, and the safeguarding lead is told. */
function AsGuest({ waiting, give }: { waiting: Waiting; give: Give }) {
  const [name, setName] = useState(waiting.name)
  const [note, setNote] = useState('')
  return (
    <chakra.form
      mt="5px"
      aria-label={`${waiting.name} as a guest`}
      onSubmit={(event) => {
        event.preventDefault()
        give({ do: 'admit-guest', visit: waiting.visit, name, note })
      }}
    >
      <TextInput
        aria-label="The guest’s name"
        maxLength={80}
        value={name}
        onChange={(event) => setName(event.target.value)}
        mb="4px"
        required
      />
      <TextInput
        aria-label="Note to the safeguarding lead"
        placeholder="Who it is and why: the lead reads this"
        maxLength={500}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        mb="4px"
        required
      />
      <Button type="submit">Let in for this lesson</Button>
    </chakra.form>
  )
}

/** What was found at the door, each with the rule behind it, if there is one. */
function Reasons({ reasons, onWhy }: { reasons: Waiting['reasons']; onWhy: NeedsYouProps['onWhy'] }) {
  return reasons.map((one) => {
    const rule = one.rule
    return (
      <span key={one.text}>
        {one.text}{' '}
        {rule && (
          <>
            <Button look="quiet" fontSize="12px" aria-label={`Why: ${one.text}`} onClick={() => onWhy(rule)}>
              why
            </Button>{' '}
          </>
        )}
      </span>
    )
  })
}

function Title({ mark, children }: { mark?: boolean; children: ReactNode }) {
  return (
    <Flex gap="7px" align="baseline" pr="52px" fontWeight="650" overflowWrap="anywhere">
      {mark && <VerdictMark verdict="wait" />}
      <span>{children}</span>
    </Flex>
  )
}

function Small({ children }: { children: ReactNode }) {
  return (
    <Box data-detail fontSize="12px" lineHeight="1.35" color="ink2">
      {children}
    </Box>
  )
}

function Actions({ children }: { children: ReactNode }) {
  return (
    <Flex gap="6px" mt="3px" wrap="wrap">
      {children}
    </Flex>
  )
}

function spoken(times: number): string {
  return times === 0 ? 'Has not spoken yet in this lesson.' : times === 1 ? 'Has spoken once.' : `Has spoken ${times} times.`
}
