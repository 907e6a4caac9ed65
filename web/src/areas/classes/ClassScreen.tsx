import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState, type ReactNode } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { say } from '../../languages/en/staff/classes'
import { get, put } from '../../shared/api/http'
import type { ClassPage, LessonLine } from '../../shared/api/types'
import { useNow, useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Sheet } from '../../shared/ui/Sheet'
import { Adults } from './Adults'
import { GroupsOfClass } from './ClassGroups'
import { QuestionsOfClass } from '../questions/QuestionsOfClass'
import { WelcomeOf } from '../questions/WelcomeOf'
import { MeritsOfClass } from '../results/MeritsOfClass'
import { Recorded } from './Recorded'
import { Roster } from './Roster'
import { Joining } from './Joining'
import { ScheduleForm } from '../../shared/schedule/ScheduleForm'

const PARTS = ['Roster', 'Adults', 'Lessons', 'Groups', 'Questions', 'Merits', 'Recordings', 'Joining'] as const
type Part = (typeof PARTS)[number]

/** One class: who belongs to it, when it meets, how one joins, and what it refines of the charter. */
export default function ClassScreen() {
  const { id = '' } = useParams()
  return <Page title={say.class}>{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const [search] = useSearchParams()
  const [part, setPart] = useState<Part>(PARTS.find((one) => one === search.get('part')) ?? 'Roster')
  const { data, error } = useQuery({
    queryKey: ['class', id],
    queryFn: () => get<ClassPage>(`/api/classes/${id}`),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theClass} />
  const views: Record<Part, ReactNode> = {
    Roster: <Roster page={data} />,
    Adults: <Adults page={data} />,
    Lessons: <Lessons page={data} />,
    Groups: <GroupsOfClass page={data} />,
    Questions: <QuestionsOfClass id={id} />,
    Merits: <MeritsOfClass id={id} />,
    Recordings: <Recorded page={data} />,
    Joining: (
      <>
        <Joining page={data} />
        <WelcomeOf path={`/api/classes/${encodeURIComponent(id)}/welcome`} />
      </>
    ),
  }
  return (
    <Box maxW="1060px" mx="auto" px="20px" py="18px">
      <Flex align="baseline" gap="12px" wrap="wrap">
        <chakra.h1 fontSize="27px">{data.title}</chakra.h1>
        <Said page={data} field="title" says={say.renameTheClass} title={say.whatTheClassIsCalled} hint={say.itsLessonsItsLink} />
      </Flex>
      <chakra.p color="ink2">
        {say.pupilsSaid(
          data.adults.map((one) => `${one.name}, ${one.role === 'LEAD_ADULT' ? say.leadAdult : say.secondAdultWord}`).join('; '),
          data.pupils.length,
        )}{' '}
        {data.subject || say.noSubject}{' '}
        <Said
          page={data}
          field="subject"
          says={say.changeTheSubject}
          title={say.whatThisClass}
          hint={say.attendanceIsAlsoCounted}
        />
      </chakra.p>
      <Flex my="12px" borderBottom="1.5px solid" borderColor="ink" justify="space-between" align="center">
        <Flex role="tablist" gap="16px" wrap="wrap">
          {PARTS.map((one) => (
            <chakra.button
              key={one}
              role="tab"
              type="button"
              aria-selected={part === one}
              py="5px"
              cursor="pointer"
              fontWeight={part === one ? 650 : 400}
              color={part === one ? 'ink' : 'ink2'}
              boxShadow={part === one ? 'inset 0 -4px 0 var(--chakra-colors-mark)' : 'none'}
              onClick={() => setPart(one)}
            >
              {say.parts[one]}
            </chakra.button>
          ))}
        </Flex>
        <Flex gap="16px">
          <Link to={`/classes/${id}/attendance`}>
            <chakra.span textDecoration="underline">{say.attendance}</chakra.span>
          </Link>
          <Link to={`/rules/class:${id}`}>
            <chakra.span textDecoration="underline">{say.rulesOfThisClass}</chakra.span>
          </Link>
        </Flex>
      </Flex>
      <Box role="tabpanel" aria-label={say.parts[part]}>
        {views[part]}
      </Box>
    </Box>
  )
}

interface SaidProps {
  page: ClassPage
  field: 'title' | 'subject'
  says: string
  title: string
  hint: string
}

/** A word that the school says of the class, and the sheet on which it is changed. */
function Said({ page, field, says, title, hint }: SaidProps) {
  const cache = useQueryClient()
  const [wanted, setWanted] = useState<string | null>(null)
  const save = useMutation({
    mutationFn: (text: string) => put<ClassPage>(`/api/classes/${page.id}/${field}`, { [field]: text }),
    onSuccess: (next) => {
      cache.setQueryData(['class', page.id], next)
      setWanted(null)
      return Promise.all(['attendance', 'classes', 'timetable'].map((key) => cache.invalidateQueries({ queryKey: [key] })))
    },
  })
  const label = field === 'title' ? say.title : say.subject
  return (
    <>
      <Button look="quiet" minH="24px" onClick={() => setWanted(page[field])}>
        {says}
      </Button>
      <Sheet title={title} open={wanted !== null} onClose={() => setWanted(null)}>
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            save.mutate(wanted ?? '')
          }}
        >
          <TextField
            label={label}
            hint={hint}
            maxLength={80}
            value={wanted ?? ''}
            onChange={(event) => setWanted(event.target.value)}
            required={field === 'title'}
          />
          <ProblemNote problem={save.error} compact />
          <Button type="submit" look="main" disabled={save.isPending}>
            {say.keepThe(field)}
          </Button>
        </chakra.form>
      </Sheet>
    </>
  )
}

