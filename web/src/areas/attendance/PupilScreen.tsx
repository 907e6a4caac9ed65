import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useParams, useSearchParams } from 'react-router'
import { get } from '../../shared/api/http'
import type { NamedRate, PupilPage } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { MarkBox, MARKS } from '../../shared/ui/MarkBox'
import { Period, periodOf } from './Period'
import { RateBar, rateWords } from './RateBar'

/** One pupil over all classes: a page that one can show a parent, and print. */
export default function PupilScreen() {
  const { id = '' } = useParams()
  return <Page title="Attendance of a pupil">{() => <Shown id={id} />}</Page>
}

function Shown({ id }: { id: string }) {
  const [search, setSearch] = useSearchParams()
  const time = useSchoolTime()
  const asked = periodOf(search)
  const { data, error } = useQuery({
    queryKey: ['attendance', 'pupil', id, asked],
    queryFn: () => get<PupilPage>(`/api/pupils/${encodeURIComponent(id)}/attendance?${asked}`),
    placeholderData: (before) => before,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the attendance of the pupil" />
  return (
    <Box className="paper" maxW="1060px" mx="auto" px="20px" py="16px">
      <Flex gap="16px" align="end" wrap="wrap" mb="10px">
        <Box>
          <chakra.h1 fontSize="27px">{data.name}</chakra.h1>
          <chakra.p color="ink2">
            {data.year > 0 && `Year ${data.year} · `}attendance from {time.longDay(`${data.from}T12:00:00Z`)} to{' '}
            {time.longDay(`${data.until}T12:00:00Z`)}
          </chakra.p>
        </Box>
        <Box flex="1" />
        <Period from={data.from} until={data.until} onChange={(next) => setSearch(next, { replace: true })} />
        <Button onClick={() => window.print()}>Print</Button>
      </Flex>
      <Flex
        gap="22px"
        align="center"
        bg="sheet"
        borderTop="1.5px solid"
        borderColor="ink"
        px="16px"
        py="10px"
        mb="14px"
        wrap="wrap"
      >
        <chakra.span fontFamily="heading" fontSize="34px" fontWeight="650" lineHeight="1">
          {data.whole.rate === undefined ? '–' : `${data.whole.rate} %`}
        </chakra.span>
        <Box>
          <p>
            {data.whole.expected > 0 ? `There ${rateWords(data.whole)}.` : 'No lesson was held for this pupil in these days.'}
          </p>
          {data.reasons.map((one) => (
            <chakra.p key={one} fontWeight="650" color="verdict.away">
              {one}.
            </chakra.p>
          ))}
        </Box>
      </Flex>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="28px" alignItems="start">
        <Box>
          <Rates title="By class" rates={data.classes} name={(one) => one.name} />
          <Rates title="By week" rates={data.weeks} name={(one) => `from ${time.day(`${one.name}T12:00:00Z`)}`} />
          <Rates title="By day of the week" rates={data.weekdays} name={(one) => one.name[0] + one.name.slice(1).toLowerCase()} />
        </Box>
        <Box>
          <chakra.h2 fontSize="17px" mb="4px">
            Lesson by lesson
          </chakra.h2>
          {data.lessons.length === 0 && <EmptyNote>Nothing stands in a register yet.</EmptyNote>}
          <chakra.ul listStyleType="none" bg="sheet" borderTop={data.lessons.length ? '1.5px solid' : 'none'} borderColor="ink">
            {data.lessons.map((one) => (
              <chakra.li
                key={one.lesson}
                display="grid"
                gridTemplateColumns="150px 20px 1fr auto"
                gap="8px"
                px="8px"
                py="3px"
                borderBottom="1px solid"
                borderColor="line"
                alignItems="center"
              >
                <chakra.span fontFamily="mono" fontSize="12.5px">
                  {time.day(one.starts)} {time.clock(one.starts)}
                </chakra.span>
                <MarkBox mark={one.mark} />
                <span>
                  <Link to={`/lessons/${one.lesson}/register`}>{one.title}</Link>
                </span>
                <chakra.span fontSize="13px" color="ink2">
                  {MARKS[one.mark]}
                  {one.lateMinutes > 0 && ` by ${one.lateMinutes} min`}
                  {one.corrected && ', corrected'}
                </chakra.span>
              </chakra.li>
            ))}
          </chakra.ul>
        </Box>
      </Grid>
    </Box>
  )
}

/** Rates beside each other, as bars with their numbers. */
export function Rates({ title, rates, name }: { title: string; rates: NamedRate[]; name: (one: NamedRate) => string }) {
  if (rates.length === 0) return null
  return (
    <Box mb="16px">
      <chakra.h2 fontSize="17px" mb="4px">
        {title}
      </chakra.h2>
      <chakra.table
        w="100%"
        bg="sheet"
        borderTop="1.5px solid"
        borderColor="ink"
        css={{ '& td, & th': { padding: '3px 8px', borderBottom: '1px solid var(--chakra-colors-line)', textAlign: 'left' } }}
      >
        <tbody>
          {rates.map((one) => (
            <tr key={one.id + one.name}>
              <chakra.th scope="row" fontWeight="400">
                {one.id ? <Link to={`/classes/${one.id}/attendance`}>{name(one)}</Link> : name(one)}
              </chakra.th>
              <chakra.td w="168px">
                <RateBar rate={one.rate} />
              </chakra.td>
              <chakra.td fontSize="12.5px" color="ink2">
                {rateWords(one.rate)}
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}
