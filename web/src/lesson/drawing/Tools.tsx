import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { seatWords } from '../../languages/seat'
import { Button } from '../../shared/ui/Button'
import { INKS, shapePath, type Ink, type Shape } from './geometry'

export type Tool = Shape | 'ERASER' | 'POINTER'

const TOOLS: { tool: Tool; sign: ReactNode }[] = [
  { tool: 'PEN', sign: <path d="M4 18q4 -12 8 -4t8 -8" /> },
  { tool: 'LINE', sign: <path d="M4 18L20 6" /> },
  { tool: 'ARROW', sign: <path d="M4 18L20 6M20 6l-7 1M20 6l-2 7" /> },
  { tool: 'BOX', sign: <path d="M4 6H20V18H4Z" /> },
  { tool: 'RING', sign: <path d="M4 12a8 6 0 1 0 16 0a8 6 0 1 0 -16 0" /> },
  { tool: 'TEXT', sign: <path d="M5 6H19M12 6V19" /> },
  { tool: 'ERASER', sign: <path d="M4 20H20M7 16L15 5L20 9L13 17H8Z" /> },
  { tool: 'POINTER', sign: <path d="M12 12m-6 0a6 6 0 1 0 12 0a6 6 0 1 0 -12 0M12 12v.1" /> },
]

interface ToolsProps {
  tool: Tool
  onTool: (tool: Tool) => void
  ink: Ink
  onInk: (ink: Ink) => void
  width: number
  onWidth: (width: number) => void
  points: boolean
  onUndo: () => void
  children?: ReactNode
}

/** What one draws with: small squares with what they leave on the sheet. */
export function Tools({ tool, onTool, ink, onInk, width, onWidth, points, onUndo, children }: ToolsProps) {
  const say = seatWords()
  return (
    <Flex gap="10px" wrap="wrap" align="center">
      <Row label={say.whatToDraw}>
        {TOOLS.filter((one) => points || one.tool !== 'POINTER').map((one) => (
          <Square key={one.tool} name={say.tools[one.tool]} pressed={tool === one.tool} onPress={() => onTool(one.tool)}>
            <g fill="none" stroke="currentColor" strokeWidth="2" strokeLinecap="round" strokeLinejoin="round">
              {one.sign}
            </g>
          </Square>
        ))}
      </Row>
      <Row label={say.ink}>
        {INKS.map((one) => (
          <Square key={one.ink} name={say.inks[one.ink]} pressed={ink === one.ink} onPress={() => onInk(one.ink)}>
            <path
              d="M2 12H22"
              stroke={ink === one.ink ? 'currentColor' : one.colour}
              strokeWidth="3"
              strokeLinecap={one.ink === 'RED' ? 'round' : 'butt'}
              strokeDasharray={
                one.dashes
                  ? one.dashes
                      .split(' ')
                      .map((n) => Number(n) / 4)
                      .join(' ')
                  : undefined
              }
            />
          </Square>
        ))}
      </Row>
      <Row label={say.howThick}>
        {say.widths.map((name, i) => (
          <Square key={name} name={name} pressed={width === i + 1} onPress={() => onWidth(i + 1)}>
            <path d={shapePath('LINE', [2, 14, 13, 10])} stroke="currentColor" strokeWidth={1 + i * 2} />
          </Square>
        ))}
      </Row>
      <Button size="small" onClick={onUndo}>
        {say.undoMine}
      </Button>
      {children}
    </Flex>
  )
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Flex role="group" aria-label={label} border="1px solid" borderColor="lineStrong" borderRadius="3px" overflow="hidden">
      {children}
    </Flex>
  )
}

function Square({
  name,
  pressed,
  onPress,
  children,
}: {
  name: string
  pressed: boolean
  onPress: () => void
  children: ReactNode
}) {
  return (
    <chakra.button
      type="button"
      title={name}
      aria-label={name}
      aria-pressed={pressed}
      onClick={onPress}
      w="30px"
      h="28px"
      css={{ '@media (pointer: coarse)': { width: '40px', height: '40px' } }}
      bg={pressed ? 'ink' : 'sheet'}
      color={pressed ? 'sheet' : 'ink'}
      cursor="pointer"
      display="flex"
      alignItems="center"
      justifyContent="center"
    >
      <Box as="span" aria-hidden>
        <svg viewBox="0 0 24 24" width="20" height="20">
          {children}
        </svg>
      </Box>
    </chakra.button>
  )
}
