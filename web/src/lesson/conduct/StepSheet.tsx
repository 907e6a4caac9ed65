import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/desk/conduct'
import { get } from '../../shared/api/http'
import type { Desk, LadderBody, StepSheetPage } from '../../shared/api/types'
import { CURBED, RIGHT } from '../../shared/rights'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import type { OrderOf } from '../send'
import { conductOrders } from './orders'

type Give = (order: OrderOf<typeof conductOrders>) => void
type Step = LadderBody['steps'][number]
type Proposed = StepSheetPage['people'][number]['proposed'][number]

const ROWS: Record<StepSheetPage['rows'][number]['row'], string> = {
  WROTE: say.wroteJustNow,
  MICROPHONE_ON: say.microphoneOn,
  DREW: say.drewOnTheBoard,
}

const MINUTES = [1, 5, 15, 30]
const CURB_MINUTES = [2, 5, 10, 15, 30]

interface StepSheetProps {
  desk: Desk
  /** For whom it is opened; nothing while it is closed. */
  people: string[] | null
  onPeople: (people: string[]) => void
  onClose: () => void
  give: Give
}

/** One step of the ladder: what is proposed and why, what it takes along as evidence, and every other step. */
export function StepSheet({ desk, people, onPeople, onClose, give }: StepSheetProps) {
  return (
    <Sheet title={people ? titled(desk, people) : ''} open={people !== null} onClose={onClose} wide>
      {people && <Inside desk={desk} people={people} onPeople={onPeople} onClose={onClose} give={give} />}
    </Sheet>
  )
}

function nameOf(desk: Desk, id: string) {
  return desk.door.pupils.find((one) => one.id === id)?.name ?? id
}

function titled(desk: Desk, people: string[]) {
  if (people.length === 0) return say.aStepForWhom
  if (people.length === 1) return say.aStepFor(nameOf(desk, people[0] ?? ''))
  return say.oneStepForPupils(people.length)
}

