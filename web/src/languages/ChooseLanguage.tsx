import { chakra } from '@chakra-ui/react'
import { Button } from '../shared/ui/Button'
import { choose, others } from './language'

/** Each language in its own words, for who does not read the others. */
export function ChooseLanguage() {
  return (
    <chakra.p mt="18px" pt="8px" borderTop="1px solid" borderColor="line" fontSize="14px">
      {others().map((one) => (
        <Button key={one.tag} size="small" lang={one.tag} onClick={() => choose(one.tag)}>
          {one.name}
        </Button>
      ))}
    </chakra.p>
  )
}
