import { Box, chakra } from '@chakra-ui/react'
import { seatWords } from '../../languages/seat'
import type { ResultLines } from '../../shared/api/types'

/** Counted as a hand counts: four strokes, and a fifth across. Read without colour, and by its number. */
export function Strokes({ count }: { count: number }) {
  const fives = Math.floor(count / 5)
  const rest = count % 5
  return (
    <chakra.span display="inline-flex" gap="7px" h="17px" alignItems="center" aria-hidden flexWrap="wrap">
      {[...Array(Math.min(fives, 12)).keys()].map((one) => (
        <Bunch key={one} path="M3 1v13M8 1v13M13 1v13M18 1v13M0 12L22 3" />
      ))}
      {rest > 0 && <Bunch path={[...Array(rest).keys()].map((one) => `M${3 + 5 * one} 1v13`).join('')} />}
    </chakra.span>
  )
}

function Bunch({ path }: { path: string }) {
  return (
    <svg viewBox="0 0 24 15" width="22" height="15">
      <path d={path} stroke="currentColor" strokeWidth="1.7" fill="none" />
    </svg>
  )
}

/** How a question was answered: each possibility with its strokes and its number, as a table. */
export function Tally({ results, large = false }: { results: ResultLines; large?: boolean }) {
  const say = seatWords()
  return (
    <chakra.table fontSize={large ? '17px' : '13px'} css={{ borderCollapse: 'collapse' }} w="100%">
      <chakra.caption srOnly>{say.howAnswered}</chakra.caption>
      <tbody>
        {results.lines.map((line, place) => (
          <chakra.tr key={`${place} ${line.words}`} borderBottom="1px solid" borderColor="line">
            <chakra.th scope="row" textAlign="start" fontWeight={line.right ? 700 : 400} pe="12px" py="1px" maxW="300px">
              {line.right && (
                <chakra.span color="verdict.in" me="4px">
                  ✓<chakra.span srOnly> {say.right}</chakra.span>
                </chakra.span>
              )}
              {line.words || say.somethingElse}
            </chakra.th>
            <chakra.td py="1px">
              <Strokes count={line.count} />
            </chakra.td>
            <chakra.td textAlign="end" fontFamily="mono" fontWeight="600" ps="8px" py="1px">
              {line.count}
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
      {results.right !== undefined && (
        <tfoot>
          <tr>
            <chakra.td colSpan={3} color="ink2" pt="2px">
              {say.wereRight(results.right, results.answers)}
            </chakra.td>
          </tr>
        </tfoot>
      )}
    </chakra.table>
  )
}

/** How much of the time is over. */
export function TimeBar({ from, until, now }: { from: number; until: number; now: number }) {
  const share = Math.max(0, Math.min(1, (now - from) / Math.max(1, until - from)))
  return (
    <Box h="7px" border="1.5px solid" borderColor="ink" maxW="320px" aria-hidden>
      <Box h="100%" bg="ink" w={`${share * 100}%`} />
    </Box>
  )
}
