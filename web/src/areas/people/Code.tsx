import { Box, chakra } from '@chakra-ui/react'
import type { GivenCode } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { CopyButton } from '../../shared/ui/CopyButton'

/** A code that counts once, to be handed over in person; it is shown this once. */
export function Code({ given }: { given: GivenCode }) {
  const time = useSchoolTime()
  return (
    <Box role="status" border="1.5px solid" borderColor="ink" bg="markSoft" px="14px" py="10px" my="10px">
      <p>
        {given.name} signs in as <strong>{given.signIn}</strong> with this code, once, until {time.day(given.until)}. Then a
        password of the own is chosen. Hand it over in person; it is not shown again.
      </p>
      <chakra.p fontFamily="mono" fontSize="22px" my="6px">
        {given.code}
      </chakra.p>
      <CopyButton text={given.code}>Copy the code</CopyButton>
    </Box>
  )
}
