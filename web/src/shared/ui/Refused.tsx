import { Box } from '@chakra-ui/react'
import { X } from 'lucide-react'
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import { words } from '../../languages/language'
import { Button } from './Button'
import { ProblemNote } from './Notes'

/** Long enough to read the longest refusal twice. */
const STAYS_MS = 20_000
const EDGE = 8

interface Place {
  left: number
  bottom: number
}

/** Nothing where a key was pressed on the page as a whole. */
let pressed: Place | undefined

function notice({ target }: Event) {
  const box = target instanceof Element && target !== document.body ? target.getBoundingClientRect() : undefined
  pressed = box && { left: box.left, bottom: box.bottom }
}

/** Something was refused: said beside what was pressed, until it is closed, has been read, or the next thing is done. */
export function Refused({ problem, onClose }: { problem: unknown; onClose: () => void }) {
  useEffect(() => {
    const options = { capture: true, passive: true }
    const kinds = ['pointerdown', 'keydown']
    kinds.forEach((kind) => window.addEventListener(kind, notice, options))
    return () => kinds.forEach((kind) => window.removeEventListener(kind, notice, options))
  }, [])
  return problem ? <Note problem={problem} onClose={onClose} /> : null
}

function Note({ problem, onClose }: { problem: unknown; onClose: () => void }) {
  const box = useRef<HTMLDivElement>(null)
  const [at, setAt] = useState<{ left: number; top: number } | null>(null)
  const [read, setRead] = useState(false)
  useLayoutEffect(() => {
    const { width, height } = box.current?.getBoundingClientRect() ?? { width: 0, height: 0 }
    const within = (where: number, most: number) => Math.max(EDGE, Math.min(where, most - EDGE))
    setAt({
      left: within(pressed?.left ?? (window.innerWidth - width) / 2, window.innerWidth - width),
      top: within((pressed?.bottom ?? window.innerHeight) + EDGE, window.innerHeight - height),
    })
  }, [problem])
  useEffect(() => {
    if (read) return
    const over = setTimeout(onClose, STAYS_MS)
    return () => clearTimeout(over)
  }, [problem, read, onClose])
  return (
    <Box
      ref={box}
      position="fixed"
      style={at ?? { left: 0, top: 0, visibility: 'hidden' }}
      zIndex="1500"
      maxW="min(440px, calc(100vw - 16px))"
      bg="sheet"
      border="1px solid"
      borderColor="verdict.away"
      pe="34px"
      // Whoever is reading is not hurried.
      onPointerEnter={() => setRead(true)}
      onPointerLeave={() => setRead(false)}
      onFocus={() => setRead(true)}
      onBlur={() => setRead(false)}
    >
      <Box my="-8px" me="-34px">
        <ProblemNote problem={problem} />
      </Box>
      <Button
        look="quiet"
        aria-label={words().closeSaid}
        position="absolute"
        top="0"
        right="0"
        minW="28px"
        minH="28px"
        display="grid"
        placeItems="center"
        onClick={onClose}
      >
        <X size={15} aria-hidden />
      </Button>
    </Box>
  )
}
