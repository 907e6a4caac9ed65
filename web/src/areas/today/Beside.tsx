import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/today'
import { get } from '../../shared/api/http'
import type { CoverLine, Me, TodoLine, UnsignedRegister, Upkeep, WeakSpot } from '../../shared/api/types'
import { Todos } from '../../shared/casebook/Todos'
import { DUTIES, workingDay } from '../../shared/day/day'
import { useSchoolTime } from '../../shared/time'
import { SeverityMark } from '../../shared/ui/SeverityMark'
import { ageOf } from '../../shared/upkeep/age'

const SHOWN = 4

/** What waits for this adult, each with the way to it; what is not there takes no room. */
export function Beside({ me, now }: { me: Me; now: number }) {
  const { data: day } = useQuery(workingDay)
  const { data: todos } = useQuery({ queryKey: ['my-follow-ups'], queryFn: () => get<TodoLine[]>('/api/casebook/mine') })
  const { data: registers } = useQuery({
    queryKey: ['unsigned'],
    queryFn: () => get<UnsignedRegister[]>('/api/registers/unsigned'),
  })
  const { data: spots } = useQuery({ queryKey: ['weak-soon'], queryFn: () => get<WeakSpot[]>('/api/inspection/soon') })
  const { data: covers } = useQuery({ queryKey: ['covers'], queryFn: () => get<CoverLine[]>('/api/working-day/covers') })
  const time = useSchoolTime()
  const others = day?.waiting.filter((one) => one.duty === 'DRAFT' || one.duty === 'UPKEEP') ?? []
  const nothing = [todos, registers, spots, covers].every((one) => one?.length === 0) && others.length === 0
  return (
    <Box as="aside" aria-label={say.whatWaits} fontSize="13.5px">
      {nothing && <chakra.p color="ink2">{say.nothingWaits}</chakra.p>}
      {others.length > 0 && (
        <Box mb="14px">
          {others.map((one) => (
            <p key={one.duty}>
              <Link to={DUTIES[one.duty].to}>{DUTIES[one.duty].say(one.count)}</Link>
            </p>
          ))}
        </Box>
      )}
      <Part name={say.registersToSign} many={registers?.length} all="/attendance">
        {registers?.slice(0, SHOWN).map((one) => (
          <Line key={one.lesson}>
            <Link to={`/lessons/${one.lesson}/register`}>{one.title}</Link>
            <chakra.span color="ink2">
              {time.day(one.starts)} {time.clock(one.starts)}
            </chakra.span>
          </Line>
        ))}
      </Part>
      <Part name={say.toDoFromTheCasebook} many={todos?.length} all="/casebook">
        {todos && <Todos todos={todos.slice(0, SHOWN)} />}
      </Part>
      <Part name={say.weakSpotsOfToday} many={spots?.length} all="/inspection">
        {spots?.slice(0, SHOWN).map((one) => (
          <Flex key={one.key} gap="7px" py="3px" borderBottom="1px solid" borderColor="line">
            <Box pt="3px">
              <SeverityMark severity={one.severity} />
            </Box>
            <Box minW="0">
              <strong>{one.heading}</strong>{' '}
              <chakra.span color="ink2">
                {one.title}
                {one.starts && `, ${time.day(one.starts)} ${time.clock(one.starts)}`}
              </chakra.span>
            </Box>
          </Flex>
        ))}
      </Part>
      <Part name={say.cover} many={covers?.length} all="/timetable">
        {covers?.slice(0, SHOWN).map((one) => (
          <Line key={one.lesson + one.adult}>
            <span>
              <strong>{say.you(one.mine, one.adult)}</strong> {say.in(one.title)}
              {one.insteadOf && say.for(one.insteadOf)}
            </span>
            <chakra.span color="ink2">
              {time.day(one.starts)} {time.clock(one.starts)}
            </chakra.span>
          </Line>
        ))}
      </Part>
      {me.position === 'LEAD' && <BackupLine now={now} />}
    </Box>
  )
}

function Part({ name, many, all, children }: { name: string; many?: number; all: string; children: ReactNode }) {
  if (!many) return null
  return (
    <Box as="section" aria-label={name} mb="16px">
      <Flex justify="space-between" align="baseline" borderBottom="1.5px solid" borderColor="ink" mb="3px">
        <chakra.h2 fontSize="15px">{name}</chakra.h2>
        {many > SHOWN && (
          <Link to={all}>
            <chakra.span textDecoration="underline">{say.all(many)}</chakra.span>
          </Link>
        )}
      </Flex>
      {children}
    </Box>
  )
}

function Line({ children }: { children: ReactNode }) {
  return (
    <Flex
      justify="space-between"
      gap="10px"
      py="3px"
      borderBottom="1px solid"
      borderColor="line"
      css={{ '& a': { fontWeight: 640 } }}
    >
      {children}
    </Flex>
  )
}

/** Whether what is noted today would be there after a broken disk. */
function BackupLine({ now }: { now: number }) {
  const { data } = useQuery({ queryKey: ['upkeep'], queryFn: () => get<Upkeep>('/api/upkeep'), refetchInterval: 60_000 })
  if (!data) return null
  const age = data.lastBackup ? say.lastGoodBackupAgo(ageOf(data.lastBackup, new Date(now).toISOString())) : say.noBackupYet
  return (
    <chakra.p color="ink2">
      <Link to="/upkeep">{age}</Link>
    </chakra.p>
  )
}
