import { Box, chakra } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/people'
import type { GivenCode } from '../../shared/api/types'
import { useSchoolTime } from '../../shared/time'
import { CopyButton } from '../../shared/ui/CopyButton'

/** A code that counts once, to be handed over in person; it is shown this once. */
export function Code({ given }: { given: GivenCode }) {
  const time = useSchoolTime()
  return (
    <Box role="status" border="1.5px solid" borderColor="ink" bg="markSoft" px="14px" py="10px" my="10px">
      <p>
        {say.signsInAs(given.name)} <strong>{given.signIn}</strong> {say.withThisCodeOnceUntil(time.day(given.until))}
      </p>
      <chakra.p fontFamily="mono" fontSize="22px" my="6px">
        {given.code}
      </chakra.p>
      <CopyButton text={given.code}>{say.copyTheCode}</CopyButton>
    </Box>
  )
}