function Inside({ desk, people, onPeople, onClose, give }: StepSheetProps & { people: string[] }) {
  const [minutes, setMinutes] = useState(5)
  const [chosen, setChosen] = useState<string | null>(null)
  const asked = new URLSearchParams({ people: people.join(','), minutes: String(minutes) }).toString()
  const { data, error } = useQuery({
    queryKey: ['step', desk.lesson, asked, desk.conduct.latest],
    queryFn: () => get<StepSheetPage>(`/api/lessons/${encodeURIComponent(desk.lesson)}/conduct?${asked}`),
    placeholderData: (before) => before,
    staleTime: 0,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theLadder} />
  const act = chosen ?? data.ladder.acts[0]?.id ?? ''
  const take = (step: string, more: { why?: string; right?: string; minutes?: number }) => {
    give({ do: 'step', people, act, step, seen: data.latest, evidenceMinutes: minutes, ...more })
    onClose()
  }
  return (
    <>
      <ForWhom desk={desk} people={people} rows={data.rows} onPeople={onPeople} />
      <Flex role="group" aria-label={say.whatWasDone} gap="5px" wrap="wrap" my="10px">
        {data.ladder.acts.map((one) => (
          <Button
            key={one.id}
            size="small"
            aria-pressed={one.id === act}
            onClick={() => setChosen(one.id)}
            borderColor={one.id === act ? 'ink' : 'line'}
            fontWeight={one.id === act ? 650 : 400}
            boxShadow={one.id === act ? 'inset 0 -3px 0 var(--chakra-colors-ink)' : 'none'}
          >
            {one.name}
          </Button>
        ))}
      </Flex>
      {people.length > 0 && (
        <Steps key={`${act} ${people.join()}`} data={data} act={act} alone={people.length === 1} onTake={take} />
      )}
      <Evidence evidence={data.evidence} onMinutes={setMinutes} />
    </>
  )
}

function ForWhom({
  desk,
  people,
  rows,
  onPeople,
}: {
  desk: Desk
  people: string[]
  rows: StepSheetPage['rows']
  onPeople: (people: string[]) => void
}) {
  const others = desk.door.pupils.filter((one) => one.whereabouts === 'IN' && !people.includes(one.id))
  return (
    <Flex gap="6px" wrap="wrap" align="center">
      {people.length > 1 &&
        people.map((id) => (
          <Button
            key={id}
            size="small"
            aria-label={say.without(nameOf(desk, id))}
            onClick={() => onPeople(people.filter((one) => one !== id))}
          >
            {nameOf(desk, id)} ×
          </Button>
        ))}
      <Select
        w="auto"
        fontSize="13px"
        aria-label={say.anotherPupil}
        value=""
        onChange={(event) => event.target.value && onPeople([...people, event.target.value])}
      >
        <option value="">{say.chooseAPupil(people.length)}</option>
        {others.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Select>
      {rows
        .filter((row) => row.people.length > 0)
        .map((row) => (
          <Button key={row.row} size="small" look="quiet" onClick={() => onPeople(row.people)}>
            {ROWS[row.row]} ({row.people.length})
          </Button>
        ))}
    </Flex>
  )
}

/** For several the lowest of what is proposed for each: nobody is met harder than the ladder wants. */
function proposedFor(data: StepSheetPage, act: string): Proposed | undefined {
  return data.people
    .flatMap((one) => one.proposed.filter((proposed) => proposed.act === act))
    .sort((a, b) => a.level - b.level)[0]
}

function Steps({
  data,
  act,
  alone,
  onTake,
}: {
  data: StepSheetPage
  act: string
  alone: boolean
  onTake: (step: string, more: { why?: string; right?: string; minutes?: number }) => void
}) {
  const [other, setOther] = useState<string | null>(null)
  const [why, setWhy] = useState('')
  const [right, setRight] = useState<string | null>(null)
  const [length, setLength] = useState<number | null>(null)
  const proposed = proposedFor(data, act)
  const step = data.ladder.steps.find((one) => one.id === (other ?? proposed?.step))
  if (!proposed || !step) return null
  const isOther = step.id !== proposed.step
  const level = data.ladder.steps.indexOf(step) + 1
  const missing = isOther && alone && !why.trim()
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        if (missing) return
        onTake(step.id, {
          ...(why.trim() ? { why: why.trim() } : {}),
          ...(step.measure === 'CURB' && right ? { right } : {}),
          ...(step.measure === 'CURB' && length ? { minutes: length } : {}),
        })
      }}
    >
      <Grid templateColumns={{ base: '1fr', md: '250px 1fr' }} gap="16px">
        <Box as="ol" aria-label={say.theLadderLabel} listStyleType="none">
          {data.ladder.steps.map((one, place) => (
            <Rung
              key={one.id}
              step={one}
              level={place + 1}
              proposed={one.id === proposed.step}
              chosen={one.id === step.id}
              onChoose={() => setOther(one.id)}
            />
          ))}
        </Box>
        <Box>
          <Box
            borderInlineStart="2px solid"
            borderColor="ink"
            ps="10px"
            mb="10px"
            aria-label={say.whyThisStepIsProposed}
            role="note"
          >
            <strong>
              {say.proposedStep(proposed.level)} {data.ladder.steps[proposed.level - 1]?.name.toLowerCase()}
            </strong>
            {proposed.why.map((one) => (
              <p key={one}>{one}</p>
            ))}
          </Box>
          {isOther && (
            <chakra.p mb="6px" role="status" color="verdict.wait" fontWeight="600">
              {say.stepIsThanTheLadderProposes(level, proposed.level, alone)}
            </chakra.p>
          )}
          {step.measure === 'CURB' && (
            <Flex gap="8px" mb="8px">
              <Select
                w="auto"
                aria-label={say.whichRight}
                value={right ?? step.right ?? ''}
                onChange={(event) => setRight(event.target.value)}
              >
                {CURBED.map((key) => (
                  <option key={key} value={key}>
                    {RIGHT[key]}
                  </option>
                ))}
              </Select>
              <Select
                w="auto"
                aria-label={say.forHowLong}
                value={length ?? step.minutes}
                onChange={(event) => setLength(Number(event.target.value))}
              >
                {[...new Set([...CURB_MINUTES, step.minutes])]
                  .sort((a, b) => a - b)
                  .map((one) => (
                    <option key={one} value={one}>
                      {say.min(one)}
                    </option>
                  ))}
              </Select>
            </Flex>
          )}
          <TextInput
            aria-label={isOther && alone ? say.whyAnotherStep : say.aFewWordsIfYouLike}
            placeholder={isOther && alone ? say.whyAnotherStepPlaceholder : say.aFewWordsIfYouLikePlaceholder}
            maxLength={500}
            value={why}
            onChange={(event) => setWhy(event.target.value)}
          />
          <Flex gap="8px" mt="10px" align="center" wrap="wrap">
            <Button type="submit" look={isOther ? 'plain' : 'main'} disabled={missing} autoFocus>
              {say.takeStep(level, step.name)} <Key>↵</Key>
            </Button>
            {step.parents && <chakra.span fontSize="12.5px">{say.parentsAreTold}</chakra.span>}
          </Flex>
        </Box>
      </Grid>
    </chakra.form>
  )
}

