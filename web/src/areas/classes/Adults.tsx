import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/staff/classes'
import { get, post, put, remove } from '../../shared/api/http'
import type { ClassPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextField } from '../../shared/ui/Fields'
import { Sheet } from '../../shared/ui/Sheet'
import { ProblemNote } from '../../shared/ui/Notes'

/** Who is in charge of a class, from now on; for some lessons only, cover is arranged in the timetable. */
export function Adults({ page }: { page: ClassPage }) {
  const cache = useQueryClient()
  const [adding, setAdding] = useState('')
  const [next, setNext] = useState<{ id: string; name: string } | null>(null)
  const [why, setWhy] = useState('')
  const colleagues = useQuery({ queryKey: ['adults'], queryFn: () => get<{ id: string; name: string }[]>('/api/adults') })
  const path = `/api/classes/${page.id}/adults`
  const change = useMutation({
    mutationFn: (order: () => Promise<unknown>) => order(),
    onSuccess: () => {
      setAdding('')
      setNext(null)
      setWhy('')
      void cache.invalidateQueries({ queryKey: ['class', page.id] })
      void cache.invalidateQueries({ queryKey: ['timetable'] })
      void cache.invalidateQueries({ queryKey: ['inspection'] })
    },
  })
  const others = colleagues.data?.filter((one) => page.adults.every((adult) => adult.id !== one.id)) ?? []
  return (
    <Box maxW="720px">
      <chakra.ul listStyleType="none" bg="sheet" borderTop="1.5px solid" borderColor="ink" mb="12px">
        {page.adults.map((one) => {
          const leads = one.role === 'LEAD_ADULT'
          return (
            <chakra.li
              key={one.id}
              display="flex"
              gap="12px"
              alignItems="center"
              px="10px"
              py="5px"
              borderBottom="1px solid"
              borderColor="line"
            >
              <chakra.span flex="1" fontWeight={leads ? 650 : 400}>
                {one.name}
              </chakra.span>
              <chakra.span color="ink2">{say.leadAdultSecondAdult(leads)}</chakra.span>
              {!leads && page.leading && (
                <>
                  <Button size="small" disabled={change.isPending} onClick={() => setNext(one)}>
                    <span>
                      {say.leadFromNow}
                      <chakra.span srOnly>: {one.name}</chakra.span>
                    </span>
                  </Button>
                  <Button
                    size="small"
                    disabled={change.isPending}
                    onClick={() => change.mutate(() => remove(`${path}/${one.id}`))}
                  >
                    <span>
                      {say.remove}
                      <chakra.span srOnly> {one.name}</chakra.span>
                    </span>
                  </Button>
                </>
              )}
            </chakra.li>
          )
        })}
      </chakra.ul>
      {page.leading ? (
        <Flex gap="8px" align="center">
          <Select aria-label={say.anotherAdult} w="260px" value={adding} onChange={(event) => setAdding(event.target.value)}>
            <option value="">{say.anotherAdultChoice}</option>
            {others.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
          <Button disabled={!adding || change.isPending} onClick={() => change.mutate(() => put<ClassPage>(`${path}/${adding}`))}>
            {say.addAsSecondAdult}
          </Button>
        </Flex>
      ) : (
        <chakra.p color="ink2">{say.whoItsAdults}</chakra.p>
      )}
      <Sheet title={say.leadsFromNow(next?.name ?? '')} open={next !== null} onClose={() => setNext(null)}>
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            if (next) change.mutate(() => post(`${path}/${next.id}/lead`, { why }))
          }}
        >
          <chakra.p mb="8px">{say.whoeverLedStaysAsSecond}</chakra.p>
          <TextField label={say.why} maxLength={500} value={why} onChange={(event) => setWhy(event.target.value)} required />
          <ProblemNote problem={change.error} compact />
          <Button type="submit" look="main" disabled={change.isPending || why.trim() === ''}>
            {say.handTheClassOver}
          </Button>
        </chakra.form>
      </Sheet>
      <ProblemNote problem={change.error} compact />
      <chakra.p color="ink2" fontSize="13px" mt="10px">
        {say.thisCountsFromNow}
      </chakra.p>
    </Box>
  )
}
