import { Flex } from '@chakra-ui/react'
import { useEffect } from 'react'
import { say } from '../../languages/en/desk/rights'
import type { Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import type { Give } from '../orders'

/** As long as the server gives passes back; see RightsRules.MUTE_UNDONE_WITHIN. */
const UNDO_MS = 14_000

/** Who has a pass to speak just now: "mute all" ends them. */
export function passesToSpeak(desk: Desk): number {
  return Object.values(desk.rights.pupils).filter((pupil) =>
    pupil.cells.some((cell) => cell.rule === 'voice.speak' && cell.loan === 'PASS'),
  ).length
}

/** Says what "mute all" took, while it can be given back. */
export function Muted({ passes, give, onOver }: { passes: number; give: Give; onOver: () => void }) {
  useEffect(() => {
    const over = setTimeout(onOver, UNDO_MS)
    return () => clearTimeout(over)
  }, [onOver])
  return (
    <Flex role="status" align="center" gap="10px" px="14px" py="5px" bg="markSoft" borderBottom="1px solid" borderColor="line">
      {say.allMutedToSpeakEnded(passes)}
      <Button size="small" onClick={() => give({ do: 'undo-mute-all' })}>
        {say.giveBack(passes)}
      </Button>
    </Flex>
  )
}
