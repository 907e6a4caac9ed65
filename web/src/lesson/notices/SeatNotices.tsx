import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { Button } from '../../shared/ui/Button'

/** Announcements stay on top until they are taken down; the welcome until it has been read. */
export function Banner({ seat }: { seat: Seat }) {
  const time = useSchoolTime()
  const { welcome, up } = seat.notices
  const say = seatWords()
  const [read, setRead] = useState<string | null>(null)
  return (
    <>
      {up.map((one) => (
        <Box
          key={one.number}
          as="section"
          role="status"
          aria-label={say.announcement}
          px={{ base: '14px', md: '22px' }}
          py="9px"
          bg="markSoft"
          borderBottom="1px solid"
          borderColor="ink"
          fontSize="18px"
        >
          {one.text}{' '}
          <chakra.span fontSize="13px" color="ink2">
            {one.by}, {time.clock(one.at)}
          </chakra.span>
        </Box>
      ))}
      {welcome && read !== welcome.at && (
        <Flex
          as="section"
          aria-label={say.welcome}
          gap="12px"
          align="center"
          px={{ base: '14px', md: '22px' }}
          py="9px"
          bg="verdict.inSoft"
          borderBottom="1px solid"
          borderColor="lineStrong"
          fontSize="17px"
          wrap="wrap"
        >
          <span>
            {welcome.text}{' '}
            <chakra.span fontSize="13px" color="ink2">
              {welcome.by}
            </chakra.span>
          </span>
          <Box flex="1" />
          <Button onClick={() => setRead(welcome.at)}>{say.haveRead}</Button>
        </Flex>
      )}
    </>
  )
}
