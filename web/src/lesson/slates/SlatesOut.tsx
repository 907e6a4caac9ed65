import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { seatWords } from '../../languages/seat'
import type { AllSlates, Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { ProblemNote } from '../../shared/ui/Notes'
import { DrawingBoard } from '../drawing/DrawingBoard'
import { HIGH, WIDE } from '../drawing/geometry'
import { Drawing, GroundLines } from '../drawing/Marks'
import { useSheet } from '../drawing/useSheet'
import { slatesActs } from './acts'

/** One’s own slate while slates are out, and those that the class is shown. */
export default function SlatesOut({ seat }: { seat: Seat }) {
  const { out, shown } = seat.slates
  const mine = seat.mine.slate
  return (
    <>
      {shown.length > 0 && <Shown shown={shown} />}
      {out && mine && out.mayDraw && <Own key={out.number} out={out} frozen={mine.frozen} />}
    </>
  )
}

function Own({ out, frozen }: { out: NonNullable<Seat['slates']['out']>; frozen: boolean }) {
  const { visit = '' } = useParams()
  const say = seatWords()
  const acts = useMutation({ mutationFn: (send: () => Promise<unknown>) => send() })
  const path = `/api/seats/${encodeURIComponent(visit)}/slate`
  const sheet = useSheet(path, out.number, (body) => {
    const { number, slates } = body as AllSlates
    const own = slates[0]
    return { number, sheet: own?.sheet ?? '', me: own?.person ?? '', marks: own?.marks ?? [] }
  })
  return (
    <Box
      as="section"
      aria-label={say.yourSlate}
      px={{ base: '10px', md: '22px' }}
      py="12px"
      bg="sheet"
      borderBottom="3px double"
      borderColor="ink"
    >
      <Flex align="baseline" gap="12px" mb="8px" wrap="wrap">
        <chakra.h2 fontSize="21px">
          <span role="status">{out.task || say.yourSlate}</span>
        </chakra.h2>
        <chakra.span color="ink2" fontSize="14px">
          {frozen ? say.handedIn : say.onlyYouAndTeachers}
        </chakra.span>
      </Flex>
      {sheet.problem && <ProblemNote problem={sheet.problem} />}
      <DrawingBoard
        label={say.yourSlate}
        marks={sheet.marks}
        me={sheet.me}
        mayDraw={!frozen && !sheet.loading}
        points={false}
        maxH="calc(100vh - 330px)"
        onDraw={(drawing) => acts.mutateAsync(() => slatesActs['slate-draw'](visit, { drawing }))}
        onErase={(marks) => acts.mutate(() => slatesActs['slate-wipe'](visit, { marks }))}
        onUndo={() => acts.mutate(() => slatesActs['slate-undo'](visit))}
        under={<GroundLines ground={out.ground} />}
      >
        <Button
          size="small"
          disabled={sheet.marks.length === 0}
          onClick={() => acts.mutate(() => slatesActs['slate-wipe'](visit, { marks: [] }))}
        >
          {say.wipeAll}
        </Button>
        <Button look="main" onClick={() => acts.mutate(() => slatesActs['hand-in'](visit))}>
          {say.handItIn}
        </Button>
      </DrawingBoard>
      <ProblemNote problem={acts.error} compact />
    </Box>
  )
}

function Shown({ shown }: { shown: Seat['slates']['shown'] }) {
  const say = seatWords()
  return (
    <Flex
      as="section"
      aria-label={say.slatesAllSee}
      gap="12px"
      wrap="wrap"
      px={{ base: '14px', md: '22px' }}
      py="10px"
      borderBottom="1px solid"
      borderColor="lineStrong"
    >
      {shown.map((one, place) => (
        <chakra.figure key={place} w={shown.length === 1 ? 'min(560px, 100%)' : '260px'}>
          <chakra.svg
            viewBox={`0 0 ${WIDE} ${HIGH}`}
            w="100%"
            aspectRatio="16 / 10"
            bg="sheet"
            border="1.5px solid"
            borderColor="ink"
            role="img"
            aria-label={one.name ? say.slateOf(one.name) : say.aSlate}
          >
            <GroundLines ground={one.ground} />
            {one.marks.map((mark) => (
              <Drawing key={mark.number} mark={mark} />
            ))}
          </chakra.svg>
          <chakra.figcaption>{one.name ?? say.oneOfSlates}</chakra.figcaption>
        </chakra.figure>
      ))}
    </Flex>
  )
}
