import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/register'
import { post } from '../../shared/api/http'
import type { LogName, LogPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ColumnPicker } from '../../shared/ui/ColumnPicker'
import { Labelled, Select, TextInput } from '../../shared/ui/Fields'
import { FileBox } from '../../shared/ui/FileBox'
import { ProblemNote } from '../../shared/ui/Notes'
import { NotTaken } from '../../shared/ui/NotTaken'

interface Chosen {
  file: File
  order: string
  zone: string
  unit: string
  /** Names, joins, leaves, minutes, from 0, or -1; empty to go by the heading. */
  columns: string
  decided: Record<string, string>
}

const query = ({ order, zone, unit, columns, decided }: Chosen, more: Record<string, string> = {}) =>
  new URLSearchParams({ order, zone, unit, columns, decided: JSON.stringify(decided), ...more }).toString()

/** A log of joins and leaves from another service: what is not certain is asked, then it is taken as a whole (need L5). */
export function LogImport({ lesson, onTaken }: { lesson: string; onTaken: () => void }) {
  const cache = useQueryClient()
  const [chosen, setChosen] = useState<Chosen | null>(null)
  const path = `/api/lessons/${encodeURIComponent(lesson)}/logs`
  const preview = useMutation({ mutationFn: (next: Chosen) => post<LogPreview>(`${path}/preview?${query(next)}`, next.file) })
  const take = useMutation({
    mutationFn: (next: Chosen) =>
      post<LogPreview>(`${path}?${query(next, { fingerprint: preview.data!.fingerprint, name: next.file.name })}`, next.file),
    onSuccess: async () => {
      await cache.invalidateQueries({ queryKey: ['register', lesson] })
      await cache.invalidateQueries({ queryKey: ['attendance'] })
      onTaken()
    },
  })
  const look = (next: Chosen) => {
    setChosen(next)
    take.reset()
    preview.mutate(next)
  }
  const shown = preview.data
  return (
    <Box>
      <chakra.p color="ink2" mb="6px">
        {say.aCsvFile}
      </chakra.p>
      <FileBox
        label={say.logFile}
        accept=".csv,.txt,text/csv"
        onFile={(file) => look({ file, order: '', zone: '', unit: '', columns: '', decided: {} })}
      />
      <ProblemNote problem={preview.error ?? take.error} />
      {preview.isPending && !shown && (
        <span role="status">
          {say.reading} {chosen?.file.name}…
        </span>
      )}
      {shown && chosen && (
        <Box role="region" aria-label={say.whatTheLogSays}>
          {shown.list.length === 0 && (
            <chakra.p role="alert" color="verdict.away" fontWeight="650" mb="8px">
              {say.nobodyIsOnTheRoster}
            </chakra.p>
          )}
          <Columns preview={shown} said={chosen.columns} onColumns={(columns) => look({ ...chosen, columns })} />
          {shown.questions.includes('DATE_ORDER') && (
            <Labelled label={say.datesSuchAs0304} hint={say.theFileDoesNotTell}>
              {(id) => (
                <Select id={id} value={chosen.order} onChange={(event) => look({ ...chosen, order: event.target.value })}>
                  <option value="">{say.sayWhich}</option>
                  <option value="DAY_FIRST">{say.dayFirstTheThirdOfApril}</option>
                  <option value="MONTH_FIRST">{say.monthFirstTheFourthOfMarch}</option>
                </Select>
              )}
            </Labelled>
          )}
          {shown.questions.includes('UNIT') && (
            <Labelled label={say.howLongPeopleStayed} hint={say.theFileDoesNotTellIts(shown.likelyUnit)}>
              {(id) => (
                <Select id={id} value={chosen.unit} onChange={(event) => look({ ...chosen, unit: event.target.value })}>
                  <option value="">{say.sayWhich}</option>
                  <option value="MINUTES">{say.minutesAs45Or045}</option>
                  <option value="SECONDS">{say.secondsAs2700Or4500}</option>
                </Select>
              )}
            </Labelled>
          )}
          {shown.questions.includes('ZONE') && <Zone preview={shown} onZone={(zone) => look({ ...chosen, zone })} />}
          {shown.names.map((one) => (
            <Name
              key={one.name}
              name={one}
              list={shown.list}
              onWho={(who) => look({ ...chosen, decided: { ...chosen.decided, [one.name]: who } })}
            />
          ))}
          <NotTaken what={notTaken(shown)} all={shown.wrongInAll} wrong={shown.wrong} />
          <NotTaken what={say.takenButLook} all={shown.doubtsInAll} wrong={shown.doubts} mild />
          <Flex gap="10px" align="center" mt="10px">
            <Button
              look="main"
              disabled={
                take.isPending || preview.isPending || shown.open > 0 || shown.questions.length > 0 || shown.names.length === 0
              }
              onClick={() => take.mutate(chosen)}
            >
              {say.takeThisLog}
            </Button>
            <span role="status">{say.oneNameIsStill(shown.open)}</span>
          </Flex>
        </Box>
      )}
    </Box>
  )
}

