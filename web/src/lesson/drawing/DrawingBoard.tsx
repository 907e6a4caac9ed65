import { Box, chakra, Flex } from '@chakra-ui/react'
import { useId, useRef, useState, type PointerEvent, type ReactNode } from 'react'
import { seatWords } from '../../languages/seat'
import type { MarkLine } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { HIGH, isNear, WIDE, type Drawn, type Ink } from './geometry'
import { Drawing } from './Marks'
import { Tools, type Tool } from './Tools'
import type { Pointed } from './useSheet'

interface DrawingBoardProps {
  label: string
  marks: MarkLine[]
  pointed?: Pointed[]
  me: string
  mayDraw: boolean
  /** Others' marks may be taken off too. */
  mayEraseAll?: boolean
  /** Without a pointer on slates: nobody else looks. */
  points?: boolean
  /** Sends one mark; it is seen as drawn until it has come back. */
  onDraw: (drawn: Drawn) => Promise<unknown>
  onErase: (marks: number[]) => void
  onUndo: () => void
  onPoint?: (points: number[]) => void
  under?: ReactNode
  /** Beside the tools. */
  children?: ReactNode
  /** The most height; for pages that scroll. */
  maxH?: string
  /** As large as the room around it lets it be. */
  fill?: boolean
}

/** At the most so many numbers in one mark: a longer line goes on as another, so that others see it while it is drawn. */
const PIECE = 160

/** Up to so many marks have outlines as a hand leaves them. */
const OUTLINES = 600

