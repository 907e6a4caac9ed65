import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useContext, useEffect, useRef, useState } from 'react'
import { say } from '../../languages/en/desk/slates'
import { get, type Problem } from '../../shared/api/http'
import type { AllSlates, Desk, MarkLine } from '../../shared/api/types'
import { StrokesOf } from '../../shared/live/strokes'
import { Button } from '../../shared/ui/Button'
import { Key } from '../../shared/ui/Key'
import { ProblemNote } from '../../shared/ui/Notes'
import { Sure } from '../../shared/ui/Sure'
import { follow } from '../drawing/follow'
import { HIGH, WIDE } from '../drawing/geometry'
import { Drawing, GroundLines } from '../drawing/Marks'
import { changed } from '../drawing/useSheet'
import { Launcher, type Shown } from '../activities/Activities'
import { mayOrder } from '../mayOrder'
import type { Give } from '../orders'

type Out = NonNullable<Desk['slates']['now']>
type One = Out['people'][number]

interface WallProps {
  desk: Desk
  lesson: string
  give: Give
  onList: () => void
  onShow: (what: Shown) => void
}

/** All slates on a wall, one held large. Arrows go through them, V shows the class, C collects. */
export function Wall({ desk, lesson, give, onList, onShow }: WallProps) {
  const out = desk.slates.now
  const { marks, problem } = useSlates(lesson, out?.number ?? 0)
  const [held, setHeld] = useState<string | null>(null)
  const people = out?.people.filter((one) => one.present || one.marks > 0) ?? []
  const at = Math.max(
    0,
    people.findIndex((one) => one.id === held),
  )
  const one = people[at]
  const go = (by: number) => setHeld(people[(at + by + people.length) % Math.max(1, people.length)]?.id ?? null)
  useWallKeys({
    ArrowRight: () => go(1),
    ArrowLeft: () => go(-1),
    v: () => one && one.marks > 0 && give({ do: 'show-slates', people: [one.id], named: true }),
    c: () => out && !out.collected && give({ do: 'collect-slates' }),
  })
  if (!out || !one) return null
  return (
    <Grid
      as="section"
      templateColumns={{ base: '1fr', xl: 'minmax(0, 1fr) 330px' }}
      minH="0"
      minW="0"
      bg="paper"
      aria-label={say.slates}
    >
      <Flex direction="column" minH="0" minW="0">
        <Flex gap="10px" align="center" px="14px" py="7px" wrap="wrap">
          <chakra.h2 fontSize="17px">{out.task || say.slates}</chakra.h2>
          <chakra.span fontSize="13px" color="ink2" role="status">
            {say.ofIn(people.filter((each) => each.isIn).length, people.length, out.collected, out.shown.length, out.named)}
          </chakra.span>
          <Box flex="1" />
          <Button size="small" onClick={onList}>
            {say.classList} <Key>L</Key>
          </Button>
        </Flex>
        {problem && <ProblemNote problem={problem} />}
        <Grid
          as="ul"
          templateColumns="repeat(auto-fill, minmax(106px, 1fr))"
          gap="7px"
          px="14px"
          pb="10px"
          overflowY="auto"
          alignContent="start"
          flex="1"
          minH="0"
          listStyleType="none"
          aria-label={say.allSlates}
        >
          {people.map((each) => (
            <Small
              key={each.id}
              one={each}
              marks={marks.get(each.id) ?? []}
              ground={out.ground}
              isHeld={each.id === one.id}
              isShown={out.shown.includes(each.id)}
              onHold={() => setHeld(each.id)}
            />
          ))}
        </Grid>
        {mayOrder(desk) && (
          <Box px="14px" py="5px" bg="sheet" borderTop="1.5px solid" borderColor="ink">
            <Launcher onShow={onShow} />
          </Box>
        )}
      </Flex>
      <Held out={out} one={one} marks={marks.get(one.id) ?? []} go={go} give={give} may={mayOrder(desk)} />
    </Grid>
  )
}

/** Everybody’s marks by person, kept up to date by what is drawn. @param round another one begins anew */
function useSlates(lesson: string, round: number) {
  const { strokes, line } = useContext(StrokesOf)
  const [marks, setMarks] = useState<ReadonlyMap<string, MarkLine[]>>(new Map())
  const [problem, setProblem] = useState<Problem | null>(null)
  useEffect(
    () =>
      follow(
        (take) => strokes.listen(take),
        () => get<AllSlates>(`/api/lessons/${encodeURIComponent(lesson)}/slates`),
        {
          begun: (all) => setMarks(new Map(all.slates.map((one) => [one.person, one.marks]))),
          drawn: (all) =>
            setMarks((before) => {
              const next = new Map(before)
              for (const one of all.filter((each) => each.sheet.startsWith('slate '))) {
                const person = one.sheet.slice(say.slate.length)
                next.set(person, changed(next.get(person) ?? [], [one]))
              }
              return next
            }),
          failed: setProblem,
        },
      ),
    [lesson, round, strokes, line],
  )
  return { marks, problem }
}

/** The wall’s keys while it is shown; they go before the desk’s, which has another use for some. */
function useWallKeys(keys: Record<string, () => unknown>) {
  const latest = useRef(keys)
  latest.current = keys
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement
      if (target.closest('input, textarea, select, [role=dialog], [role=menu]') || event.ctrlKey || event.metaKey || event.altKey)
        return
      const act = latest.current[event.key]
      if (act) {
        event.preventDefault()
        event.stopPropagation()
        act()
      }
    }
    window.addEventListener('keydown', press, true)
    return () => window.removeEventListener('keydown', press, true)
  }, [])
}

