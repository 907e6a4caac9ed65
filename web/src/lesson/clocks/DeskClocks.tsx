import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/clocks'
import type { Desk, DeskCall } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextField } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { mayOrder } from '../mayOrder'
import { useDigits } from '../../shared/useDigits'
import type { OrderOf } from '../send'
import { ClockFace } from './ClockFace'
import type { clocksOrders } from './orders'

type Give = (order: OrderOf<typeof clocksOrders>) => void

/** The clock that all see, and who is first to answer: a line each, over the class list. */
export function UnderHead({ desk, now, give }: { desk: Desk; now: number; give: Give }) {
  const { clock, call } = desk.clocks
  const may = mayOrder(desk)
  return (
    <>
      {clock && (
        <Line label={say.theClock}>
          <ClockFace clock={clock} now={now} />
          <strong>{clock.task || (clock.seconds === undefined ? say.stopwatch : say.countDown)}</strong>
          {clock.over && (
            <chakra.span bg="mark" color="onMark" px="6px">
              {say.timeIsUp}
            </chakra.span>
          )}
          {!clock.running && !clock.over && <span>{say.paused}</span>}
          {may && (
            <>
              {!clock.over && (
                <Button size="small" onClick={() => give({ do: clock.running ? 'pause-clock' : 'clock-on' })}>
                  {clock.running ? say.pause : say.goOn} <Key>T</Key>
                </Button>
              )}
              {clock.seconds !== undefined && (
                <Button size="small" onClick={() => give({ do: 'longer-clock', seconds: 60 })}>
                  {say.minMore}
                </Button>
              )}
              <Button size="small" onClick={() => give({ do: 'end-clock' })}>
                {say.takeItAway} {clock.over && <Key>T</Key>}
              </Button>
            </>
          )}
        </Line>
      )}
      {call && (
        <Line label={say.firstToAnswer}>
          <strong>{say.firstToAnswerSaid(call.task ? `: ${call.task}` : '')}</strong>
          <Row call={call} now={now} />
          {may && (
            <>
              <Button
                size="small"
                look="main"
                disabled={call.passed >= call.row.length}
                onClick={() => give({ do: 'next-in-row' })}
              >
                {say.nextInTheRow} <Key>F</Key>
              </Button>
              <Button size="small" onClick={() => give({ do: 'end-call' })}>
                {say.done}
              </Button>
            </>
          )}
        </Line>
      )}
    </>
  )
}

function Line({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Flex
      as="section"
      aria-label={label}
      gap="12px"
      align="center"
      wrap="wrap"
      px="16px"
      py="4px"
      bg="sheet"
      borderBottom="1px solid"
      borderColor="lineStrong"
      fontSize="14px"
    >
      {children}
    </Flex>
  )
}

/** Who pressed, first to last; whose turn it is stands marked. Ties are said to be ties. */
function Row({ call, now }: { call: DeskCall; now: number }) {
  const opens = Date.parse(call.opens) - now
  if (call.row.length === 0) {
    return <span role="status">{say.opensInSOpenNobody(opens, Math.ceil(opens / 1000))}</span>
  }
  return (
    <chakra.ol display="flex" gap="10px" flexWrap="wrap" listStyleType="none" aria-label={say.whoPressed}>
      {call.row.slice(0, 8).map((one, place) => (
        <chakra.li
          key={one.id}
          px="6px"
          bg={place === call.passed ? 'mark' : undefined}
          color={place === call.passed ? 'onMark' : place < call.passed ? 'ink3' : undefined}
          textDecoration={place < call.passed ? 'line-through' : undefined}
          title={say.msOfASlowLine(one.delayMs)}
        >
          {one.place}. <strong>{one.name}</strong>{' '}
          <chakra.span fontFamily="mono" fontSize="12px">
            {say.s((one.ms / 1000).toFixed(2))}
          </chakra.span>
          {say.aTieFirstOnceTimes(one.tied, one.timesFirst)}
        </chakra.li>
      ))}
      {call.row.length > 8 && <li>{say.andMore(call.row.length - 8)}</li>}
    </chakra.ol>
  )
}

const LENGTHS = [
  [30, '30 s'],
  [60, '1 min'],
  [120, '2 min'],
  [300, '5 min'],
  [600, '10 min'],
  [900, '15 min'],
] as const

/** Starts a clock by one press. Keys 1 to 6 press the lengths, 7 the stopwatch. */
export function ClockMaker({ give }: { give: Give }) {
  const [task, setTask] = useState('')
  const [tone, setTone] = useState(() => localStorage.getItem('juricast.clock-tone') !== 'off')
  const [own, setOwn] = useState('')
  const start = (seconds?: number) => give({ do: 'clock', task: task.trim(), seconds, tone })
  useDigits((place) => (place === LENGTHS.length ? start() : LENGTHS[place] && start(LENGTHS[place][0])))
  return (
    <Box>
      <TextField
        label={say.whatToDoMeanwhile}
        hint={say.allSeeItBesideTheClock}
        maxLength={120}
        value={task}
        onChange={(event) => setTask(event.target.value)}
      />
      <Flex gap="6px" wrap="wrap">
        {LENGTHS.map(([seconds, name], place) => (
          <Button key={seconds} onClick={() => start(seconds)}>
            {name} <Key>{place + 1}</Key>
          </Button>
        ))}
        <Button onClick={() => start()}>
          {say.stopwatch} <Key>7</Key>
        </Button>
      </Flex>
      <Flex gap="10px" mt="10px" align="center" wrap="wrap">
        <chakra.label>
          {say.or}{' '}
          <Select w="auto" value={own} onChange={(event) => (setOwn(''), start(Number(event.target.value) * 60))}>
            <option value="">{say.anotherLength}</option>
            {[3, 4, 7, 8, 20, 25, 30, 45, 60].map((minutes) => (
              <option key={minutes} value={minutes}>
                {say.minutes(minutes)}
              </option>
            ))}
          </Select>
        </chakra.label>
        <chakra.label display="flex" gap="5px">
          <input
            type="checkbox"
            checked={tone}
            onChange={(event) => {
              setTone(event.target.checked)
              localStorage.setItem('juricast.clock-tone', event.target.checked ? 'on' : 'off')
            }}
          />
          {say.aSoftToneAtItsEnd}
        </chakra.label>
      </Flex>
    </Box>
  )
}

/** Calls for the first to answer, after a short count-down. */
export function CallMaker({ give }: { give: Give }) {
  const [task, setTask] = useState('')
  return (
    <Box>
      <TextField
        label={say.whatIsAsked}
        hint={say.orLeaveItEmpty}
        maxLength={120}
        value={task}
        onChange={(event) => setTask(event.target.value)}
      />
      <Button look="main" onClick={() => give({ do: 'call-first', task: task.trim(), seconds: 3 })}>
        {say.callItOpensIn3Seconds}
      </Button>
      <chakra.p mt="10px" fontSize="13px" color="ink2">
        {say.everybodySeesItOpen}
      </chakra.p>
    </Box>
  )
}
