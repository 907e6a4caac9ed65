import { Box, chakra, Flex } from '@chakra-ui/react'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextArea, TextInput } from '../../shared/ui/Fields'
import type { Asking } from './orders'

export const KINDS: { kind: Asking['kind']; name: string }[] = [
  { kind: 'SINGLE', name: 'choose one' },
  { kind: 'MULTIPLE', name: 'choose any' },
  { kind: 'ORDER', name: 'put in order' },
  { kind: 'NUMBER', name: 'a number' },
  { kind: 'TEXT', name: 'a short text' },
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
        <Labelled label="The question" hint="Or leave it empty and say it.">
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
          answered by{' '}
          <Select w="auto" value={kind} onChange={(event) => other(event.target.value as Asking['kind'])}>
            {KINDS.map((one) => (
              <option key={one.kind} value={one.kind}>
                {one.name}
              </option>
            ))}
          </Select>
        </chakra.label>
        <chakra.label>
          points{' '}
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
        <Box role="group" aria-label="Choices">
          {choices.map((choice, place) => (
            <Flex key={place} gap="8px" align="center" mb="4px">
              {kind === 'ORDER' ? (
                <chakra.span fontFamily="mono" w="20px">
                  {place + 1}
                </chakra.span>
              ) : (
                <input
                  type={kind === 'SINGLE' ? 'radio' : 'checkbox'}
                  aria-label={`Choice ${place + 1} is right`}
                  checked={right.includes(place)}
                  onClick={() => kind === 'SINGLE' && right.includes(place) && mark(place)}
                  onChange={() => mark(place)}
                />
              )}
              <TextInput
                aria-label={`Choice ${place + 1}`}
                maxLength={120}
                value={choice}
                onChange={(event) => change({ choices: choices.map((one, i) => (i === place ? event.target.value : one)) })}
              />
              {choices.length > 2 && (
                <Button
                  size="small"
                  aria-label={`Leave out choice ${place + 1}`}
                  onClick={() =>
                    change({
                      choices: choices.filter((_, i) => i !== place),
                      right: right.filter((one) => one !== place).map((one) => (one > place ? one - 1 : one)),
                    })
                  }
                >
                  leave out
                </Button>
              )}
            </Flex>
          ))}
          <Flex gap="10px" align="center">
            {choices.length < 12 && (
              <Button size="small" onClick={() => change({ choices: [...choices, ''] })}>
                Another choice
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
                  this is the right order
                </chakra.label>
              ) : (
                'Mark what is right, or nothing.'
              )}
            </chakra.span>
          </Flex>
        </Box>
      )}
      {kind === 'NUMBER' && (
        <Flex gap="12px" wrap="wrap">
          <chakra.label>
            right is{' '}
            <TextInput w="110px" value={asking.number ?? ''} onChange={(event) => change({ number: event.target.value })} />
          </chakra.label>
          <chakra.label>
            give or take{' '}
            <TextInput w="90px" value={asking.tolerance ?? ''} onChange={(event) => change({ tolerance: event.target.value })} />
          </chakra.label>
        </Flex>
      )}
      {kind === 'TEXT' && (
        <Labelled label="What counts as right" hint="One spelling on each line; capitals make no difference.">
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
