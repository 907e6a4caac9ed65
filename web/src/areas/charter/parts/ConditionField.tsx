import { chakra, Flex } from '@chakra-ui/react'
import { say } from '../../../languages/en/staff/charter'
import { Button } from '../../../shared/ui/Button'
import { Select, TextInput } from '../../../shared/ui/Fields'

const FACTS = [
  { text: 'visitor-present', words: say.aVisitorIsPresent },
  { text: 'not visitor-present', words: say.noVisitorIsPresent },
  { text: 'recording', words: say.recording },
  { text: 'not recording', words: say.notRecording },
  { text: 'in-groups', words: say.inGroups },
  { text: 'help-hour', words: say.inAHelpHour },
  { text: 'not adult-present', words: say.noAdultIsPresent },
  { text: 'school-account', words: say.withASchoolAccount },
  { text: 'not school-account', words: say.withoutASchoolAccount },
]

const NUMBERS = [
  { kind: 'first-minutes', words: say.inTheFirstMinutes, usual: '10' },
  { kind: 'last-minutes', words: say.inTheLastMinutes, usual: '5' },
  { kind: 'years', words: say.forYearGroups, usual: '7' },
  { kind: 'at-least', words: say.withOrMorePresent, usual: '25' },
  { kind: 'at-most', words: say.withOrFewerPresent, usual: '5' },
]

/** The parts of a condition as they are written, and back. */
export const partsOf = (when: string) => (when === '' ? [] : when.split(' & '))

interface ConditionFieldProps {
  when: string
  /** The kinds of circumstances that can make a difference to the rule; others are not offered. */
  offered: string[]
  /** Whether it can matter if somebody is signed in: adults always are, visitors never. */
  account: boolean
  onChange: (when: string) => void
}

/** When a setting counts: always, or while all of some circumstances hold. */
export function ConditionField({ when, offered, account, onChange }: ConditionFieldProps) {
  const parts = partsOf(when)
  const matters = (kind: string) => offered.includes(kind) && (kind !== 'school-account' || account)
  const facts = FACTS.filter((one) => matters(one.text.replace(/^not /, '')) && !parts.includes(one.text))
  const numbers = NUMBERS.filter((one) => matters(one.kind))
  const write = (next: string[]) => onChange(next.join(' & '))
  return (
    <chakra.fieldset mb="8px">
      <chakra.legend fontWeight="600">{say.counts}</chakra.legend>
      {parts.length === 0 && <chakra.span color="ink2">{say.always}</chakra.span>}
      {parts.map((part, place) => {
        const numbered = NUMBERS.find((one) => part.startsWith(one.kind + ' '))
        const words = numbered?.words ?? FACTS.find((one) => one.text === part)?.words ?? part
        const [before, after] = words.split('…')
        return (
          <Flex key={place} align="center" gap="5px" mb="3px">
            <chakra.em>
              {place > 0 ? say.and : numbered ? '' : part.includes('account') ? '' : say.while}
              {before}
            </chakra.em>
            {numbered && (
              <TextInput
                aria-label={words}
                value={part.slice(numbered.kind.length + 1)}
                onChange={(event) => write(parts.map((one, n) => (n === place ? `${numbered.kind} ${event.target.value}` : one)))}
                w="58px"
                py="1px"
              />
            )}
            {after && <chakra.em>{after}</chakra.em>}
            <Button
              size="small"
              look="quiet"
              aria-label={say.removeSaid(words)}
              onClick={() => write(parts.filter((_, n) => n !== place))}
            >
              {say.remove}
            </Button>
          </Flex>
        )
      })}
      {parts.length < 5 && facts.length + numbers.length > 0 && (
        <Select
          aria-label={say.onlyUnderACondition}
          value=""
          py="2px"
          mt="2px"
          onChange={(event) => write([...parts, event.target.value])}
        >
          <option value="">{say.onlyUnderAConditionAndAlso(parts.length)}</option>
          {facts.map((one) => (
            <option key={one.text} value={one.text}>
              {one.words}
            </option>
          ))}
          {numbers.map((one) => (
            <option key={one.kind} value={`${one.kind} ${one.usual}`}>
              {one.words}
            </option>
          ))}
        </Select>
      )}
    </chakra.fieldset>
  )
}
