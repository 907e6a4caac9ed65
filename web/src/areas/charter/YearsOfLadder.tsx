import { chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { say } from '../../languages/en/staff/charter'
import { edit } from '../../shared/api/http'
import type { LadderPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { Count, LADDER, table } from './ladder'

type Year = LadderPage['years'][number]

/** What year groups have otherwise: who heads them, and where kinds of acts stand. */
export function YearsOfLadder({ page, isLead }: { page: LadderPage; isLead: boolean }) {
  return (
    <>
      <chakra.h2 fontSize="19px" mb="4px">
        {say.years}
      </chakra.h2>
      <chakra.p color="ink2" mb="8px">
        {say.aHeadOfAYear}
      </chakra.p>
      <chakra.table w="100%" bg="sheet" borderTop="1.5px solid" borderColor="ink" fontSize="13.5px" css={table}>
        <thead>
          <chakra.tr fontSize="12px" color="ink2">
            <chakra.th w="60px">{say.year}</chakra.th>
            <th>{say.heads}</th>
            <th>{say.kindsThatStandElsewhere}</th>
          </chakra.tr>
        </thead>
        <tbody>
          {page.years.map((year) => (
            <YearRow key={year.year} year={year} page={page} isLead={isLead} />
          ))}
        </tbody>
      </chakra.table>
    </>
  )
}

function YearRow({ year, page, isLead }: { year: Year; page: LadderPage; isLead: boolean }) {
  const cache = useQueryClient()
  const saved = (next: LadderPage) => cache.setQueryData(LADDER, next)
  const heads = useMutation({
    mutationFn: (people: string[]) => edit<LadderPage>(`/api/ladder/years/${year.year}/heads`, { people }, '/api/ladder'),
    onSuccess: saved,
  })
  const own = useMutation({
    mutationFn: (from: Record<string, number>) =>
      edit<LadderPage>(`/api/ladder/years/${year.year}`, { steps: year.own.steps, from }, '/api/ladder'),
    onSuccess: saved,
  })
  const from = year.own.from
  const others = page.ladder.acts.filter((one) => from[one.id] === undefined)
  return (
    <tr>
      <chakra.td fontFamily="mono">{year.year}</chakra.td>
      <td>
        <Flex gap="6px" wrap="wrap" align="center">
          {year.heads.map((one) =>
            isLead ? (
              <Button
                key={one.id}
                size="small"
                aria-label={say.isNoHeadOfYear(one.name, year.year)}
                onClick={() => heads.mutate(year.heads.filter((other) => other !== one).map((other) => other.id))}
              >
                {one.name} ×
              </Button>
            ) : (
              <span key={one.id}>{one.name}</span>
            ),
          )}
          {isLead && (
            <Select
              w="auto"
              fontSize="12.5px"
              py="1px"
              aria-label={say.anotherHeadOfYear(year.year)}
              value=""
              onChange={(event) => event.target.value && heads.mutate([...year.heads.map((one) => one.id), event.target.value])}
            >
              <option value="">{say.nobodyYetAnd(year.heads.length)}</option>
              {page.staff
                .filter((one) => year.heads.every((known) => known.id !== one.id))
                .map((one) => (
                  <option key={one.id} value={one.id}>
                    {one.name}
                  </option>
                ))}
            </Select>
          )}
        </Flex>
      </td>
      <td>
        <Flex gap="8px" wrap="wrap" align="center">
          {page.ladder.acts
            .filter((one) => from[one.id] !== undefined)
            .map((one) => (
              <Flex key={one.id} gap="4px" align="center">
                {say.stepSaid(one.name)}{' '}
                <Count
                  label={say.inYearStandsAtStep(one.name, year.year)}
                  value={from[one.id] ?? one.from}
                  most={page.ladder.steps.length}
                  isLead={isLead}
                  onChange={(level) => own.mutate({ ...from, [one.id]: level })}
                />
                {isLead && (
                  <Button
                    look="quiet"
                    fontSize="12.5px"
                    aria-label={say.inYearAsInTheSchool(one.name, year.year)}
                    onClick={() => {
                      const { [one.id]: _, ...rest } = from
                      own.mutate(rest)
                    }}
                  >
                    {say.asTheSchool}
                  </Button>
                )}
              </Flex>
            ))}
          {isLead && (
            <Select
              w="auto"
              fontSize="12.5px"
              py="1px"
              aria-label={say.aKindThatStandsElsewhere(year.year)}
              value=""
              onChange={(event) => {
                const kind = page.ladder.acts.find((one) => one.id === event.target.value)
                if (kind) own.mutate({ ...from, [kind.id]: kind.from })
              }}
            >
              <option value="">{say.aKind}</option>
              {others.map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
            </Select>
          )}
        </Flex>
        <ProblemNote problem={heads.error ?? own.error} />
      </td>
    </tr>
  )
}
