import { Box, chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/desk/questions'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextArea, TextInput } from '../../shared/ui/Fields'
import type { Asking } from './orders'

export const KINDS: { kind: Asking['kind']; name: string }[] = [
  { kind: 'SINGLE', name: say.chooseOne },
  { kind: 'MULTIPLE', name: say.chooseAny },
  { kind: 'ORDER', name: say.putInOrder },
  { kind: 'NUMBER', name: say.aNumber },
  { kind: 'TEXT', name: say.aShortText },
]

const chooses = (kind: Asking['kind']) => kind === 'SINGLE' || kind === 'MULTIPLE' || kind === 'ORDER'

/** All of a question: kind, choices, what is right, points. */
export function QuestionFields({
  asking,
  onChange,
  withText = true,
}: {
  asking: Asking
  onChange: (next: Asking) => void
  withText?: boolean
}) {
  const { kind, choices, right } = asking
  const change = (more: Partial<Asking>) => onChange({ ...asking, ...more })
  const other = (next: Asking['kind']) =>
    onChange({
      kind: next,
      text: asking.text,
      choices: chooses(next) ? (choices.length >= 2 ? choices : ['', '']) : [],
      right: next === 'MULTIPLE' ? right : next === 'SINGLE' ? right.slice(0, 1) : [],
      spellings: [],
      points: asking.points,
    })
  const mark = (place: number) => {
    if (kind === 'SINGLE') change({ right: right.includes(place) ? [] : [place] })
    else change({ right: right.includes(place) ? right.filter((one) => one !== place) : [...right, place] })
  }
  return (
    <Box>
      {withText && (
        <Labelled label={say.theQuestion} hint={say.orLeaveItEmpty}>
          {(id) => (
            <TextArea
              id={id}
              rows={2}
              maxLength={600}
              value={asking.text}
              onChange={(event) => change({ text: event.target.value })}
            />
          )}
        </Labelled>
      )}
      <Flex gap="12px" wrap="wrap" mb="8px">
        <chakra.label>
          {say.answeredBy}{' '}
          <Select w="auto" value={kind} onChange={(event) => other(event.target.value as Asking['kind'])}>
            {KINDS.map((one) => (
              <option key={one.kind} value={one.kind}>
                {one.name}
              </option>
            ))}
          </Select>
        </chakra.label>
        <chakra.label>
          {say.points}{' '}
          <TextInput
            w="64px"
            type="number"
            min={0}
            max={100}
            value={asking.points}
            onChange={(event) => change({ points: Math.max(0, Number(event.target.value)) })}
          />
        </chakra.label>
      </Flex>
      {chooses(kind) && (
        <Box role="group" aria-label={say.choices}>
          {choices.map((choice, place) => (
            <Flex key={place} gap="8px" align="center" mb="4px">
              {kind === 'ORDER' ? (
                <chakra.span fontFamily="mono" w="20px">
                  {place + 1}
                </chakra.span>
              ) : (
                <input
                  type={kind === 'SINGLE' ? 'radio' : 'checkbox'}
                  aria-label={say.choiceIsRight(place + 1)}
                  checked={right.includes(place)}
                  onClick={() => kind === 'SINGLE' && right.includes(place) && mark(place)}
                  onChange={() => mark(place)}
                />
              )}
              <TextInput
                aria-label={say.choice(place + 1)}
                maxLength={120}
                value={choice}
                onChange={(event) => change({ choices: choices.map((one, i) => (i === place ? event.target.value : one)) })}
              />
              {choices.length > 2 && (
                <Button
                  size="small"
                  aria-label={say.leaveOutChoice(place + 1)}
                  onClick={() =>
                    change({
                      choices: choices.filter((_, i) => i !== place),
                      right: right.filter((one) => one !== place).map((one) => (one > place ? one - 1 : one)),
                    })
                  }
                >
                  {say.leaveOut}
                </Button>
              )}
            </Flex>
          ))}
          <Flex gap="10px" align="center">
            {choices.length < 12 && (
              <Button size="small" onClick={() => change({ choices: [...choices, ''] })}>
                {say.anotherChoice}
              </Button>
            )}
            <chakra.span fontSize="13px" color="ink2">
              {kind === 'ORDER' ? (
                <chakra.label>
                  <input
                    type="checkbox"
                    checked={right.length > 0}
                    onChange={(event) => change({ right: event.target.checked ? choices.map((_, i) => i) : [] })}
                  />{' '}
                  {say.thisIsTheRightOrder}
                </chakra.label>
              ) : (
                say.markWhatIsRightOrNothing
              )}
            </chakra.span>
          </Flex>
        </Box>
      )}
      {kind === 'NUMBER' && (
        <Flex gap="12px" wrap="wrap">
          <chakra.label>
            {say.rightIs}{' '}
            <TextInput w="110px" value={asking.number ?? ''} onChange={(event) => change({ number: event.target.value })} />
          </chakra.label>
          <chakra.label>
            {say.giveOrTake}{' '}
            <TextInput w="90px" value={asking.tolerance ?? ''} onChange={(event) => change({ tolerance: event.target.value })} />
          </chakra.label>
        </Flex>
      )}
      {kind === 'TEXT' && (
        <Labelled label={say.whatCountsAsRight} hint={say.oneSpellingOnEachLine}>
          {(id) => (
            <TextArea
              id={id}
              rows={2}
              value={asking.spellings.join('\n')}
              onChange={(event) => change({ spellings: event.target.value === '' ? [] : event.target.value.split('\n') })}
            />
          )}
        </Labelled>
      )}
    </Box>
  )
}
