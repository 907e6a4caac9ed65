import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../../languages/en/staff/inspection'
import type { WeakSpot } from '../../../shared/api/types'
import { useSchoolTime } from '../../../shared/time'
import { Button } from '../../../shared/ui/Button'
import { TextField } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { SeverityMark, severityWords } from '../../../shared/ui/SeverityMark'
import { useAccept } from '../api'

/** One weak spot: what was found, drawn where it is a matter of time, why it matters, and its mend. */
export function Spot({ spot, canAccept, onMend }: { spot: WeakSpot; canAccept: boolean; onMend: () => void }) {
  const time = useSchoolTime()
  const [accepting, setAccepting] = useState(false)
  return (
    <Box bg="sheet" border="1.5px solid" borderColor="ink" px="16px" py="12px" role="region" aria-label={say.weakSpot}>
      <Flex gap="7px" align="center" color="ink2" fontSize="13px">
        <SeverityMark severity={spot.severity} size={13} silent /> {severityWords[spot.severity]}
      </Flex>
      <chakra.h2 fontSize="19px" mt="2px">
        {spot.heading}
      </chakra.h2>
      <chakra.p fontWeight="600" mt="4px">
        {spot.title}
        {spot.starts && spot.ends && (
          <chakra.span fontWeight="400" color="ink2">
            {say.to(time.day(spot.starts), time.clock(spot.starts), time.clock(spot.ends))}
          </chakra.span>
        )}
      </chakra.p>
      <chakra.p mt="4px">{spot.sentence}</chakra.p>
      <Both spot={spot} />
      <chakra.p mt="10px" color="ink2">
        <strong>{say.whyItMatters}</strong> {spot.why}
      </chakra.p>
      {spot.rule && (
        <chakra.p mt="4px" fontSize="13px">
          {say.byTheRule}{' '}
          <Link to={`/rules/class:${spot.classId}`}>
            <chakra.span textDecoration="underline">{spot.ruleTitle}</chakra.span>
          </Link>
          .
        </chakra.p>
      )}
      <Flex gap="6px" mt="12px" wrap="wrap">
        {spot.mend && (
          <Button look="main" onClick={onMend}>
            {spot.mend}…
          </Button>
        )}
        {CONSENT.has(spot.kind) && (
          <Link to={`/consents?ofClass=${spot.classId}`}>
            <Button as="span" look="main">
              {say.askForTheirConsent}
            </Button>
          </Link>
        )}
        {spot.starts && (
          <Link to={`/timetable?span=day&from=${time.isoDay(spot.starts)}&by=class`}>
            <Button as="span">{say.seeItInTheTimetable}</Button>
          </Link>
        )}
        <Link to={`/classes/${spot.classId}`}>
          <Button as="span">{say.class}</Button>
        </Link>
        {canAccept && !accepting && <Button onClick={() => setAccepting(true)}>{say.acceptIt}</Button>}
      </Flex>
      {!spot.mend && (
        <chakra.p mt="8px" fontSize="13px" color="ink2">
          {say.thisOneNeedsADecision}
        </chakra.p>
      )}
      {accepting && <AcceptForm spot={spot} onBack={() => setAccepting(false)} />}
    </Box>
  )
}

/** What is mended by asking families, not by another plan. */
const CONSENT = new Set<WeakSpot['kind']>(['RECORDING_PREVENTED', 'RECORDED_WITHOUT_SOME'])

/** Two lessons on one line of time, so that the overlap or the gap is seen. */
function Both({ spot }: { spot: WeakSpot }) {
  const time = useSchoolTime()
  if (!spot.starts || !spot.ends || !spot.otherStarts || !spot.otherEnds) return null
  const ends = [spot.starts, spot.ends, spot.otherStarts, spot.otherEnds].map((one) => Date.parse(one))
  const from = Math.min(...ends)
  const whole = Math.max(...ends) - from
  const place = (starts: string, until: string) => ({
    left: `${(100 * (Date.parse(starts) - from)) / whole}%`,
    width: `${(100 * (Date.parse(until) - Date.parse(starts))) / whole}%`,
  })
  const bars: [string, string, string][] = [
    [spot.otherTitle ?? '', spot.otherStarts, spot.otherEnds],
    [spot.title, spot.starts, spot.ends],
  ]
  return (
    <Box mt="10px" py="6px" borderY="1px solid" borderColor="line">
      {bars.map(([title, starts, until]) => (
        <Box key={title + starts} position="relative" h="24px">
          <Box
            position="absolute"
            h="20px"
            border="1.5px solid"
            borderColor="ink"
            bg="paper"
            px="5px"
            fontSize="12px"
            lineHeight="17px"
            whiteSpace="nowrap"
            overflow="hidden"
            textOverflow="ellipsis"
            style={place(starts, until)}
            title={say.toSaid(title, time.clock(starts), time.clock(until))}
          >
            <chakra.span fontFamily="mono" fontSize="11.5px">
              {time.clock(starts)}–{time.clock(until)}
            </chakra.span>{' '}
            {title}
          </Box>
        </Box>
      ))}
    </Box>
  )
}

function AcceptForm({ spot, onBack }: { spot: WeakSpot; onBack: () => void }) {
  const [why, setWhy] = useState('')
  const [until, setUntil] = useState('')
  const accept = useAccept()
  return (
    <chakra.form
      mt="10px"
      pt="8px"
      borderTop="1px solid"
      borderColor="line"
      aria-label={say.acceptThisWeakSpot}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        accept.mutate({ key: spot.key, why, until }, { onSuccess: onBack })
      }}
    >
      <TextField label={say.whyItMayStay} value={why} required maxLength={500} onChange={(event) => setWhy(event.target.value)} />
      <TextField
        label={say.until}
        type="date"
        value={until}
        required
        hint={say.thenItIsOpenAgain}
        onChange={(event) => setUntil(event.target.value)}
      />
      <ProblemNote problem={accept.error} compact />
      <Flex gap="6px">
        <Button type="submit" look="main" disabled={accept.isPending}>
          {say.iAnswer}
        </Button>
        <Button look="quiet" onClick={onBack}>
          {say.leaveItOpen}
        </Button>
      </Flex>
    </chakra.form>
  )
}
