import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { Link, useSearchParams } from 'react-router'
import { say } from '../../languages/en/desk/rehearsal'
import { get, post } from '../../shared/api/http'
import type { Desk, Rehearsing } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'
import { TOUR } from '../tour/asked'
import { RehearseButton } from './RehearseButton'

const STANDS: Record<Desk['door']['phase'], string> = {
  PLANNED: say.openTheLesson,
  OPEN: say.theClassIsSimulated,
  OVER: say.itIsOver,
}

/** Under the head of a rehearsal's desk: that it is one, and what can be tried in it. */
export function RehearsalLine({ desk }: { desk: Desk }) {
  const path = `/api/lessons/${encodeURIComponent(desk.lesson)}/rehearsal`
  const { data } = useQuery({ queryKey: ['rehearsal', desk.lesson], queryFn: () => get<Rehearsing>(path) })
  const [address, setAddress] = useSearchParams()
  const play = useMutation({ mutationFn: (id: string) => post(`${path}/mischief/${id}`) })
  const played = data?.mischief.find((one) => one.id === play.variables)
  return (
    <Flex
      role="region"
      aria-label={say.rehearsal}
      align="center"
      gap="6px 14px"
      wrap="wrap"
      px="14px"
      py="6px"
      bg="markSoft"
      borderBottom="1px solid"
      borderColor="ink"
      fontSize="13.5px"
      flexShrink={0}
    >
      <span>
        <chakra.strong fontWeight="650">{say.rehearsalStrong}</chakra.strong>{' '}
        {say.nothingIsKeptAndNobody(STANDS[desk.door.phase])}
      </span>
      {desk.door.phase !== 'OVER' && !address.has(TOUR) && (
        <Button size="small" onClick={() => setAddress({ [TOUR]: '' }, { replace: true })}>
          {say.showMeAround}
        </Button>
      )}
      {desk.door.phase === 'OPEN' && data && (
        <chakra.select
          aria-label={say.letSomethingGoWrong}
          value=""
          onChange={(event) => play.mutate(event.target.value)}
          bg="sheet"
          border="1px solid"
          borderColor="lineStrong"
          borderRadius="3px"
          px="6px"
          minH="28px"
        >
          <option value="">{say.letSomethingGoWrongChoice}</option>
          {data.mischief.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </chakra.select>
      )}
      <chakra.span role="status" color="ink2">
        {desk.door.phase === 'OPEN' && play.isSuccess && played && `${played.title}: ${played.about}`}
      </chakra.span>
      <ProblemNote problem={play.error} compact />
    </Flex>
  )
}

/** After it: what was not done, because it was a rehearsal, and what one may do now. */
export function RehearsalOver({ desk }: { desk: Desk & { rehearses: string } }) {
  return (
    <Box px="14px" py="12px">
      <chakra.h2 fontSize="17px" mb="4px">
        {say.theRehearsalIsOver}
      </chakra.h2>
      <chakra.p color="ink2" mb="12px">
        {say.theSimulatedClassGoesHome}
      </chakra.p>
      <Flex gap="8px" wrap="wrap">
        <RehearseButton lesson={desk.rehearses} look="main">
          {say.onceMore}
        </RehearseButton>
        <Link to={`/lessons/${encodeURIComponent(desk.rehearses)}/desk`}>
          <Button as="span">{say.toTheLessonItself}</Button>
        </Link>
      </Flex>
    </Box>
  )
}
