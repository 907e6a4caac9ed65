import { chakra, Box, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/door'
import type { Waiting } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { Actions, Small, Title, type CardProps, type Cards } from '../cards'
import type { Give } from '../orders'

/** Who waits, and who lost the line. */
export const doorNeeds: Cards = { LISTED: Listed, UNSURE: Unsure, LOST: Lost }

function Lost({ need, desk }: CardProps) {
  const time = useSchoolTime()
  const pupil = desk.door.pupils.find((one) => one.id === need.person)
  return (
    <>
      <Title>{need.says}</Title>
      <Small>
        {say.theSeatIsKeptComing}
        {pupil?.backBy && say.backBy(time.clock(pupil.backBy))}
      </Small>
    </>
  )
}

function Listed({ need, desk, give, onWhy }: CardProps) {
  const waiting = desk.door.waiting.filter((one) => need.visits.includes(one.visit))
  const [single, setSingle] = useState(false)
  const { oneByOne } = desk.door
  return (
    <>
      <Title mark>{waiting.length === 1 ? waiting[0]?.name + say.waits : say.onTheClassListWait(waiting.length)}</Title>
      <Small>
        {waiting.length > 1 && waiting.map((one) => one.name).join(', ') + '. '}
        {waiting[0] && <Reasons reasons={waiting[0].reasons.slice(0, 1)} onWhy={onWhy} />}
      </Small>
      <Actions>
        {!oneByOne && (
          <Button look="main" onClick={() => give({ do: 'admit-all-listed' })}>
            {say.letInLet(waiting.length)} <Key>A</Key>
          </Button>
        )}
        {!oneByOne && (
          <Button onClick={() => setSingle(!single)} aria-expanded={single}>
            {say.moreOne(waiting.length)}
          </Button>
        )}
      </Actions>
      {oneByOne && <Small>{say.theRulesLet}</Small>}
      {(single || oneByOne) &&
        waiting.map((one) => (
          <Flex key={one.visit} align="center" gap="6px" mt="4px">
            <Box flex="1">{one.personName}</Box>
            <Button size="small" onClick={() => give({ do: 'admit', visit: one.visit, as: one.person ?? null })}>
              {say.letIn}
            </Button>
            <Button size="small" onClick={() => give({ do: 'turn-away', visit: one.visit })}>
              {say.turnAway}
            </Button>
          </Flex>
        ))}
    </>
  )
}

function Unsure({ need, desk, give, onWhy }: CardProps) {
  const waiting = desk.door.waiting.find((one) => need.visits.includes(one.visit))
  const [asking, setAsking] = useState(false)
  const [guest, setGuest] = useState(false)
  const missing = desk.door.pupils.filter((pupil) => pupil.whereabouts !== 'IN')
  if (!waiting) return null
  return (
    <>
      <Title mark>{waiting.way === 'TELEPHONE' ? say.aCallFrom(waiting.name) : `“${waiting.name}”`}</Title>
      <Small>
        <Reasons reasons={waiting.reasons.filter((one) => one.matters)} onWhy={onWhy} />
      </Small>
      <Actions>
        {waiting.person && (
          <Button onClick={() => give({ do: 'admit', visit: waiting.visit, as: waiting.person ?? null })}>
            {say.letInAs} {waiting.personName}
          </Button>
        )}
        {!waiting.person && (
          <Button onClick={() => setAsking(!asking)} aria-expanded={asking}>
            {say.letInAsButton}
          </Button>
        )}
        {!waiting.person && (
          <Button onClick={() => setGuest(!guest)} aria-expanded={guest}>
            {say.asAGuest}
          </Button>
        )}
        <Button onClick={() => give({ do: 'turn-away', visit: waiting.visit })}>{say.turnAway}</Button>
      </Actions>
      {guest && <AsGuest waiting={waiting} give={give} />}
      {asking && missing.length === 0 && <Small>{say.everyoneOnTheClassList}</Small>}
      {asking && missing.length > 0 && (
        <Select
          mt="5px"
          aria-label={say.whoIs(waiting.name)}
          defaultValue=""
          onChange={(event) => give({ do: 'admit', visit: waiting.visit, as: event.target.value })}
        >
          <option value="" disabled>
            {say.whoOfThoseNotHere}
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
      aria-label={say.asAGuestSaid(waiting.name)}
      onSubmit={(event) => {
        event.preventDefault()
        give({ do: 'admit-guest', visit: waiting.visit, name, note })
      }}
    >
      <TextInput
        aria-label={say.theGuestsName}
        maxLength={80}
        value={name}
        onChange={(event) => setName(event.target.value)}
        mb="4px"
        required
      />
      <TextInput
        aria-label={say.noteToTheSafeguardingLead}
        placeholder={say.whoItIsAndWhy}
        maxLength={500}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        mb="4px"
        required
      />
      <Button type="submit">{say.letInForThisLesson}</Button>
    </chakra.form>
  )
}

/** What was found at the door, each with the rule behind it, if there is one. */
function Reasons({ reasons, onWhy }: { reasons: Waiting['reasons']; onWhy: CardProps['onWhy'] }) {
  return reasons.map((one) => {
    const rule = one.rule
    return (
      <span key={one.text}>
        {one.text}{' '}
        {rule && (
          <>
            <Button look="quiet" fontSize="12px" aria-label={say.why(one.text)} onClick={() => onWhy(rule)}>
              {say.whyButton}
            </Button>{' '}
          </>
        )}
      </span>
    )
  })
}
