import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { get, post, put, remove } from '../../shared/api/http'
import type { ClassPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'

/** Who is in charge of a class, from now on; for some lessons only, cover is arranged in the timetable. */
export function Adults({ page }: { page: ClassPage }) {
  const cache = useQueryClient()
  const [adding, setAdding] = useState('')
  const colleagues = useQuery({ queryKey: ['adults'], queryFn: () => get<{ id: string; name: string }[]>('/api/adults') })
  const path = `/api/classes/${page.id}/adults`
  const change = useMutation({
    mutationFn: (order: () => Promise<ClassPage>) => order(),
    onSuccess: (next) => {
      cache.setQueryData(['class', page.id], next)
      setAdding('')
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
              <chakra.span color="ink2">{leads ? 'lead adult' : 'second adult'}</chakra.span>
              {!leads && (
                <>
                  <Button
                    size="small"
                    disabled={change.isPending}
                    onClick={() => change.mutate(() => post<ClassPage>(`${path}/${one.id}/lead`))}
                  >
                    <span>
                      Lead from now on<chakra.span srOnly>: {one.name}</chakra.span>
                    </span>
                  </Button>
                  <Button
                    size="small"
                    disabled={change.isPending}
                    onClick={() => change.mutate(() => remove<ClassPage>(`${path}/${one.id}`))}
                  >
                    <span>
                      Remove<chakra.span srOnly> {one.name}</chakra.span>
                    </span>
                  </Button>
                </>
              )}
            </chakra.li>
          )
        })}
      </chakra.ul>
      <Flex gap="8px" align="center">
        <Select aria-label="Another adult" w="260px" value={adding} onChange={(event) => setAdding(event.target.value)}>
          <option value="">Another adult…</option>
          {others.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Select>
        <Button disabled={!adding || change.isPending} onClick={() => change.mutate(() => put<ClassPage>(`${path}/${adding}`))}>
          Add as second adult
        </Button>
      </Flex>
      <ProblemNote problem={change.error} compact />
      <chakra.p color="ink2" fontSize="13px" mt="10px">
        This counts from now on and for all lessons to come; registers of the past keep who was there. For some lessons only, let
        somebody cover: choose the lesson in the timetable.
      </chakra.p>
    </Box>
  )
}