function Rung({
  step,
  level,
  proposed,
  chosen,
  onChoose,
}: {
  step: Step
  level: number
  proposed: boolean
  chosen: boolean
  onChoose: () => void
}) {
  return (
    <li>
      <chakra.button
        type="button"
        aria-pressed={chosen}
        onClick={onChoose}
        display="flex"
        gap="9px"
        w="100%"
        textAlign="start"
        cursor="pointer"
        px="7px"
        py="3.5px"
        borderBottom="1px solid"
        borderColor="line"
        bg={proposed ? 'mark' : 'transparent'}
        color={proposed ? 'onMark' : 'ink'}
        fontWeight={chosen ? 650 : 400}
        css={{ '@media (pointer: coarse)': { minHeight: '40px' } }}
      >
        <chakra.span fontFamily="mono">{level}</chakra.span>
        <span>
          {step.name}
          {proposed && <chakra.span srOnly>{say.proposed}</chakra.span>}
        </span>
        {chosen && (
          <chakra.span ms="auto" aria-hidden>
            ◆
          </chakra.span>
        )}
      </chakra.button>
    </li>
  )
}

function Evidence({ evidence, onMinutes }: { evidence: StepSheetPage['evidence']; onMinutes: (minutes: number) => void }) {
  const words = [
    evidence.words > 0 && say.messages(evidence.words),
    evidence.files > 0 && say.files(evidence.files),
    evidence.marks > 0 && say.marks(evidence.marks),
    evidence.signals > 0 && say.signals(evidence.signals),
  ].filter((one) => one !== false)
  return (
    <Flex mt="14px" pt="8px" borderTop="1px solid" borderColor="lineStrong" gap="8px" align="center" wrap="wrap" fontSize="13px">
      <strong>{say.itTakesAlong}</strong>
      <span>
        {say.from(
          [...words, say.theirRights, say.whoWasThere(evidence.present), ...(evidence.recorded ? [say.theRecording] : [])].join(
            ', ',
          ),
        )}
      </span>
      <Select
        w="auto"
        fontSize="13px"
        py="1px"
        aria-label={say.evidenceFrom}
        value={evidence.minutes}
        onChange={(event) => onMinutes(Number(event.target.value))}
      >
        {MINUTES.map((one) => (
          <option key={one} value={one}>
            {say.min(one)}
          </option>
        ))}
      </Select>
      <span>{say.agoUntilNow}</span>
    </Flex>
  )
}
