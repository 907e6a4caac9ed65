import { Box, chakra, Flex } from '@chakra-ui/react'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { DrawingBoard } from '../drawing/DrawingBoard'
import { useSheet } from '../drawing/useSheet'
import { useActs } from '../acts'
import { UnderPage } from './UnderPage'

/** The page of the board that is shown where one sits. */
export default function SeatBoard({ seat, visit }: { seat: Seat; visit: string }) {
  const path = `/api/seats/${encodeURIComponent(visit)}/board`
  const { shown, place, pages } = seat.board
  const sheet = useSheet(path, `${place} ${shown}`)
  const acts = useActs(visit)
  const say = seatWords()
  const mayDraw = seat.rights.rights.some((right) => right.rule === 'share.draw' && right.value === 'open')
  if (sheet.problem) return <ProblemNote problem={sheet.problem} />
  if (sheet.loading) return <LoadingNote says={words().fetchingBoard} />
  const under = pages.find((one) => one.id === shown)?.under
  return (
    <Box>
      <DrawingBoard
        label={say.board}
        marks={sheet.marks}
        pointed={sheet.pointed}
        me={sheet.me}
        mayDraw={mayDraw}
        onDraw={(drawing) => acts.mutateAsync({ do: 'draw', page: shown, drawing })}
        onErase={(marks) => acts.mutate({ do: 'erase', page: shown, marks })}
        onUndo={() => acts.mutate({ do: 'undo-mark', page: shown })}
        onPoint={(points) => acts.mutate({ do: 'point', page: shown, points })}
        under={under && <UnderPage path={path} under={under} />}
      />
      <ProblemNote problem={acts.error} compact />
      <Flex gap="10px" mt="6px" wrap="wrap" fontSize="14px" align="center">
        {!mayDraw && <span>{say.drawingClosed}</span>}
        {sheet.marks.some((mark) => mark.author === sheet.me) && (
          <Button size="small" onClick={() => acts.mutate({ do: 'wipe-own' })}>
            {say.wipeMine}
          </Button>
        )}
        {sheet.keep && (
          <>
            <chakra.a href={`${path}.svg`} textDecoration="underline">
              {say.saveDrawing}
            </chakra.a>
            <chakra.a href={`${path}.pdf`} textDecoration="underline">
              {say.savePaper}
            </chakra.a>
          </>
        )}
      </Flex>
    </Box>
  )
}