/** A fault of the file as a whole is none of a row. */
function notTaken({ wrong, wrongInAll }: LogPreview): string {
  if (wrong[0]?.line === 0) return say.thisLogCannotBeReadYet
  return wrongInAll === 1 ? say.rowIsNotTaken : say.rowsAreNotTaken(wrongInAll)
}

const PARTS: { part: keyof LogPreview['columns']; label: string }[] = [
  { part: 'name', label: say.names },
  { part: 'joined', label: say.joined },
  { part: 'left', label: say.left },
  { part: 'minutes', label: say.orMinutes },
]

/** Which column was read as what: proposed by its heading, and remembered for the next file of that kind. */
function Columns({ preview, said, onColumns }: { preview: LogPreview; said: string; onColumns: (columns: string) => void }) {
  return (
    <chakra.fieldset border="none">
      <chakra.legend fontWeight="600">
        {say.columns}{' '}
        <chakra.span fontWeight="400" color="ink2" fontSize="13px">
          {say.asYouSaidOfSuch(preview.remembered)}
        </chakra.span>
      </chakra.legend>
      <ColumnPicker heading={preview.heading} columns={preview.columns} parts={PARTS} said={said} onColumns={onColumns} />
    </chakra.fieldset>
  )
}

function Zone({ preview, onZone }: { preview: LogPreview; onZone: (zone: string) => void }) {
  const [typed, setTyped] = useState(preview.likelyZone)
  const isBeside = preview.likelyZone !== preview.zone
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        onZone(typed.trim())
      }}
    >
      <Labelled label={say.zoneOfTheTimes} hint={say.mostTimesLieBeside(isBeside, preview.likelyZone)}>
        {(id) => <TextInput id={id} value={typed} onChange={(event) => setTyped(event.target.value)} />}
      </Labelled>
      <Flex gap="8px" mb="8px">
        <Button type="submit">{say.readItSo}</Button>
        {isBeside && <Button onClick={() => onZone(preview.zone)}>{say.theTimesAreRight}</Button>}
      </Flex>
    </chakra.form>
  )
}

const CERTAINTY: Record<LogName['certainty'], string> = {
  EXACT: say.onTheList,
  SIMILAR: say.writtenDifferently,
  UNCLEAR: say.mayBeSeveral,
  NONE: say.notOnTheList,
}

function Name({ name, list, onWho }: { name: LogName; list: LogPreview['list']; onWho: (who: string) => void }) {
  const meant = name.candidates.filter((one) => list.some((other) => other.id === one.id))
  const others = list.filter((one) => meant.every((other) => other.id !== one.id))
  return (
    <Flex
      gap="10px"
      align="center"
      px="8px"
      py="3px"
      borderBottom="1px solid"
      borderColor="line"
      bg={name.who ? 'transparent' : 'verdict.waitSoft'}
    >
      <Box flex="1" minW="0" overflowWrap="anywhere">
        <strong>{name.name}</strong>{' '}
        <chakra.span color="ink2" fontSize="13px">
          {say.min(name.rows, name.minutes, CERTAINTY[name.certainty])}
        </chakra.span>
      </Box>
      <Select
        aria-label={say.whoIs(name.name)}
        w="220px"
        py="2px"
        value={name.who ?? ''}
        onChange={(event) => onWho(event.target.value)}
      >
        <option value="" disabled>
          {say.whoIsIt}
        </option>
        <option value="-">{say.nobodyOfTheClass}</option>
        {[...meant, ...others].map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Select>
    </Flex>
  )
}
