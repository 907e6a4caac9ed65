import { Box, chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'
import { Button } from '../ui/Button'
import { TextField } from '../ui/Fields'

/** When a class meets, as the server takes it. Without days it is one lesson, on the first date. */
export interface SeriesForm {
  first: string
  until: string
  days: string[]
  start: string
  minutes: number
  everyWeeks: number
  /** No lesson, but an hour for questions to which nobody has to come. */
  helpHour: boolean
}

const DAYS = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY']
const WEEKDAYS = DAYS.slice(0, 5)

/** As long as a term usually is. */
const TERM_DAYS = 7 * 12

/** What is likely, so that little is left to say: from today, for a term, 50 minutes at ten. */
export function likelySeries(today: string): SeriesForm {
  const until = new Date(Date.parse(today) + TERM_DAYS * 86_400_000).toISOString().slice(0, 10)
  return { first: today, until, days: [], start: '10:00', minutes: 50, everyWeeks: 1, helpHour: false }
}

/** The form as it is sent: a last date counts only where days are chosen. */
export const asSent = (form: SeriesForm) => ({ ...form, until: form.days.length === 0 ? null : form.until })

const short = (day: string) => day.charAt(0) + day.slice(1, 3).toLowerCase()

export function SeriesFields({ form, onChange }: { form: SeriesForm; onChange: (form: SeriesForm) => void }) {
  const weekly = form.days.length > 0
  const toggle = (day: string) =>
    onChange({ ...form, days: form.days.includes(day) ? form.days.filter((one) => one !== day) : [...form.days, day] })
  const all = WEEKDAYS.every((day) => form.days.includes(day))
  return (
    <Box>
      <chakra.label display="flex" gap="8px" alignItems="center" mb="8px">
        <input
          type="checkbox"
          checked={form.helpHour}
          onChange={(event) => onChange({ ...form, helpHour: event.target.checked })}
        />
        <span>
          {say.aHelpHour}{' '}
          <chakra.span fontSize="12.5px" color="ink2">
            {say.pupilsComeWithQuestions}
          </chakra.span>
        </span>
      </chakra.label>
      <chakra.fieldset mb="10px">
        <chakra.legend fontWeight="600">{say.weeklyOn}</chakra.legend>
        <Flex gap="4px" wrap="wrap">
          {DAYS.map((day) => (
            <Button
              key={day}
              size="small"
              minW="40px"
              minH="26px"
              look={form.days.includes(day) ? 'main' : 'plain'}
              aria-pressed={form.days.includes(day)}
              onClick={() => toggle(day)}
            >
              {short(day)}
            </Button>
          ))}
          <Button size="small" minH="26px" onClick={() => onChange({ ...form, days: all ? [] : WEEKDAYS })}>
            {say.noneMonToFri(all)}
          </Button>
        </Flex>
        {!weekly && (
          <chakra.span fontSize="12.5px" color="ink2">
            {say.withNoDayChosen}
          </chakra.span>
        )}
      </chakra.fieldset>
      <Flex gap="10px">
        <TextField
          label={weekly ? say.firstDate : say.on}
          type="date"
          value={form.first}
          onChange={(event) => onChange({ ...form, first: event.target.value })}
          required
        />
        {weekly && (
          <TextField
            label={say.lastDate}
            type="date"
            value={form.until}
            onChange={(event) => onChange({ ...form, until: event.target.value })}
            required
          />
        )}
      </Flex>
      <Flex gap="10px">
        <TextField
          label={say.beginsAt}
          type="time"
          value={form.start}
          onChange={(event) => onChange({ ...form, start: event.target.value })}
          required
        />
        <TextField
          label={say.minutesLabel}
          type="number"
          value={form.minutes}
          onChange={(event) => onChange({ ...form, minutes: Number(event.target.value) })}
          required
        />
        {weekly && (
          <TextField
            label={say.everyWeeks}
            type="number"
            min={1}
            max={8}
            value={form.everyWeeks}
            onChange={(event) => onChange({ ...form, everyWeeks: Number(event.target.value) })}
            required
          />
        )}
      </Flex>
    </Box>
  )
}
