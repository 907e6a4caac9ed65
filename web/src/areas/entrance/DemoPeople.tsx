import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../languages/en/staff/entrance'
import { TOUR } from '../../lesson/tour/asked'
import { get, post } from '../../shared/api/http'
import type { DemoPerson, LessonLine } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'

/** Whose lesson is live in the demo, with a bit of everything. */
const GUIDED = 'orla-venn'

const POSITIONS = { LEAD: say.safeguardingLead, TEACHER: say.teachers, PUPIL: say.pupils }

/** In the demo, everybody is one click away. */
export default function DemoPeople() {
  const cache = useQueryClient()
  const [wanted, setWanted] = useState('')
  const { data } = useQuery({
    queryKey: ['demo-people'],
    queryFn: () => get<DemoPerson[]>('/api/demo/people'),
  })
  const become = useMutation({
    mutationFn: (id: string) => post(`/api/demo/session/${id}`),
    onSuccess: () => cache.invalidateQueries({ queryKey: standing.queryKey }),
  })
  const navigate = useNavigate()
  const tour = useMutation({
    mutationFn: async () => {
      await post(`/api/demo/session/${GUIDED}`)
      const live = (await get<LessonLine[]>('/api/today')).find((one) => one.mine && one.phase === 'OPEN')
      await navigate(live ? `/lessons/${encodeURIComponent(live.id)}/desk?${TOUR}` : '/today')
      await cache.invalidateQueries({ queryKey: standing.queryKey })
    },
  })
  const found = (data ?? []).filter((one) => one.name.toLowerCase().includes(wanted.toLowerCase()))
  return (
    <chakra.section aria-label={say.peopleOfTheDemo}>
      <chakra.h2 fontSize="17px" mb="6px">
        {say.thisIsTheDemoBeAnybody}
      </chakra.h2>
      <chakra.p mb="8px">
        <Button disabled={tour.isPending} onClick={() => tour.mutate()}>
          {say.showMeAround}
        </Button>
      </chakra.p>
      <ProblemNote problem={tour.error} compact />
      <TextInput
        aria-label={say.findAPerson}
        placeholder={say.findAPerson}
        value={wanted}
        onChange={(event) => setWanted(event.target.value)}
        mb="6px"
      />
      <ProblemNote problem={become.error} />
      <Box
        maxH="360px"
        overflowY="auto"
        borderTop="1.5px solid"
        borderColor="ink"
        tabIndex={0}
        role="region"
        aria-label={say.listOfPeople}
      >
        {(Object.keys(POSITIONS) as (keyof typeof POSITIONS)[]).map((position) => {
          const people = found.filter((one) => one.position === position)
          return people.length === 0 ? null : (
            <Box key={position}>
              <chakra.h3 fontSize="13px" color="ink2" mt="8px">
                {POSITIONS[position]}
              </chakra.h3>
              {people.map((one) => (
                <chakra.button
                  key={one.id}
                  type="button"
                  display="flex"
                  justifyContent="space-between"
                  gap="12px"
                  w="100%"
                  py="4px"
                  px="4px"
                  cursor="pointer"
                  borderBottom="1px solid"
                  borderColor="line"
                  _hover={{ bg: 'markSoft' }}
                  textAlign="start"
                  onClick={() => become.mutate(one.id)}
                >
                  <chakra.span fontWeight="600" whiteSpace="nowrap">
                    {one.name}
                  </chakra.span>
                  <chakra.span fontSize="13px" color="ink2">
                    {one.about}
                  </chakra.span>
                </chakra.button>
              ))}
            </Box>
          )
        })}
      </Box>
    </chakra.section>
  )
}