const word = (one: One) => (one.isIn ? say.slateIn : one.marks > 0 ? say.worksOn : say.emptySlate)

interface SlateSheetProps {
  marks: MarkLine[]
  ground: Out['ground']
  label: string
  /** How much thicker lines are, so that a small slate is legible. */
  heavier?: number
}

function SlateSheet({ marks, ground, label, heavier = 1 }: SlateSheetProps) {
  return (
    <chakra.svg viewBox={`0 0 ${WIDE} ${HIGH}`} w="100%" aspectRatio="16 / 10" display="block" role="img" aria-label={label}>
      <GroundLines ground={ground} />
      {marks.map((mark) => (
        <Drawing key={mark.number} mark={mark} heavier={heavier} />
      ))}
    </chakra.svg>
  )
}

interface SmallProps {
  one: One
  marks: MarkLine[]
  ground: Out['ground']
  isHeld: boolean
  isShown: boolean
  onHold: () => void
}

function Small({ one, marks, ground, isHeld, isShown, onHold }: SmallProps) {
  return (
    <chakra.li>
      <chakra.button
        type="button"
        aria-pressed={isHeld}
        onClick={onHold}
        w="100%"
        textAlign="start"
        bg={one.marks > 0 ? 'sheet' : 'transparent'}
        border="1px solid"
        borderColor="lineStrong"
        borderTop="3px solid"
        borderTopColor={one.isIn ? 'verdict.in' : 'lineStrong'}
        outline={isHeld ? '3px solid' : undefined}
        outlineColor="mark"
        cursor="pointer"
      >
        <Box position="relative">
          <SlateSheet marks={marks} ground={ground} label={say.marks(marks.length)} heavier={2.2} />
          <chakra.span
            position="absolute"
            top="0"
            right="0"
            px="3px"
            bg={isShown ? 'mark' : 'paper'}
            color={isShown ? 'onMark' : 'ink2'}
            fontFamily="mono"
            fontSize="10.5px"
            lineHeight="14px"
          >
            {say.shown(isShown, word(one))}
          </chakra.span>
        </Box>
        <Box px="5px" borderTop="1px solid" borderColor="line" fontSize="12px">
          {one.name}
        </Box>
      </chakra.button>
    </chakra.li>
  )
}

interface HeldProps {
  out: Out
  one: One
  marks: MarkLine[]
  go: (by: number) => void
  give: Give
  may: boolean
}

function Held({ out, one, marks, go, give, may }: HeldProps) {
  const [sure, setSure] = useState(false)
  const shows = out.shown.length > 0
  return (
    <Flex
      as="aside"
      direction="column"
      gap="8px"
      p="12px"
      bg="sheet"
      borderInlineStart="1px solid"
      borderColor="lineStrong"
      overflowY="auto"
      aria-label={say.theSlateHeld}
    >
      <chakra.h3 fontSize="17px" aria-live="polite">
        {one.name}{' '}
        <chakra.span fontSize="13px" color="ink2">
          {say.isIn(one.isIn, word(one))}
        </chakra.span>
      </chakra.h3>
      <Box border="1.5px solid" borderColor="ink">
        <SlateSheet marks={marks} ground={out.ground} label={say.theSlateOfMarks(one.name, marks.length)} />
      </Box>
      <Flex gap="6px" wrap="wrap">
        <Button onClick={() => go(-1)}>
          {say.before} <Key>←</Key>
        </Button>
        <Button onClick={() => go(1)}>
          {say.next} <Key>→</Key>
        </Button>
      </Flex>
      {may && (
        <>
          <Flex gap="6px" wrap="wrap">
            <Button
              look="main"
              disabled={one.marks === 0}
              onClick={() => give({ do: 'show-slates', people: [one.id], named: true })}
            >
              {say.showToTheClass} <Key>V</Key>
            </Button>
            <Button disabled={one.marks === 0} onClick={() => give({ do: 'show-slates', people: [one.id], named: false })}>
              {say.withoutTheName}
            </Button>
            {shows && !out.shown.includes(one.id) && out.shown.length < 6 && (
              <Button
                disabled={one.marks === 0}
                onClick={() => give({ do: 'show-slates', people: [...out.shown, one.id], named: out.named })}
              >
                {say.besideThoseShown}
              </Button>
            )}
            {shows && <Button onClick={() => give({ do: 'hide-slates' })}>{say.showNone}</Button>}
            {one.isIn && <Button onClick={() => give({ do: 'give-back', person: one.id })}>{say.giveBack}</Button>}
          </Flex>
          <chakra.p fontSize="12px" color="ink2">
            {say.aSlateIsSeen}
          </chakra.p>
          <Flex gap="6px" wrap="wrap" mt="auto">
            {out.collected ? (
              <Button onClick={() => give({ do: 'give-back' })}>{say.giveAllBack}</Button>
            ) : (
              <Button look="main" onClick={() => give({ do: 'collect-slates' })}>
                {say.collectAll} <Key>C</Key>
              </Button>
            )}
            <Button onClick={() => setSure(true)}>{say.wipeAndBeginAgain}</Button>
            <Sure
              title={say.wipeAllSlates}
              lost={say.everybodyBeginsAgain}
              act={say.wipeAndBeginAgainAct}
              open={sure}
              onClose={() => setSure(false)}
              onSure={() => give({ do: 'give-slates', task: out.task, ground: out.ground })}
            />
            <Button onClick={() => give({ do: 'take-slates' })}>{say.putSlatesAway}</Button>
          </Flex>
        </>
      )}
    </Flex>
  )
}
