import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import type { OrderOf } from '../send'
import type { questionsActs } from './acts'
import { Tally } from './Tally'

type Act = (one: OrderOf<typeof questionsActs>) => void
type Asked = NonNullable<Seat['question']>
type Mine = NonNullable<Seat['mine']['question']>

/** What is asked, first of all on the page, and how to answer it. */
export function Banner({ seat, now, act }: { seat: Seat; now: number; act: Act }) {
  const asked = seat.question
  const mine = seat.mine.question
  const say = seatWords()
  if (!asked || !mine) return null
  const left = asked.until ? Date.parse(asked.until) - now : null
  const waits = asked.open && asked.mayAnswer && !mine.answer
  return (
    <Box
      as="section"
      aria-label={say.question}
      px={{ base: '14px', md: '22px' }}
      py="14px"
      bg="sheet"
      borderBottom="3px double"
      borderColor="ink"
      borderInlineStart={waits ? '8px solid' : undefined}
      borderInlineStartColor={waits ? 'mark' : undefined}
    >
      <Flex align="baseline" gap="12px" wrap="wrap">
        <chakra.h2 fontSize={{ base: '21px', md: '24px' }}>
          <span role="status">{asked.text || say.teacherAsks}</span>
        </chakra.h2>
        {asked.open && left !== null && (
          <chakra.span fontFamily="mono" fontSize="16px">
            {say.timeLeft(countdown(left))}
          </chakra.span>
        )}
      </Flex>
      {mine.nudged && waits && (
        <chakra.p role="status" mt="4px" fontWeight="650">
          {say.teacherWaits}
        </chakra.p>
      )}
      {asked.open && asked.mayAnswer && (!mine.answer || asked.changeable) && (
        <Answering key={asked.number} asked={asked} mine={mine} act={act} />
      )}
      <Standing asked={asked} mine={mine} />
      {asked.results && (
        <Box mt="10px" maxW="640px">
          <chakra.p mb="4px">{say.answeredByAll}</chakra.p>
          <Tally results={asked.results} large />
        </Box>
      )}
    </Box>
  )
}

/** What has become of one’s own answer, in words. */
function Standing({ asked, mine }: { asked: Asked; mine: Mine }) {
  const words = mine.answer && answerWords(asked, mine.answer)
  const say = seatWords()
  return (
    <chakra.p mt="8px" color="ink2" fontSize="15px" role="status">
      {words !== undefined && (
        <>
          {say.yourAnswerIs} <strong>{words}</strong>. {mine.right === true && `${say.isRight} `}
          {mine.right === false && `${say.isNotRight} `}
          {asked.open && (asked.changeable ? say.mayChange : say.isGiven)}
        </>
      )}
      {!asked.open && !asked.results && say.questionClosed}
      {asked.open && !asked.mayAnswer && say.putToOthers}
    </chakra.p>
  )
}

function answerWords(asked: Asked, { picked, number, text }: NonNullable<Mine['answer']>): string {
  if (text !== undefined) return text
  if (number !== undefined) return number
  if (picked.length === 0) return seatWords().noneOfThem
  return picked.map((place) => asked.choices[place] ?? '').join(asked.kind === 'ORDER' ? ' → ' : ', ')
}

