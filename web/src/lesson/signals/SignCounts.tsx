import { chakra, Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/desk/signals'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { Give } from '../orders'
import type { Sign } from './orders'

const SIGNS: Record<Sign, string> = {
  AGREE: say.agree,
  DISAGREE: say.disagree,
  SLOWER: say.slower,
  FASTER: say.faster,
  BREAK: say.aBreak,
  CANNOT_HEAR: say.cannotHear,
}

/** Signals are counted, not queued: nobody needs an answer to "agree". */
export function SignCounts({ desk, give }: { desk: Desk; give: Give }) {
  if (desk.signals.signs.length === 0) return null
  return (
    <Flex mx="14px" mb="5px" gap="10px" fontSize="13px" wrap="wrap" role="status" aria-label={say.signals}>
      {desk.signals.signs.map((one) => (
        <span key={one.sign} title={one.names.join(', ')}>
          <chakra.strong fontFamily="mono">{one.count}</chakra.strong> {SIGNS[one.sign]}
        </span>
      ))}
      <Button look="quiet" fontSize="12px" onClick={() => give({ do: 'clear-signs' })}>
        {say.clearSignals}
      </Button>
    </Flex>
  )
}
