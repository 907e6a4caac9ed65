import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/questions'
import type { Desk, DeskQuestion as Shown } from '../../shared/api/types'
import { countdown } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { Sheet } from '../../shared/ui/Sheet'
import { mayOrder } from '../mayOrder'
import type { OrderOf } from '../send'
import type { questionsOrders } from './orders'
import { Tally, TimeBar } from './Tally'

type Give = (order: OrderOf<typeof questionsOrders>) => void

/** The question that is before the class, over the class list: how it is answered, who has not yet, what comes next. */
export function UnderHead({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const question = desk.questions.now
  const [names, setNames] = useState(false)
  if (!question) return null
  const left = question.until ? Date.parse(question.until) - now : null
  return (
    <Grid
      as="section"
      aria-label={say.theQuestionBeforeTheClass}
      templateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 420px) 178px' }}
      gap="22px"
      px="16px"
      py="9px"
      bg="sheet"
      borderBottom="1.5px solid"
      borderColor="ink"
      alignItems="start"
      flexShrink={0}
      maxH="240px"
      overflowY="auto"
    >
      <Box>
        <chakra.h2 fontSize="18px">{question.ask.text || say.aSpokenQuestion}</chakra.h2>
        <chakra.p fontSize="13px" color="ink2">
          <span role="status">{say.ofHaveAnswered(question.results.answers, question.askedOf)}</span>
          {question.group && say.in(question.group)}
          {question.open && left !== null && say.left(countdown(left))}
          {question.medianSeconds !== undefined && say.halfWithinS(question.medianSeconds)}{' '}
          {say.mayBeChangedUntil(question.changeable, question.named)}
        </chakra.p>
        {question.open && question.until && (
          <Box mt="6px">
            <TimeBar from={Date.parse(question.askedAt)} until={Date.parse(question.until)} now={now} />
          </Box>
        )}
        <Missing question={question} desk={desk} give={give} />
        {question.answers.length > 0 && (
          <Button look="quiet" fontSize="13px" mt="4px" onClick={() => setNames(true)}>
            {say.whoAnsweredWhat}
          </Button>
        )}
      </Box>
      <Tally results={question.results} />
      {mayOrder(desk) && <Acts question={question} give={give} />}
      <Sheet title={say.whoAnsweredWhat} open={names} onClose={() => setNames(false)} wide>
        <Names question={question} />
      </Sheet>
    </Grid>
  )
}

function Missing({ question, desk, give }: { question: Shown; desk: Desk; give: Give }) {
  if (!question.open || question.missing.length === 0) return null
  const shown = question.missing.slice(0, 8).map((one) => one.name)
  return (
    <chakra.p fontSize="13px" mt="5px">
      {say.notYet(shown.join(', '), question.missing.length, shown.length, question.missing.length - shown.length)}
      {mayOrder(desk) && (
        <>
          {' · '}
          {question.nudged ? (
            <span>{say.theyWereNudged}</span>
          ) : (
            <Button look="quiet" onClick={() => give({ do: 'nudge-question', number: question.number })}>
              {say.nudge}
            </Button>
          )}
        </>
      )}
    </chakra.p>
  )
}

function Acts({ question, give }: { question: Shown; give: Give }) {
  const { number, open } = question
  const hasRight = question.results.right !== undefined
  return (
    <Flex direction="column" gap="5px">
      {open && (
        <>
          <Button look="main" justifyContent="space-between" onClick={() => give({ do: 'close-question', number })}>
            {say.closeIt} <Key>Q</Key>
          </Button>
          {question.until && <Button onClick={() => give({ do: 'longer-question', number, seconds: 30 })}>{say.sMore}</Button>}
        </>
      )}
      {!question.shown && (
        <Button
          look={open ? 'plain' : 'main'}
          justifyContent="space-between"
          disabled={!question.enough}
          title={question.enough ? undefined : say.ofFewerThanFiveAnswers}
          onClick={() => give({ do: 'show-results', number, right: false })}
        >
          {say.showNoNames} <Key>H</Key>
        </Button>
      )}
      {hasRight && !question.tellsRight && !open && (
        <Button disabled={!question.enough} onClick={() => give({ do: 'show-results', number, right: true })}>
          {say.showWhatIsRight}
        </Button>
      )}
      {question.shown && <chakra.span fontSize="13px">{say.theClassSees(question.tellsRight)}</chakra.span>}
      {!open && <Button onClick={() => give({ do: 'put-away', number })}>{say.putItAway}</Button>}
      {!question.enough && !open && (
        <chakra.span fontSize="12px" color="ink2">
          {say.fewerThanFiveAnswered}
        </chakra.span>
      )}
    </Flex>
  )
}

function Names({ question }: { question: Shown }) {
  return (
    <Box maxH="60vh" overflowY="auto">
      <chakra.table w="100%" fontSize="14px">
        <thead>
          <chakra.tr textAlign="start" borderBottom="1.5px solid" borderColor="ink">
            <th>{say.pupil}</th>
            <th>{say.answer}</th>
            <chakra.th textAlign="end">{say.after}</chakra.th>
          </chakra.tr>
        </thead>
        <tbody>
          {question.answers.map((one) => (
            <chakra.tr key={one.id} borderBottom="1px solid" borderColor="line">
              <td>{one.name}</td>
              <td>
                {one.right === true && (
                  <chakra.span color="verdict.in">
                    ✓<chakra.span srOnly> {say.right} </chakra.span>{' '}
                  </chakra.span>
                )}
                {one.words || say.noneOfThem}
              </td>
              <chakra.td textAlign="end" fontFamily="mono">
                {say.s(one.seconds)}
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}