function Lessons({ page }: { page: ClassPage }) {
  const now = useNow()
  const coming = page.lessons.filter((one) => Date.parse(one.ends) > now && one.phase !== 'OVER')
  const past = page.lessons.filter((one) => !coming.includes(one)).reverse()
  return (
    <Grid templateColumns={{ base: '1fr', md: page.mine ? '1fr 400px' : '1fr' }} gap="28px">
      <Box>
        <chakra.h2 fontSize="17px" mb="4px">
          {say.coming}
        </chakra.h2>
        {coming.length === 0 && <EmptyNote>{say.noLessonIsPlannedSchedule}</EmptyNote>}
        <LessonList lessons={coming} mine={page.mine} />
        {past.length > 0 && (
          <>
            <chakra.h2 fontSize="17px" mt="16px" mb="4px">
              {say.past}
            </chakra.h2>
            <LessonList lessons={past} mine={page.mine} />
          </>
        )}
      </Box>
      {page.mine && <ScheduleForm id={page.id} />}
    </Grid>
  )
}

function LessonList({ lessons, mine }: { lessons: LessonLine[]; mine: boolean }) {
  const time = useSchoolTime()
  return (
    <Box bg="sheet" borderTop={lessons.length > 0 ? '1.5px solid' : 'none'} borderColor="ink">
      {lessons.map((one) => (
        <Flex key={one.id} px="10px" py="4px" gap="12px" align="center" borderBottom="1px solid" borderColor="line">
          <Box w="130px">{time.day(one.starts)}</Box>
          <Box fontFamily="mono" fontSize="13px">
            {time.clock(one.starts)}–{time.clock(one.ends)}
          </Box>
          <Box flex="1" color="ink2">
            {say.liveNow(one.phase)}
          </Box>
          {one.phase === 'OVER' && <Link to={`/lessons/${one.id}/register`}>{say.register}</Link>}
          {one.phase !== 'OVER' && <Link to={`/rules/lesson:${one.id}`}>{say.rulesAndVisitors}</Link>}
          {one.phase !== 'OVER' && mine && <Link to={`/lessons/${one.id}/desk`}>{say.desk}</Link>}
        </Flex>
      ))}
    </Box>
  )
}
