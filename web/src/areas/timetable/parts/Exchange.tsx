import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/timetable'
import { get, post } from '../../../shared/api/http'
import type { Me, PlanChanged, TimetablePreview } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { CalendarAddress } from '../../../shared/ui/CalendarAddress'
import { Select } from '../../../shared/ui/Fields'
import { FileBox } from '../../../shared/ui/FileBox'
import { ProblemNote } from '../../../shared/ui/Notes'
import { NotTaken } from '../../../shared/ui/NotTaken'
import { useTake } from '../api'
import { plusDays } from '../rows'

/** Timetables in and out: a file of another program after a preview, a table, and an address for calendar programs. */
export function Exchange({ me, from, onTaken }: { me: Me; from: string; onTaken: (changed: PlanChanged) => void }) {
  return (
    <Box>
      <TimetableImport onTaken={onTaken} />
      <chakra.h3 fontSize="16px" mt="18px" mb="4px">
        {say.takeATableOut}
      </chakra.h3>
      <chakra.p color="ink2" mb="4px">
        {say.csvForASpreadsheet}
      </chakra.p>
      <Flex gap="14px">
        <chakra.a
          textDecoration="underline"
          href={`/api/timetable/lessons.csv?from=${from}&until=${plusDays(from, 6)}`}
          download="timetable.csv"
        >
          {say.thisWeek}
        </chakra.a>
        <chakra.a
          textDecoration="underline"
          href={`/api/timetable/lessons.csv?from=${from}&until=${plusDays(from, 364)}`}
          download="timetable.csv"
        >
          {say.aYearFromHere}
        </chakra.a>
      </Flex>
      {me.position === 'TEACHER' && (
        <>
          <chakra.h3 fontSize="16px" mt="18px" mb="4px">
            {say.myLessonsInACalendarProgram}
          </chakra.h3>
          <CalendarAddress path="/api/feed" renewable />
        </>
      )}
    </Box>
  )
}

interface Chosen {
  file: File
  meant: Record<string, string>
}

function TimetableImport({ onTaken }: { onTaken: (changed: PlanChanged) => void }) {
  const [chosen, setChosen] = useState<Chosen | null>(null)
  const [callOff, setCallOff] = useState(false)
  const preview = useMutation({
    mutationFn: ({ file, meant }: Chosen) =>
      post<TimetablePreview>(`/api/timetable/import/preview?meant=${encodeURIComponent(JSON.stringify(meant))}`, file),
  })
  const take = useTake()
  const look = (next: Chosen) => {
    setChosen(next)
    take.reset()
    preview.mutate(next)
  }
  const shown = preview.data
  const missing = shown?.classes.reduce((sum, one) => sum + one.missing, 0) ?? 0
  const count = (shown?.classes.reduce((sum, one) => sum + one.added + one.changed, 0) ?? 0) + (callOff ? missing : 0)
  return (
    <chakra.section aria-label={say.bringInATimetable}>
      <chakra.h3 fontSize="16px" mb="4px">
        {say.bringInATimetable}
      </chakra.h3>
      <chakra.p color="ink2" mb="6px">
        {say.aCalendarIcsOfAnother}
      </chakra.p>
      <FileBox label={say.timetableFile} accept=".ics,.csv,text/calendar,text/csv" onFile={(file) => look({ file, meant: {} })} />
      <ProblemNote problem={preview.error ?? take.error} />
      {preview.isPending && (
        <span role="status">
          {say.reading} {chosen?.file.name}…
        </span>
      )}
      {shown && chosen && (
        <Box role="region" aria-label={say.whatTheFileWouldChange} border="1.5px solid" borderColor="ink" px="14px" py="10px">
          <chakra.h4 fontWeight="650" overflowWrap="anywhere">
            {chosen.file.name}
          </chakra.h4>
          {shown.classes.map((one) => (
            <chakra.details key={one.classId} py="2px">
              <chakra.summary cursor="pointer">
                <strong>{one.title}</strong>: {words(one)}
              </chakra.summary>
              <chakra.ul ps="22px" listStyleType="square" fontSize="13px" color="ink2">
                {one.lines.map((line) => (
                  <li key={line}>{line}</li>
                ))}
                {one.added + one.changed + one.missing > one.lines.length && (
                  <li>{say.andMore(one.added + one.changed + one.missing - one.lines.length)}</li>
                )}
              </chakra.ul>
            </chakra.details>
          ))}
          {shown.classes.length === 0 && <p>{say.noLessonWouldChange}</p>}
          <chakra.p color="ink2" fontSize="13px">
            {say.areAs(shown.same, shown.past, shown.notYours)}
          </chakra.p>
          {shown.unknown.map((one) => (
            <Unknown
              key={one.title}
              title={one.title}
              lessons={one.lessons}
              onMeant={(id) => look({ ...chosen, meant: { ...chosen.meant, [one.title]: id } })}
            />
          ))}
          <NotTaken
            what={say.thingIsNotTakenThings(shown.notTaken)}
            all={shown.notTaken}
            wrong={shown.wrong.filter((one) => !one.taken)}
          />
          <NotTaken
            what={say.takenButKnow}
            all={shown.wrongInAll - shown.notTaken}
            wrong={shown.wrong.filter((one) => one.taken)}
            mild
          />
          {missing > 0 && (
            <chakra.label display="block" my="6px">
              <input type="checkbox" checked={callOff} onChange={() => setCallOff(!callOff)} />{' '}
              {say.cancelTheLessonsThatCame(missing)}
            </chakra.label>
          )}
          <Flex gap="8px" mt="8px">
            <Button
              look="main"
              disabled={take.isPending || count === 0}
              onClick={() =>
                take.mutate(
                  { ...chosen, callOff, fingerprint: shown.fingerprint },
                  {
                    onSuccess: (taken) => {
                      preview.reset()
                      onTaken({
                        change: taken.change,
                        what: say.timetableTakenNewChangedCancelled(taken.added, taken.changed, taken.calledOff),
                        lessons: taken.added + taken.changed + taken.calledOff,
                        appearing: [],
                      })
                    },
                  },
                )
              }
            >
              {say.nothingToTakeTakeThisTimetable(count)}
            </Button>
            <Button onClick={() => preview.reset()}>{say.leaveIt}</Button>
          </Flex>
        </Box>
      )}
    </chakra.section>
  )
}

function words(one: TimetablePreview['classes'][number]): string {
  return [
    one.added > 0 && say.new(one.added),
    one.changed > 0 && say.changed(one.changed),
    one.missing > 0 && say.inTheFileNoMore(one.missing),
  ]
    .filter(Boolean)
    .join(', ')
}

/** A title that no class bears: somebody says which class is meant, nothing is guessed. */
function Unknown({ title, lessons, onMeant }: { title: string; lessons: number; onMeant: (id: string) => void }) {
  const classes = useQuery({ queryKey: ['classes'], queryFn: () => get<{ id: string; title: string }[]>('/api/classes') })
  return (
    <Flex gap="8px" align="center" bg="verdict.waitSoft" px="10px" py="4px" my="4px" wrap="wrap">
      <span>
        {say.noClassIsCalled} <strong>{title}</strong> {say.lessons(lessons)}
      </span>
      <Select aria-label={say.classMeantBy(title)} w="220px" py="2px" value="" onChange={(event) => onMeant(event.target.value)}>
        <option value="">{say.leaveItOutOrChoose}</option>
        {classes.data?.map((one) => (
          <option key={one.id} value={one.id}>
            {one.title}
          </option>
        ))}
      </Select>
    </Flex>
  )
}