/** A sheet to draw on, with its tools. Everything can be done by keyboard in the list below it. */
export function DrawingBoard(props: DrawingBoardProps) {
  const { label, marks, pointed = [], me, mayDraw, mayEraseAll = false, onDraw, onErase } = props
  const [tool, setTool] = useState<Tool>('PEN')
  const [ink, setInk] = useState<Ink>('INK')
  const [width, setWidth] = useState(2)
  const [line, setLine] = useState<number[] | null>(null)
  const [sent, setSent] = useState<{ id: number; drawn: Drawn }[]>([])
  const [writing, setWriting] = useState<number[] | null>(null)
  const [pointedAt, setPointedAt] = useState<number | null>(null)
  const next = useRef(0)
  const send = (drawn: Drawn) => {
    const id = next.current++
    setSent((before) => [...before, { id, drawn }])
    // It stays a moment longer than its answer: the mark itself comes by the line.
    const settle = () => setTimeout(() => setSent((before) => before.filter((one) => one.id !== id)), 150)
    onDraw(drawn).then(settle, settle)
  }
  const at = (event: PointerEvent<SVGSVGElement>): [number, number] => {
    const box = event.currentTarget.getBoundingClientRect()
    const within = (share: number) => Math.min(1000, Math.max(0, Math.round(share * 1000)))
    return [within((event.clientX - box.left) / box.width), within((event.clientY - box.top) / box.height)]
  }
  const erase = ([px, py]: [number, number]) => {
    const hit = marks.findLast(
      (mark) => (mayEraseAll || mark.author === me) && isNear({ shape: mark.shape, points: mark.points }, px, py),
    )
    if (hit) onErase([hit.number])
  }
  const begin = (event: PointerEvent<SVGSVGElement>) => {
    if (!mayDraw || event.button !== 0) return
    const point = at(event)
    if (tool === 'ERASER') return erase(point)
    if (tool === 'TEXT') return setWriting(point)
    event.currentTarget.setPointerCapture(event.pointerId)
    setLine(point)
  }
  const move = (event: PointerEvent<SVGSVGElement>) => {
    if (tool === 'ERASER' && mayDraw && event.buttons === 1) return erase(at(event))
    if (!line) return
    const point = at(event)
    if (tool !== 'PEN' && tool !== 'POINTER') return setLine([line[0] ?? 0, line[1] ?? 0, ...point])
    if (Math.abs(point[0] - (line.at(-2) ?? 0)) + Math.abs(point[1] - (line.at(-1) ?? 0)) < 2) return
    const longer = [...line, ...point]
    if (longer.length < PIECE) return setLine(longer)
    if (tool === 'PEN') send({ shape: 'PEN', ink, width, points: longer, text: '' })
    else props.onPoint?.(longer)
    setLine(point)
  }
  const end = () => {
    if (!line) return
    setLine(null)
    const [ax = 0, ay = 0] = line
    if (tool === 'POINTER') return props.onPoint?.(line.length >= 4 ? line : [ax, ay, ax, ay])
    if (tool === 'PEN')
      return send({ shape: 'PEN', ink, width, points: line.length >= 4 ? line : [ax, ay, Math.min(1000, ax + 1), ay], text: '' })
    if (line.length === 4 && tool !== 'ERASER' && tool !== 'TEXT') send({ shape: tool, ink, width, points: line, text: '' })
  }
  const plain = marks.length > OUTLINES
  const over = pointedAt === null ? undefined : marks.find((one) => one.number === pointedAt)
  const drawing = line && tool !== 'POINTER' && tool !== 'ERASER' && tool !== 'TEXT'
  return (
    <Flex direction="column" gap="8px" minH={props.fill ? '340px' : '0'} flex={props.fill ? '1' : undefined}>
      {mayDraw && (
        <Tools
          tool={tool}
          onTool={setTool}
          ink={ink}
          onInk={setInk}
          width={width}
          onWidth={setWidth}
          points={props.points ?? true}
          onUndo={props.onUndo}
        >
          {props.children}
        </Tools>
      )}
      {mayDraw && tool === 'TEXT' && !writing && (
        <KeyedText
          onDone={(text) => {
            const lines = marks.filter((mark) => mark.shape === 'TEXT' && mark.author === me).length
            send({ shape: 'TEXT', ink, width, points: [50, 90 + (lines % 11) * 80], text })
          }}
        />
      )}
      <Box flex={props.fill ? '1' : undefined} minH="0" css={props.fill ? { containerType: 'size' } : {}}>
        <Box
          position="relative"
          w={props.fill ? 'min(100%, 160cqh)' : '100%'}
          maxW={props.maxH ? `calc(${props.maxH} * 1.6)` : undefined}
          mx="auto"
        >
          <chakra.svg
            viewBox={`0 0 ${WIDE} ${HIGH}`}
            role="img"
            aria-label={seatWords().sheetOf(label, marks.length)}
            w="100%"
            aspectRatio="16 / 10"
            display="block"
            bg="sheet"
            border="1.5px solid"
            borderColor="ink"
            cursor={mayDraw ? 'crosshair' : 'default'}
            touchAction={mayDraw ? 'none' : 'auto'}
            onPointerOver={(event) => {
              const number = (event.target as Element).getAttribute('data-mark')
              if (!line) setPointedAt(number === null ? null : Number(number))
            }}
            onPointerDown={begin}
            onPointerMove={move}
            onPointerUp={end}
            onPointerCancel={() => setLine(null)}
          >
            {props.under}
            {marks.map((mark) => (
              <Drawing key={mark.number} mark={mark} plain={plain} />
            ))}
            {sent.map((one) => (
              <Drawing key={`sent ${one.id}`} mark={one.drawn} />
            ))}
            {drawing && line.length >= 4 && <Drawing mark={{ shape: tool, ink, width, points: line, text: '' }} />}
            {pointed.map((one) => (
              <PointedAt key={one.number} pointed={one} />
            ))}
          </chakra.svg>
          {writing && (
            <TextBox
              at={writing}
              onDone={(text) => {
                if (text.trim()) send({ shape: 'TEXT', ink, width, points: writing, text: text.trim() })
                setWriting(null)
              }}
            />
          )}
        </Box>
      </Box>
      <MarksList
        marks={marks}
        me={me}
        over={over}
        mayErase={(mark) => mayDraw && (mayEraseAll || mark.author === me)}
        onErase={onErase}
      />
    </Flex>
  )
}

