import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/desk/questions'
import { get } from '../../shared/api/http'
import type { Desk, QuestionLine, SetsPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextArea } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { ProblemNote } from '../../shared/ui/Notes'
import { useDigits } from '../../shared/useDigits'
import type { OrderOf } from '../send'
import { QuestionFields } from './QuestionFields'
import type { Asking, questionsOrders } from './orders'

type Ask = (order: Extract<OrderOf<typeof questionsOrders>, { do: 'ask' }>) => void

const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six']

/** Answers that are ready: one press asks, whatever is written above or only said. */
const READY: { name: string; kind: Asking['kind']; choices: string[] }[] = [
  { name: say.trueOrFalse, kind: 'SINGLE', choices: ['true', 'false'] },
  { name: say.agreeOrNot, kind: 'SINGLE', choices: ['agree', 'partly', 'disagree'] },
  { name: say.twoToChoose, kind: 'SINGLE', choices: NUMBERS.slice(0, 2) },
  { name: say.three, kind: 'SINGLE', choices: NUMBERS.slice(0, 3) },
  { name: say.four, kind: 'SINGLE', choices: NUMBERS.slice(0, 4) },
  { name: say.five, kind: 'SINGLE', choices: NUMBERS.slice(0, 5) },
  { name: say.six, kind: 'SINGLE', choices: NUMBERS },
  { name: say.aNumberName, kind: 'NUMBER', choices: [] },
  { name: say.aShortTextName, kind: 'TEXT', choices: [] },
]

export const plain = (kind: Asking['kind'], text: string, choices: string[]): Asking => ({
  kind,
  text,
  choices,
  right: [],
  spellings: [],
  points: 0,
})

/** Ask now: by one press with ready answers, with one’s own, or one that was prepared. Keys 1 to 9 press the ready ones. */
export function Maker({ desk, ask, classId }: { desk: Desk; ask: Ask; classId: string | undefined }) {
  const [text, setText] = useState('')
  const [seconds, setSeconds] = useState('')
  const [changeable, setChangeable] = useState(true)
  const [group, setGroup] = useState('')
  const [own, setOwn] = useState<Asking | null>(null)
  const tables = desk.groups.out ? desk.groups.tables : []
  const send = (question: Asking, prepared?: string) =>
    ask({
      do: 'ask',
      question,
      changeable,
      ...(seconds ? { seconds: Number(seconds) } : {}),
      ...(group ? { group } : {}),
      ...(prepared ? { prepared } : {}),
    })
  useDigits((place) => {
    const ready = READY[place]
    if (ready && !own) send(plain(ready.kind, text.trim(), ready.choices))
  })
  return (
    <Box>
      <Labelled label={say.theQuestion} hint={say.orLeaveItEmpty}>
        {(id) => <TextArea id={id} rows={2} maxLength={600} value={text} onChange={(event) => setText(event.target.value)} />}
      </Labelled>
      <Flex gap="12px" wrap="wrap" mb="10px" align="center">
        <chakra.label>
          {say.openFor}{' '}
          <Select w="auto" value={seconds} onChange={(event) => setSeconds(event.target.value)}>
            <option value="">{say.untilIClose}</option>
            <option value="30">{say.seconds}</option>
            <option value="60">{say.minute}</option>
            <option value="120">{say.minutes}</option>
            <option value="300">{say.minutesChoice}</option>
          </Select>
        </chakra.label>
        <chakra.label display="flex" gap="5px" alignItems="center">
          <input type="checkbox" checked={changeable} onChange={(event) => setChangeable(event.target.checked)} />{' '}
          {say.mayBeChangedUntilItCloses}
        </chakra.label>
        {tables.length > 0 && (
          <chakra.label>
            {say.askedOf}{' '}
            <Select w="auto" value={group} onChange={(event) => setGroup(event.target.value)}>
              <option value="">{say.everybody}</option>
              {tables.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </Select>
          </chakra.label>
        )}
      </Flex>
      {own ? (
        <>
          <QuestionFields asking={{ ...own, text }} onChange={(next) => (setText(next.text), setOwn(next))} withText={false} />
          <Flex gap="8px" mt="10px">
            <Button
              look="main"
              onClick={() => send({ ...own, text: text.trim(), choices: own.choices.filter((one) => one.trim()) })}
            >
              {say.askTheClass}
            </Button>
            <Button onClick={() => setOwn(null)}>{say.backToReadyAnswers}</Button>
          </Flex>
        </>
      ) : (
        <>
          <chakra.p fontWeight="600" mb="4px">
            {say.askAtOnce}
          </chakra.p>
          <Flex gap="6px" wrap="wrap">
            {READY.map((ready, place) => (
              <Button key={ready.name} onClick={() => send(plain(ready.kind, text.trim(), ready.choices))}>
                {ready.name} <Key>{place + 1}</Key>
              </Button>
            ))}
            <Button onClick={() => setOwn(plain('SINGLE', text, ['', '']))}>{say.myOwnAnswers}</Button>
          </Flex>
          {classId && <PreparedOnes classId={classId} onAsk={(line, id) => send(asking(line), id)} />}
        </>
      )}
    </Box>
  )
}

export const asking = (line: QuestionLine): Asking => ({
  kind: line.kind,
  text: line.text,
  choices: line.choices,
  right: line.right,
  spellings: line.spellings,
  points: line.points,
  ...(line.number === undefined ? {} : { number: line.number }),
  ...(line.tolerance === undefined ? {} : { tolerance: line.tolerance }),
})

function PreparedOnes({ classId, onAsk }: { classId: string; onAsk: (line: QuestionLine, id: string) => void }) {
  const path = `/api/classes/${encodeURIComponent(classId)}/question-sets`
  const { data, error } = useQuery({ queryKey: ['question-sets', classId], queryFn: () => get<SetsPage>(path) })
  if (error) return <ProblemNote problem={error} compact />
  const sets = data?.sets.filter((one) => one.questions.length > 0) ?? []
  if (sets.length === 0) {
    return (
      <chakra.p mt="12px" fontSize="13px" color="ink2">
        {say.nothingIsPrepared}
      </chakra.p>
    )
  }
  return (
    <Box mt="14px" maxH="210px" overflowY="auto">
      {sets.map((set) => (
        <Box key={set.id} mb="8px">
          <chakra.h3 fontSize="14px">{set.name}</chakra.h3>
          {set.questions.map((one) => (
            <Flex key={one.id} gap="10px" align="center" py="3px" borderBottom="1px solid" borderColor="line">
              <chakra.span flex="1">{one.ask.text || one.ask.choices.join(', ')}</chakra.span>
              <Button size="small" onClick={() => onAsk(one.ask, one.id)}>
                {say.ask}
              </Button>
            </Flex>
          ))}
        </Box>
      ))}
    </Box>
  )
}
