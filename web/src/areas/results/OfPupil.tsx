import { Box, chakra } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { say } from '../../languages/en/staff/results'
import { get } from '../../shared/api/http'
import type { GivenMerit, PupilAnswer } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'

/** On a pupil's page: merits with what for, and answers that are seen with names. */
export function OfPupil({ person }: { person: string }) {
  const time = useSchoolTime()
  const at = `/api/pupils/${encodeURIComponent(person)}`
  const merits = useQuery({ queryKey: ['pupil-merits', person], queryFn: () => get<GivenMerit[]>(`${at}/merits`) })
  const answers = useQuery({ queryKey: ['pupil-answers', person], queryFn: () => get<PupilAnswer[]>(`${at}/answers`) })
  const withRight = answers.data?.filter((one) => one.right !== undefined) ?? []
  return (
    <>
      {merits.data && (
        <Box as="section" mt="20px">
          <chakra.h2 fontSize="18px">{say.merits}</chakra.h2>
          {merits.data.length === 0 && <chakra.p color="ink2">{say.noneYetInTheClasses}</chakra.p>}
          <chakra.ul listStyleType="none">
            {merits.data.slice(0, 12).map((one) => (
              <chakra.li key={`${one.lesson} ${one.at}`} py="2px" borderBottom="1px solid" borderColor="line">
                ✦ {one.reason}{' '}
                <chakra.span color="ink2" fontSize="13px">
                  {say.by(one.title, time.day(one.at), one.by)}
                </chakra.span>
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
      )}
      {answers.data && answers.data.length > 0 && (
        <Box as="section" mt="20px">
          <chakra.h2 fontSize="18px">{say.answers}</chakra.h2>
          {withRight.length > 0 && (
            <p>{say.ofWereRightWhereSomething(withRight.filter((one) => one.right).length, withRight.length)}</p>
          )}
          <chakra.ul listStyleType="none">
            {answers.data.slice(0, 20).map((one, place) => (
              <chakra.li key={place} py="2px" borderBottom="1px solid" borderColor="line">
                {one.question || say.aSpokenQuestion}:{' '}
                <strong>
                  {one.right === true && '✓ '}
                  {one.answer || say.noneOfThem}
                </strong>{' '}
                <chakra.span color="ink2" fontSize="13px">
                  {one.title}, {time.day(one.starts)}
                </chakra.span>
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
      )}
    </>
  )
}
