import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/desk/rights'
import { get } from '../../shared/api/http'
import type { Desk, GroupsPreview } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import type { Give } from '../orders'

/** The planned sequence of stances of this lesson: changed here, seen by the adults only. */
export function RunningOrderPlan({ desk, give }: { desk: Desk; give: Give }) {
  const { written, stances, byTheClock } = desk.course
  // As it was written, not as it falls: the last lasts to the end, and what has no time left is still planned.
  const planned = written.map(({ stance, minutes, groups }) => ({ stance, minutes, ...(groups ? { groups } : {}) }))
  const { data: kept } = useQuery({
    queryKey: ['groups-preview', desk.lesson, 'plan'],
    queryFn: () => get<GroupsPreview>(`/api/lessons/${encodeURIComponent(desk.lesson)}/groups/preview`),
  })
  const prepared = kept?.prepared ?? []
  const length = Math.round((Date.parse(desk.ends) - Date.parse(desk.starts)) / 60_000)
  const sum = planned.reduce((all, step) => all + step.minutes, 0)
  const [stance, setStance] = useState('')
  const [minutes, setMinutes] = useState('10')
  const [groups, setGroups] = useState('')
  const write = (steps: typeof planned, clock = byTheClock) => give({ do: 'running-order', steps, byTheClock: clock })
  const nameOf = (id: string) => stances.find((one) => one.id === id)?.name ?? id
  return (
    <Box mt="18px">
      <chakra.h2 fontSize="15px" mb="4px">
        {say.runningOrder}
      </chakra.h2>
      {planned.length === 0 && <chakra.p color="ink2">{say.nonePlannedAddAStance}</chakra.p>}
      {planned.map((step, place) => (
        <Flex key={`${step.stance} ${place}`} align="center" gap="8px" py="2px" borderBottom="1px dotted" borderColor="line">
          <Box flex="1">
            {nameOf(step.stance)}
            {step.groups && (
              <chakra.span color="ink2">
                {say.inGroups} {prepared.find((one) => one.id === step.groups)?.name ?? say.prepared}
              </chakra.span>
            )}
          </Box>
          <chakra.span fontFamily="mono" fontSize="12.5px">
            {say.min(step.minutes)}
          </chakra.span>
          <Button size="small" onClick={() => write(planned.filter((_, other) => other !== place))}>
            {say.takeOut}
          </Button>
        </Flex>
      ))}
      <chakra.form
        display="flex"
        gap="6px"
        mt="6px"
        onSubmit={(event) => {
          event.preventDefault()
          write([...planned, { stance, minutes: Number(minutes), ...(groups ? { groups } : {}) }])
          setStance('')
          setGroups('')
        }}
      >
        <Select aria-label={say.stanceToAdd} value={stance} required onChange={(event) => setStance(event.target.value)}>
          <option value="">{say.aStance}</option>
          {stances.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Select>
        <TextInput
          aria-label={say.minutes}
          type="number"
          min={1}
          max={240}
          w="70px"
          value={minutes}
          onChange={(event) => setMinutes(event.target.value)}
        />
        {prepared.length > 0 && (
          <Select aria-label={say.inGroupsLabel} w="130px" value={groups} onChange={(event) => setGroups(event.target.value)}>
            <option value="">{say.allTogether}</option>
            {prepared.map((one) => (
              <option key={one.id} value={one.id}>
                {say.inGroupsSaid(one.name)}
              </option>
            ))}
          </Select>
        )}
        <Button type="submit">{say.add}</Button>
      </chakra.form>
      {planned.length > 0 && (
        <chakra.p fontSize="12.5px" color={sum > length ? 'verdict.away' : 'ink2'} mt="4px">
          {say.minArePlannedTheLesson(sum, length)}
        </chakra.p>
      )}
      {planned.length > 0 && (
        <chakra.label display="flex" gap="6px" mt="6px" fontSize="13px">
          <input type="checkbox" checked={byTheClock} onChange={(event) => write(planned, event.target.checked)} />
          {say.switchByTheClockWithout}
        </chakra.label>
      )}
    </Box>
  )
}