function Answering({ asked, mine, act }: { asked: Asked; mine: Mine; act: Act }) {
  const { kind, number, choices } = asked
  const given = mine.answer?.picked ?? []
  const say = seatWords()
  const [picked, setPicked] = useState<number[]>(given)
  const [words, setWords] = useState(mine.answer?.text ?? mine.answer?.number ?? '')
  switch (kind) {
    case 'SINGLE':
      return (
        <Flex role="group" aria-label={say.answers} direction={{ base: 'column', md: 'row' }} wrap="wrap" gap="10px" mt="12px">
          {choices.map((choice, place) => (
            <Big key={choice} pressed={given.includes(place)} onPress={() => act({ do: 'answer', number, picked: [place] })}>
              {choice}
            </Big>
          ))}
        </Flex>
      )
    case 'MULTIPLE':
      return (
        <Box mt="12px">
          <Flex role="group" aria-label={say.answersAny} direction={{ base: 'column', md: 'row' }} wrap="wrap" gap="10px">
            {choices.map((choice, place) => (
              <Big
                key={choice}
                pressed={picked.includes(place)}
                onPress={() => setPicked(picked.includes(place) ? picked.filter((one) => one !== place) : [...picked, place])}
              >
                {choice}
              </Big>
            ))}
          </Flex>
          <Button
            look="main"
            size="large"
            mt="12px"
            onClick={() => act({ do: 'answer', number, picked: picked.toSorted((a, b) => a - b) })}
          >
            {picked.length === 0 ? say.answerNone : say.answerThese(picked.length)}
          </Button>
        </Box>
      )
    case 'ORDER':
      return <Ordering asked={asked} given={given} onAnswer={(row) => act({ do: 'answer', number, picked: row })} />
    default:
      return (
        <chakra.form
          display="flex"
          gap="10px"
          mt="12px"
          maxW="480px"
          onSubmit={(event) => {
            event.preventDefault()
            if (words.trim()) act({ do: 'answer', number, ...(kind === 'NUMBER' ? { given: words } : { text: words }) })
          }}
        >
          <TextInput
            aria-label={kind === 'NUMBER' ? say.yourAnswerNumber : say.yourAnswer}
            inputMode={kind === 'NUMBER' ? 'decimal' : 'text'}
            maxLength={120}
            fontSize="18px"
            value={words}
            onChange={(event) => setWords(event.target.value)}
          />
          <Button look="main" size="large" type="submit">
            {say.answer}
          </Button>
        </chakra.form>
      )
  }
}

/** A row that one makes by pressing first, second and so on; pressing again takes out. */
function Ordering({ asked, given, onAnswer }: { asked: Asked; given: number[]; onAnswer: (row: number[]) => void }) {
  const [row, setRow] = useState<number[]>(given)
  const whole = row.length === asked.choices.length
  const say = seatWords()
  return (
    <Box mt="12px">
      <chakra.p mb="6px">{say.pressInOrder}</chakra.p>
      <Flex role="group" aria-label={say.putInOrder} direction={{ base: 'column', md: 'row' }} wrap="wrap" gap="10px">
        {asked.choices.map((choice, place) => {
          const at = row.indexOf(place)
          return (
            <Big
              key={choice}
              pressed={at >= 0}
              onPress={() => setRow(at >= 0 ? row.filter((one) => one !== place) : [...row, place])}
            >
              {at >= 0 ? `${at + 1}. ` : ''}
              {choice}
            </Big>
          )
        })}
      </Flex>
      <Button look="main" size="large" mt="12px" disabled={!whole} onClick={() => onAnswer(row)}>
        {whole ? say.answerInOrder : say.toGo(asked.choices.length - row.length)}
      </Button>
    </Box>
  )
}

/** A broad strip to press, as easily by a thumb as by keys. */
function Big({ pressed, onPress, children }: { pressed: boolean; onPress: () => void; children: React.ReactNode }) {
  return (
    <chakra.button
      type="button"
      aria-pressed={pressed}
      onClick={onPress}
      minH="52px"
      minW={{ md: '150px' }}
      px="16px"
      py="8px"
      textAlign="start"
      fontSize="18px"
      fontWeight={pressed ? 700 : 500}
      border="1.5px solid"
      borderColor="ink"
      borderBottomWidth={pressed ? '5px' : '1.5px'}
      bg={pressed ? 'markSoft' : 'sheet'}
      color="ink"
      cursor="pointer"
    >
      {pressed && <span aria-hidden>✓ </span>}
      {children}
    </chakra.button>
  )
}
