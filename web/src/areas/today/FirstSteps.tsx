import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { say as staffSays } from '../../languages/en/staff/today'
import { get, post } from '../../shared/api/http'
import { RehearseButton } from '../../lesson/rehearsal/RehearseButton'
import type { FirstStep, ReadyCharter, Rules } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'
import { VerdictMark } from '../../shared/ui/VerdictMark'

const STEPS: Record<FirstStep['step'], { say: string; why: string; act?: string; to?: string }> = {
  CALENDAR: {
    say: staffSays.termsAndHolidays,
    why: staffSays.lessonsAreThenLeftOut,
    act: staffSays.setThem,
    to: '/calendar',
  },
  CHARTER: { say: staffSays.theCharter, why: staffSays.whatHoldsInEveryLesson },
  PEOPLE: { say: staffSays.people, why: staffSays.teachersAndPupilsByHand, act: staffSays.addPeople, to: '/people' },
  CLASS: {
    say: staffSays.aClassWithItsRoster,
    why: staffSays.itsRulesLessonsAndLink,
    act: staffSays.makeAClass,
    to: '/classes/new',
  },
  LESSON: { say: staffSays.aFirstLesson, why: staffSays.oneDateIsEnough, act: staffSays.planOne, to: '/timetable' },
  TRIED: {
    say: staffSays.triedOnce,
    why: staffSays.aSimulatedClassComes,
  },
}

/** In a school that has just been founded: what comes first, what is done, and the one act for the next step. */
export function FirstSteps() {
  const { data } = useQuery({ queryKey: ['first-steps'], queryFn: () => get<FirstStep[]>('/api/first-steps') })
  if (!data || data.every((one) => one.done)) return null
  const next = data.find((one) => !one.done)
  return (
    <Box
      as="section"
      aria-label={staffSays.firstSteps}
      bg="sheet"
      borderTop="3px double"
      borderColor="ink"
      px="16px"
      py="12px"
      mb="16px"
    >
      <chakra.h2 fontSize="20px" mb="6px">
        {staffSays.firstSteps}
      </chakra.h2>
      <ol>
        {data.map((one) => {
          const step = STEPS[one.step]
          const isNext = one === next
          return (
            <Box
              as="li"
              key={one.step}
              listStyleType="none"
              py="6px"
              px="8px"
              borderBottom="1px solid"
              borderColor="line"
              bg={isNext ? 'markSoft' : 'transparent'}
            >
              <Flex gap="10px" align="center" wrap="wrap">
                <Box w="18px">{one.done && <VerdictMark verdict="in" />}</Box>
                <Box flex="1 1 260px">
                  <chakra.strong fontWeight="650">{step.say}</chakra.strong>{' '}
                  <chakra.span color="ink2">{staffSays.isThere(one.done, step.why)}</chakra.span>
                </Box>
                {!one.done && step.to && (
                  <Link to={step.to}>
                    <Button as="span" look={isNext ? 'main' : 'plain'}>
                      {step.act}
                    </Button>
                  </Link>
                )}
              </Flex>
              {!one.done && one.step === 'CHARTER' && <Charters />}
              {!one.done && one.lesson && <RehearseButton lesson={one.lesson} look={isNext ? 'main' : 'plain'} />}
            </Box>
          )
        })}
      </ol>
    </Box>
  )
}

/** Three charters side by side, each with its reasons; one press makes it a draft, and another puts it in force. */
function Charters() {
  const cache = useQueryClient()
  const navigate = useNavigate()
  const [open, setOpen] = useState('')
  const { data } = useQuery({ queryKey: ['ready-charters'], queryFn: () => get<ReadyCharter[]>('/api/charter/ready-made') })
  const take = useMutation({
    mutationFn: (id: string) => post<Rules>(`/api/charter/ready-made/${id}`),
    onSuccess: async (rules) => {
      cache.setQueryData(['rules', 'school', ''], rules)
      await navigate('/charter')
    },
  })
  if (!data) return null
  return (
    <Box mt="6px">
      <Grid templateColumns={{ base: '1fr', md: 'repeat(3, 1fr)' }} gap="10px">
        {data.map((one) => (
          <Box key={one.id} border="1px solid" borderColor="lineStrong" px="10px" py="8px">
            <chakra.h3 fontSize="15px">{one.name}</chakra.h3>
            <chakra.p fontSize="13px" mb="6px">
              {one.about}
            </chakra.p>
            <Flex gap="8px" wrap="wrap" align="center">
              <Button disabled={take.isPending} onClick={() => take.mutate(one.id)}>
                {staffSays.take(one.name)}
              </Button>
              <Button look="quiet" aria-expanded={open === one.id} onClick={() => setOpen(open === one.id ? '' : one.id)}>
                {staffSays.itsSettings(one.settings.length)}
              </Button>
            </Flex>
            {open === one.id && (
              <chakra.ul listStyleType="none" fontSize="12.5px" mt="6px">
                {one.settings.map((line) => (
                  <chakra.li key={line.title + line.value} py="2px" borderTop="1px solid" borderColor="line">
                    <strong>{line.title}</strong>
                    {staffSays.binding(line.value, line.binding)} <chakra.span color="ink2">{line.why}</chakra.span>
                  </chakra.li>
                ))}
              </chakra.ul>
            )}
          </Box>
        ))}
      </Grid>
      <ProblemNote problem={take.error} compact />
    </Box>
  )
}
