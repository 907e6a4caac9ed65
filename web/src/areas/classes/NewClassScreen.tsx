import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/classes'
import { get, post, put } from '../../shared/api/http'
import type { ClassLine, Me, ReadySet, Scheduled } from '../../shared/api/types'
import { Appearing, ItsLink, saidOf } from '../../shared/schedule/ScheduleForm'
import { asSent, likelySeries, SeriesFields } from '../../shared/schedule/SeriesFields'
import { standing } from '../../shared/standing'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { Labelled, Select, TextField } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'

/** A class with its rules and its lessons on one page: what is likely is filled in, and its link stands there when it is made. */
export default function NewClassScreen() {
  return <Page title={say.makeAClass}>{(me) => <NewClass me={me} />}</Page>
}

/** How far it has come: what is made stays made when the next step is refused, and the next press goes on from there. */
interface Made {
  line: ClassLine
  set: boolean
  lessons?: Scheduled
}

/** The year and the subject that a title such as “Harbour Law 9” says. */
export function guess(title: string): { subject: string; year: number | undefined } {
  const found = /^(.*?)\s+(1[0-3]|[1-9])[a-z]?$/i.exec(title.trim())
  return { subject: (found?.[1] ?? title).trim(), year: found ? Number(found[2]) : undefined }
}

function NewClass({ me }: { me: Me }) {
  const cache = useQueryClient()
  const { data: school } = useQuery(standing)
  const today = useSchoolTime().isoDay(school?.now ?? Date.now())
  const [title, setTitle] = useState('')
  const [subject, setSubject] = useState<string | null>(null)
  const [year, setYear] = useState<number | null>(null)
  const [secondAdult, setSecondAdult] = useState('')
  const [set, setSet] = useState('')
  const [planned, setPlanned] = useState(true)
  const [series, setSeries] = useState(() => likelySeries(today))
  const [made, setMade] = useState<Made | null>(null)
  const guessed = guess(title)
  const adults = useQuery({ queryKey: ['adults'], queryFn: () => get<{ id: string; name: string }[]>('/api/adults') })
  const sets = useQuery({ queryKey: ['sets'], queryFn: () => get<ReadySet[]>('/api/sets') })
  const make = useMutation({
    mutationFn: async () => {
      const line =
        made?.line ??
        (await post<ClassLine>('/api/classes', {
          title,
          subject: subject ?? guessed.subject,
          year: year ?? guessed.year ?? 0,
          secondAdult,
        }))
      setMade((was) => was ?? { line, set: false })
      if (set && !made?.set) await put(`/api/classes/${line.id}/sets/${set}`)
      setMade({ line, set: true })
      const lessons = planned ? await post<Scheduled>(`/api/classes/${line.id}/series`, asSent(series)) : undefined
      setMade({ line, set: true, ...(lessons && { lessons }) })
    },
    onSettled: () =>
      Promise.all(['classes', 'timetable', 'today', 'days-ahead'].map((key) => cache.invalidateQueries({ queryKey: [key] }))),
  })
  const done = made && make.isSuccess
  return (
    <Box maxW="1000px" mx="auto" px={{ base: '12px', md: '20px' }} py="16px">
      <chakra.h1 fontSize="25px" mb="10px">
        {done ? say.isMade(made.line.title) : say.makeAClass}
      </chakra.h1>
      {done ? (
        <Box maxW="560px">
          {made.lessons && <p role="status">{saidOf(made.lessons)}</p>}
          <ItsLink id={made.line.id} />
          {made.lessons && <Appearing spots={made.lessons.appearing} />}
          <Flex gap="18px" mt="14px" css={{ '& a': { textDecoration: 'underline', fontWeight: 600 } }}>
            <Link to={`/classes/${made.line.id}`}>{say.itsRosterTypeItPaste}</Link>
            <Link to={`/rules/class:${made.line.id}`}>{say.itsRules}</Link>
          </Flex>
        </Box>
      ) : (
        <chakra.form
          aria-label={say.makeAClass}
          onSubmit={(event) => {
            event.preventDefault()
            make.mutate()
          }}
        >
          <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} columnGap="36px">
            <Box>
              <TextField
                label={say.title}
                hint={say.suchAs}
                value={title}
                onChange={(event) => setTitle(event.target.value)}
                disabled={made !== null}
                autoFocus
                required
              />
              <Flex gap="10px">
                <TextField
                  label={say.subject}
                  maxLength={80}
                  value={subject ?? guessed.subject}
                  onChange={(event) => setSubject(event.target.value)}
                />
                <TextField
                  label={say.yearGroup}
                  hint={say.forSeveral}
                  type="number"
                  min={0}
                  max={13}
                  value={year ?? guessed.year ?? 0}
                  onChange={(event) => setYear(Number(event.target.value))}
                />
              </Flex>
              <Labelled label={say.secondAdult} hint={say.youAreTheLeadAdult}>
                {(id) => (
                  <Select id={id} value={secondAdult} onChange={(event) => setSecondAdult(event.target.value)}>
                    <option value="">{say.nobody}</option>
                    {adults.data
                      ?.filter((one) => one.id !== me.id)
                      .map((one) => (
                        <option key={one.id} value={one.id}>
                          {one.name}
                        </option>
                      ))}
                  </Select>
                )}
              </Labelled>
              <Labelled label={say.rules} hint={say.theCharterAlwaysCounts}>
                {(id) => (
                  <Select id={id} value={set} onChange={(event) => setSet(event.target.value)}>
                    <option value="">{say.theCharterAlone}</option>
                    {sets.data?.map((one) => (
                      <option key={one.id} value={one.id}>
                        {one.name}
                      </option>
                    ))}
                  </Select>
                )}
              </Labelled>
            </Box>
            <Box>
              <SeriesFields form={series} onChange={setSeries} />
              <chakra.label display="flex" gap="8px" alignItems="center" mb="10px">
                <input type="checkbox" checked={!planned} onChange={(event) => setPlanned(!event.target.checked)} />
                {say.noLessonsYet}
              </chakra.label>
            </Box>
          </Grid>
          {made && (
            <chakra.p role="status" bg="markSoft" px="10px" py="5px" mb="8px">
              {say.theClassIsMade(made.line.title, made.set, set)}
            </chakra.p>
          )}
          <ProblemNote problem={make.error} />
          <Button type="submit" look="main" size="large" disabled={make.isPending}>
            {say.makeTheClass(planned)}
          </Button>
        </chakra.form>
      )}
    </Box>
  )
}