/** A ring with a name at the end of the pointer's way; it is gone after some seconds. */
function PointedAt({ pointed }: { pointed: Pointed }) {
  const x = ((pointed.points.at(-2) ?? 0) * WIDE) / 1000
  const y = ((pointed.points.at(-1) ?? 0) * HIGH) / 1000
  return (
    <g>
      <chakra.circle cx={x} cy={y} r="26" fill="none" stroke="mark" strokeWidth="10" />
      <chakra.circle cx={x} cy={y} r="26" fill="none" stroke="ink" strokeWidth="2" />
      <chakra.text x={Math.min(x + 36, WIDE - 240)} y={y + 10} fontSize="30px" fontFamily="body" fill="ink">
        {pointed.name}
      </chakra.text>
    </g>
  )
}

/** By keys: a text is put on the next line of the sheet; by pointer one presses where it is to stand. */
function KeyedText({ onDone }: { onDone: (text: string) => void }) {
  const say = seatWords()
  const [text, setText] = useState('')
  return (
    <chakra.form
      display="flex"
      gap="8px"
      alignItems="center"
      fontSize="13px"
      flexWrap="wrap"
      onSubmit={(event) => {
        event.preventDefault()
        if (text.trim()) onDone(text.trim())
        setText('')
      }}
    >
      <TextInput
        w="240px"
        aria-label={say.nextLineText}
        maxLength={200}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <Button type="submit" size="small" disabled={!text.trim()}>
        {say.putOnNextLine}
      </Button>
      <span>{say.orPress}</span>
    </chakra.form>
  )
}

function TextBox({ at, onDone }: { at: number[]; onDone: (text: string) => void }) {
  const [text, setText] = useState('')
  return (
    <Box position="absolute" left={`${Math.min(70, (at[0] ?? 0) / 10)}%`} top={`${Math.min(92, (at[1] ?? 0) / 10)}%`} w="220px">
      <TextInput
        autoFocus
        aria-label={seatWords().textForSheet}
        maxLength={200}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => onDone(text)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') onDone(text)
          if (event.key === 'Escape') onDone('')
        }}
      />
    </Box>
  )
}

/** Whose marks there are, for who reads or works by keys: the latest first. */
function MarksList({
  marks,
  me,
  over,
  mayErase,
  onErase,
}: {
  marks: MarkLine[]
  me: string
  /** At which one points. */
  over: MarkLine | undefined
  mayErase: (mark: MarkLine) => boolean
  onErase: (marks: number[]) => void
}) {
  const [open, setOpen] = useState(false)
  const id = useId()
  const say = seatWords()
  if (marks.length === 0) return null
  return (
    <Box fontSize="13px">
      <Button look="quiet" aria-expanded={open} aria-controls={id} onClick={() => setOpen(!open)}>
        {open ? say.hideMarks : say.whoseMarks(marks.length)}
      </Button>
      {over && (
        <chakra.span ms="12px">
          {say.thisIsBy} <strong>{over.author === me ? say.byYou : over.authorName}</strong>.
        </chakra.span>
      )}
      {open && (
        <chakra.ul id={id} maxH="150px" overflowY="auto" mt="4px" ps="4px" listStyleType="none">
          {marks
            .toReversed()
            .slice(0, 200)
            .map((mark) => (
              <chakra.li key={mark.number} display="flex" gap="8px" py="2px" borderBottom="1px solid" borderColor="line">
                <span>
                  <strong>{mark.author === me ? say.you : mark.authorName}</strong>:{' '}
                  {mark.text ? `“${mark.text}”` : say.kinds[mark.shape]}
                </span>
                <Box flex="1" />
                {mayErase(mark) && (
                  <Button size="small" onClick={() => onErase([mark.number])}>
                    {say.takeOff}
                  </Button>
                )}
              </chakra.li>
            ))}
        </chakra.ul>
      )}
    </Box>
  )
}
