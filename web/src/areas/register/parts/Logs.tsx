import { Box, Flex } from '@chakra-ui/react'
import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../../languages/en/staff/register'
import { remove } from '../../../shared/api/http'
import type { RegisterPage } from '../../../shared/api/types'
import { useNow, useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Sheet } from '../../../shared/ui/Sheet'
import { LogImport } from '../LogImport'

/** Logs of other services that count in this register, and another one. */
export function Logs({ page, lesson }: { page: RegisterPage; lesson: string }) {
  const cache = useQueryClient()
  const time = useSchoolTime()
  const [taking, setTaking] = useState(false)
  const takeBack = useMutation({
    mutationFn: (log: string) => remove(`/api/lessons/${encodeURIComponent(lesson)}/logs/${log}`),
    onSuccess: () => cache.invalidateQueries({ queryKey: ['register', lesson] }),
  })
  const over = Date.parse(page.ends) <= useNow()
  if (!page.editable || !over) return null
  return (
    <Box mb="8px" fontSize="13px">
      {page.logs.map((one) => (
        <Flex key={one.id} gap="8px" align="center">
          <span>
            {say.alsoCounted} {one.file || say.aLogOfAnotherService}
            {say.takenBy(one.by, time.day(one.at), time.clock(one.at))}
          </span>
          <Button size="small" disabled={takeBack.isPending} onClick={() => takeBack.mutate(one.id)}>
            {say.takeItBack}
          </Button>
        </Flex>
      ))}
      <ProblemNote problem={takeBack.error} compact />
      <Button look="quiet" onClick={() => setTaking(true)}>
        {say.bringInALog}
      </Button>
      <Sheet title={say.aLogOfAnotherServiceTitle} wide open={taking} onClose={() => setTaking(false)}>
        <LogImport lesson={lesson} onTaken={() => setTaking(false)} />
      </Sheet>
    </Box>
  )
}
