import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState, type FormEvent } from 'react'
import { Link } from 'react-router'
import { say } from '../../../languages/en/staff/timetable'
import { RehearseButton } from '../../../lesson/rehearsal/RehearseButton'
import type { LessonBox, PlanChanged } from '../../../shared/api/types'
import { useNow } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { Select, Labelled, TextField } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { severityWords, SeverityMark } from '../../../shared/ui/SeverityMark'
import { useChange, useClass, useColleagues, useCover } from '../api'
import { clock, type Move } from '../rows'

interface LessonPanelProps {
  box: LessonBox
  /** Whether somebody came to arrange a cover. */
  covering?: boolean
  move: Move | null
  dayLabel: (day: string) => string
  onMove: (move: Move | null) => void
  onChanged: (changed: PlanChanged) => void
  onClose: () => void
}

type Doing = 'looking' | 'moving' | 'cancelling' | 'covering'

/** One lesson of the timetable: what it is, what is wrong with it, and what may be done. */
export function LessonPanel({ box, covering = false, move, dayLabel, onMove, onChanged, onClose }: LessonPanelProps) {
  const [doing, setDoing] = useState<Doing>(covering ? 'covering' : 'looking')
  const moving = move?.lesson === box.id
  const now: Doing = moving ? 'moving' : doing
  const clockNow = useNow()
  const toCome = Date.parse(box.starts) > clockNow && box.state !== 'OVER' && box.state !== 'LIVE'
  const done = (changed: PlanChanged) => {
    setDoing('looking')
    onMove(null)
    onChanged(changed)
  }
  const back = () => {
    setDoing('looking')
    onMove(null)
  }
  return (
    <Box bg="sheet" border="1.5px solid" borderColor="ink" px="14px" py="12px" role="region" aria-label={say.lesson(box.title)}>
      <Flex justify="space-between" align="start" gap="8px">
        <chakra.h2 fontSize="19px">{box.title}</chakra.h2>
        <Button size="small" look="quiet" onClick={onClose}>
          {say.close}
        </Button>
      </Flex>
      <p>
        {dayLabel(box.date)},{' '}
        <chakra.span fontFamily="mono" fontSize="13px">
          {clock(box.minute)}–{clock(box.minute + box.minutes)}
        </chakra.span>{' '}
        {say.min(box.minutes)}
        {box.state === 'CANCELLED' && <strong> {say.cancelledStrong}</strong>}
        {box.state === 'LIVE' && <strong> {say.liveNowStrong}</strong>}
      </p>
      <chakra.p color="ink2">
        {say.withNobodyIsInCharge(box.adults.length, box.adults.map((one) => one.name).join(' and '), box.covered, box.pupils)}
      </chakra.p>
      {box.reason && (
        <chakra.p mt="6px" ps="8px" borderInlineStart="3px double" borderColor="lineStrong" color="ink2" fontStyle="italic">
          {box.reason}
        </chakra.p>
      )}
      {box.severity && (
        <Box mt="8px">
          {box.findings.map((one) => (
            <Flex key={one} gap="6px" align="baseline">
              <SeverityMark severity={box.severity!} size={11} />
              <span>{one}</span>
            </Flex>
          ))}
          <Link to="/inspection">
            <chakra.span textDecoration="underline" fontSize="13px">
              {say.mendInTheInspection}
            </chakra.span>
            <chakra.span srOnly> ({severityWords[box.severity]})</chakra.span>
          </Link>
        </Box>
      )}
      {now === 'looking' && (
        <Flex gap="6px" mt="12px" wrap="wrap">
          {toCome && box.state === 'PLANNED' && (
            <>
              <Button onClick={() => setDoing('moving')}>{say.moveOrResize}</Button>
              <Button onClick={() => setDoing('covering')}>{say.cover}</Button>
              <Button onClick={() => setDoing('cancelling')}>{say.cancelIt}</Button>
            </>
          )}
          {toCome && box.state === 'CANCELLED' && <Button onClick={() => setDoing('cancelling')}>{say.bringItBack}</Button>}
          <Link to={`/classes/${box.classId}`}>
            <Button as="span">{say.class}</Button>
          </Link>
          {box.state === 'OVER' && (
            <>
              <Link to={`/lessons/${box.id}/register`}>
                <Button as="span">{say.register}</Button>
              </Link>
              <Link to={`/lessons/${box.id}/afterwards`}>
                <Button as="span">{say.afterTheLesson}</Button>
              </Link>
            </>
          )}
          {box.state !== 'OVER' && box.state !== 'CANCELLED' && (
            <Link to={`/rules/lesson:${box.id}`}>
              <Button as="span">{say.rulesAndVisitors}</Button>
            </Link>
          )}
          {box.mine && toCome && box.state === 'PLANNED' && <RehearseButton lesson={box.id} />}
          {box.mine && box.state !== 'OVER' && box.state !== 'CANCELLED' && (
            <Link to={`/lessons/${box.id}/desk`}>
              <Button as="span">{say.desk}</Button>
            </Link>
          )}
        </Flex>
      )}
      {now === 'moving' && <MoveForm key={`${move?.date} ${move?.minute}`} box={box} move={move} onDone={done} onBack={back} />}
      {now === 'cancelling' && <CancelForm box={box} onDone={done} onBack={back} />}
      {now === 'covering' && <CoverForm box={box} onDone={done} onBack={back} />}
    </Box>
  )
}

