import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useRef, useState, type PointerEvent } from 'react'
import { get, post } from '../../shared/api/http'
import type { BoardPage } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'

interface BoardProps {
  /** Where the board is read; lines go to `lines` below it. */
  path: string
  /** Changes whenever the board does. */
  number: number
  /** The page of which group; that of the place where one is, if none is named. */
  place?: string | undefined
  mayDraw: boolean
  /** Wipes the marks of one author, or all; without it only one's own can be wiped by `onWipeOwn`. */
  onWipe?: (of: string | null) => void
  onWipeOwn?: () => void
}

/** At the most so many points in one line; a slow hand gives no more than a quick one. */
const POINTS = 290

/** The board that all see. Every mark carries its author: hover or focus tells the name. */
export function Board({ path, number, place, mayDraw, onWipe, onWipeOwn }: BoardProps) {
  const cache = useQueryClient()
  const { data, error } = useQuery({
    queryKey: ['board', path, place, number],
    queryFn: () => get<BoardPage>(place ? `${path}?in=${encodeURIComponent(place)}` : path),
    placeholderData: (before) => before,
  })
  const draw = useMutation({
    mutationFn: (line: number[]) => post<BoardPage>(`${path}/lines`, { line }),
    onSuccess: (board) => cache.setQueryData(['board', path, place, board.number], board),
  })
  const [line, setLine] = useState<number[]>([])
  const drawing = useRef(false)
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what="the board" />
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect()
    const within = (share: number) => Math.min(1000, Math.max(0, Math.round(share * 1000)))
    return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)]
  }
  const authors = [...new Map(data.lines.map((mark) => [mark.author, mark.authorName])).entries()]
  const end = () => {
    drawing.current = false
    if (line.length >= 4) draw.mutate(line, { onSettled: () => setLine([]) })
    else setLine([])
  }
  return (
    <Box>
      <chakra.svg
        viewBox="0 0 1000 1000"
        preserveAspectRatio="none"
        role="img"
        aria-label={`Board with ${data.lines.length} marks`}
        w="100%"
        h={{ base: '240px', md: '320px' }}
        bg="sheet"
        border="1.5px solid"
        borderColor="ink"
        cursor={mayDraw ? 'crosshair' : 'default'}
        touchAction="none"
        onPointerDown={(event) => {
          if (!mayDraw) return
          event.currentTarget.setPointerCapture(event.pointerId)
          drawing.current = true
          setLine(point(event))
        }}
        onPointerMove={(event) => {
          if (!drawing.current) return
          const next = point(event)
          setLine((before) => (before.length < POINTS * 2 ? [...before, ...next] : before))
        }}
        onPointerUp={end}
        onPointerCancel={end}
      >
        {data.lines.map((mark) => (
          <Stroke key={mark.number} line={mark.line} mine={mark.mine} title={mark.mine ? 'You' : mark.authorName} />
        ))}
        {line.length > 0 && <Stroke line={line} mine title="" />}
      </chakra.svg>
      <ProblemNote problem={draw.error} compact />
      <Flex gap="8px" mt="6px" wrap="wrap" fontSize="13px" align="center">
        {!mayDraw && <span>You look on; drawing is closed to you now.</span>}
        {onWipeOwn && data.lines.some((mark) => mark.mine) && (
          <Button size="small" onClick={onWipeOwn}>
            Wipe my marks
          </Button>
        )}
        {onWipe &&
          authors.map(([id, name]) => (
            <Button key={id} size="small" onClick={() => onWipe(id)}>
              Wipe {name}’s
            </Button>
          ))}
        {onWipe && authors.length > 0 && (
          <Button size="small" onClick={() => onWipe(null)}>
            Wipe all
          </Button>
        )}
      </Flex>
    </Box>
  )
}

function Stroke({ line, mine, title }: { line: number[]; mine: boolean; title: string }) {
  const points = Array.from({ length: line.length / 2 }, (_, i) => `${line[2 * i]},${line[2 * i + 1]}`).join(' ')
  return (
    <polyline
      points={points}
      fill="none"
      stroke="currentColor"
      strokeWidth={mine ? 3 : 2}
      strokeLinecap="round"
      strokeLinejoin="round"
      vectorEffect="non-scaling-stroke"
    >
      <title>{title}</title>
    </polyline>
  )
}