interface FormProps {
  box: LessonBox
  onDone: (changed: PlanChanged) => void
  onBack: () => void
}

function MoveForm({ box, move, onDone, onBack }: FormProps & { move: Move | null }) {
  const [date, setDate] = useState(move?.date ?? box.date)
  const [time, setTime] = useState(clock(move?.minute ?? box.minute))
  const [minutes, setMinutes] = useState(String(box.minutes))
  const [why, setWhy] = useState('')
  const change = useChange(box.id)
  const carryOut = (following: boolean) =>
    change.mutate({ from: `${date}T${time}`, minutes: Number(minutes), following, why }, { onSuccess: onDone })
  return (
    <chakra.form
      mt="10px"
      onSubmit={(event: FormEvent) => (event.preventDefault(), carryOut(false))}
      aria-label={say.moveOrResize}
    >
      <TextField label={say.day} type="date" value={date} required onChange={(event) => setDate(event.target.value)} />
      <Flex gap="8px">
        <TextField label={say.begins} type="time" value={time} required onChange={(event) => setTime(event.target.value)} />
        <TextField
          label={say.minutes}
          type="number"
          min={5}
          max={300}
          value={minutes}
          required
          onChange={(event) => setMinutes(event.target.value)}
        />
      </Flex>
      <Why why={why} onWhy={setWhy} />
      <ProblemNote problem={change.error} compact />
      <Flex gap="6px" wrap="wrap">
        <Button type="submit" look="main" disabled={change.isPending}>
          {say.onlyThisLesson}
        </Button>
        <Button disabled={change.isPending || !why} onClick={() => carryOut(true)}>
          {say.thisAndAllFollowing}
        </Button>
        <Button look="quiet" onClick={onBack}>
          {say.leaveIt}
        </Button>
      </Flex>
    </chakra.form>
  )
}

function CancelForm({ box, onDone, onBack }: FormProps) {
  const [why, setWhy] = useState('')
  const change = useChange(box.id)
  const cancelled = box.state !== 'CANCELLED'
  const carryOut = (following: boolean) => change.mutate({ cancelled, following, why }, { onSuccess: onDone })
  return (
    <chakra.form
      mt="10px"
      onSubmit={(event: FormEvent) => (event.preventDefault(), carryOut(false))}
      aria-label={cancelled ? say.cancel : say.bringBack}
    >
      <Why why={why} onWhy={setWhy} />
      <ProblemNote problem={change.error} compact />
      <Flex gap="6px" wrap="wrap">
        <Button type="submit" look={cancelled ? 'stop' : 'main'} disabled={change.isPending}>
          {say.cancelOnlyThisLessonBring(cancelled)}
        </Button>
        {cancelled && (
          <Button disabled={change.isPending || !why} onClick={() => carryOut(true)}>
            {say.thisAndAllFollowing}
          </Button>
        )}
        <Button look="quiet" onClick={onBack}>
          {say.leaveIt}
        </Button>
      </Flex>
    </chakra.form>
  )
}

function CoverForm({ box, onDone, onBack }: FormProps) {
  const { data: colleagues = [] } = useColleagues()
  const { data: ofClass } = useClass(box.classId)
  const [adult, setAdult] = useState('')
  const [insteadOf, setInsteadOf] = useState(box.adults[0]?.id ?? '')
  const [through, setThrough] = useState('')
  const [why, setWhy] = useState('')
  const cover = useCover(box.id)
  const others = colleagues.filter((one) => !box.adults.some((here) => here.id === one.id))
  return (
    <chakra.form
      mt="10px"
      aria-label={say.cover}
      onSubmit={(event: FormEvent) => {
        event.preventDefault()
        cover.mutate({ adult, insteadOf: insteadOf || undefined, through: through || undefined, why }, { onSuccess: onDone })
      }}
    >
      <Labelled label={say.whoComes} hint={say.withTheRights}>
        {(id) => (
          <Select id={id} value={adult} required onChange={(event) => setAdult(event.target.value)}>
            <option value="">{say.choose}</option>
            {others.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        )}
      </Labelled>
      <Labelled label={say.inPlaceOf}>
        {(id) => (
          <Select id={id} value={insteadOf} onChange={(event) => setInsteadOf(event.target.value)}>
            {box.adults.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
            <option value="">{say.nobodyTheyComeBesides}</option>
          </Select>
        )}
      </Labelled>
      <TextField
        label={say.throughForARange}
        type="date"
        min={box.date}
        value={through}
        hint={say.emptyForThisLessonOnly(ofClass?.title ?? box.title)}
        onChange={(event) => setThrough(event.target.value)}
      />
      <Why why={why} onWhy={setWhy} />
      <ProblemNote problem={cover.error} compact />
      <Flex gap="6px">
        <Button type="submit" look="main" disabled={cover.isPending}>
          {say.arrangeCover}
        </Button>
        <Button look="quiet" onClick={onBack}>
          {say.leaveIt}
        </Button>
      </Flex>
    </chakra.form>
  )
}

function Why({ why, onWhy }: { why: string; onWhy: (why: string) => void }) {
  return <TextField label={say.why} value={why} required maxLength={500} onChange={(event) => onWhy(event.target.value)} />
}
