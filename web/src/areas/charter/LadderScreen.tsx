import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { say } from '../../languages/en/staff/charter'
import { edit, EDITED, get } from '../../shared/api/http'
import type { LadderBody, LadderPage } from '../../shared/api/types'
import { CURBED, RIGHT } from '../../shared/rights'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Page } from '../../shared/ui/Page'
import { Count, LADDER, table } from './ladder'
import { YearsOfLadder } from './YearsOfLadder'

type Step = LadderBody['steps'][number]
type ActKind = LadderBody['acts'][number]

const MEASURES: Record<Step['measure'], string> = {
  WORD: say.aWord,
  REMINDER: say.aReminderTheRuleNamed,
  CURB: say.aRightClosed,
  TO_THE_DOOR: say.backToTheDoor,
  OUT_OF_LESSON: say.outOfThisLesson,
  OUT_OF_SERIES: say.outUntilSomebodyHasTalked,
  REFERRED: say.referred,
}

const WHO: Record<Step['who'], string> = {
  ANY_ADULT: say.anyAdult,
  LEADING_ADULT: say.whoLeads,
  SAFEGUARDING_LEAD: say.safeguardingLead,
}

/** The school's ladder: measured steps, what kinds of acts they answer, and what years have otherwise (need G1). */
export default function LadderScreen() {
  return <Page title={say.theLadder}>{(me) => <Shown isLead={me.position === 'LEAD'} />}</Page>
}

function Shown({ isLead }: { isLead: boolean }) {
  const { data, error } = useQuery({ queryKey: LADDER, queryFn: () => get<LadderPage>('/api/ladder'), ...EDITED })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.theLadderFetched} />
  return (
    <Box className="paper" px="20px" py="16px" maxW="1160px" mx="auto">
      <chakra.h1 fontSize="25px">{say.theLadder}</chakra.h1>
      <chakra.p color="ink2" mb="12px" maxW="760px">
        {say.measuredStepsMildestFirst} <Link to="/charter">{say.charter}</Link> {say.saysWhoMayTakeSteps}
      </chakra.p>
      <Editor key={JSON.stringify(data.ladder)} page={data} isLead={isLead} />
      <YearsOfLadder page={data} isLead={isLead} />
    </Box>
  )
}

function Editor({ page, isLead }: { page: LadderPage; isLead: boolean }) {
  const cache = useQueryClient()
  const [ladder, setLadder] = useState(page.ladder)
  const save = useMutation({
    mutationFn: () => edit<LadderPage>('/api/ladder', ladder),
    onSuccess: (saved) => cache.setQueryData(LADDER, saved),
  })
  const changed = JSON.stringify(ladder) !== JSON.stringify(page.ladder)
  const step = (place: number, more: Partial<Step>) =>
    setLadder({ ...ladder, steps: ladder.steps.map((one, at) => (at === place ? { ...one, ...more } : one)) })
  const act = (place: number, more: Partial<ActKind>) =>
    setLadder({ ...ladder, acts: ladder.acts.map((one, at) => (at === place ? { ...one, ...more } : one)) })
  const move = (place: number, by: number) => {
    const steps = [...ladder.steps]
    const [one] = steps.splice(place, 1)
    if (one) steps.splice(place + by, 0, one)
    setLadder({ ...ladder, steps })
  }
  return (
    <chakra.form
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate()
      }}
    >
      <Box overflowX="auto" bg="sheet" borderTop="3px double" borderColor="ink" mb="16px">
        <chakra.table w="100%" fontSize="13.5px" css={table} aria-label={say.steps}>
          <thead>
            <chakra.tr fontSize="12px" color="ink2">
              <chakra.th w="28px">{say.step}</chakra.th>
              <th>{say.asAdultsCall}</th>
              <th>{say.whatItDoes}</th>
              <th>{say.whoMayTake}</th>
              <th>{say.halfAfter}</th>
              <th>{say.parentsTold}</th>
              <th>{say.incident}</th>
              {isLead && (
                <th>
                  <chakra.span srOnly>{say.order}</chakra.span>
                </th>
              )}
            </chakra.tr>
          </thead>
          <tbody>
            {ladder.steps.map((one, place) => (
              <tr key={one.id}>
                <chakra.td fontFamily="mono">{place + 1}</chakra.td>
                <td>
                  {isLead ? (
                    <TextInput
                      aria-label={say.stepAsAdultsCall(place + 1)}
                      maxLength={80}
                      required
                      value={one.name}
                      onChange={(event) => step(place, { name: event.target.value })}
                    />
                  ) : (
                    one.name
                  )}
                </td>
                <td>
                  {MEASURES[one.measure]}
                  {one.measure === 'CURB' && (
                    <Flex gap="5px">
                      <Select
                        w="auto"
                        fontSize="12.5px"
                        py="1px"
                        disabled={!isLead}
                        aria-label={say.whichRightStepCloses(place + 1)}
                        value={one.right ?? ''}
                        onChange={(event) => step(place, { right: event.target.value })}
                      >
                        {CURBED.map((key) => (
                          <option key={key} value={key}>
                            {RIGHT[key]}
                          </option>
                        ))}
                      </Select>
                      <Count
                        label={say.minutesOfStep(place + 1)}
                        value={one.minutes}
                        most={120}
                        isLead={isLead}
                        onChange={(minutes) => step(place, { minutes })}
                      />
                      {say.min}
                    </Flex>
                  )}
                </td>
                <td>
                  {isLead ? (
                    <Select
                      w="auto"
                      aria-label={say.whoMayTakeStep(place + 1)}
                      value={one.who}
                      onChange={(event) => step(place, { who: event.target.value as Step['who'] })}
                    >
                      {Object.entries(WHO).map(([value, name]) => (
                        <option key={value} value={value}>
                          {name}
                        </option>
                      ))}
                    </Select>
                  ) : (
                    WHO[one.who]
                  )}
                </td>
                <chakra.td whiteSpace="nowrap">
                  <Count
                    label={say.daysAfterWhichStepCountsHalf(place + 1)}
                    value={one.halfDays}
                    most={730}
                    isLead={isLead}
                    onChange={(halfDays) => step(place, { halfDays })}
                  />{' '}
                  {say.days}
                </chakra.td>
                <td>
                  <input
                    type="checkbox"
                    aria-label={say.parentsAreToldOfStep(place + 1)}
                    disabled={!isLead}
                    checked={one.parents}
                    onChange={() => step(place, { parents: !one.parents })}
                  />
                </td>
                <td>
                  <input
                    type="checkbox"
                    aria-label={say.stepOpensAnIncident(place + 1)}
                    disabled={!isLead}
                    checked={one.opensIncident}
                    onChange={() => step(place, { opensIncident: !one.opensIncident })}
                  />
                </td>
                {isLead && (
                  <chakra.td whiteSpace="nowrap">
                    <Button
                      size="small"
                      disabled={place === 0}
                      aria-label={say.stepOneUp(place + 1)}
                      onClick={() => move(place, -1)}
                    >
                      ↑
                    </Button>{' '}
                    <Button
                      size="small"
                      disabled={place === ladder.steps.length - 1}
                      aria-label={say.stepOneDown(place + 1)}
                      onClick={() => move(place, 1)}
                    >
                      ↓
                    </Button>{' '}
                    <Button
                      size="small"
                      look="quiet"
                      disabled={ladder.steps.length === 1}
                      aria-label={say.stepAway(place + 1)}
                      onClick={() => setLadder({ ...ladder, steps: ladder.steps.filter((other) => other !== one) })}
                    >
                      {say.away}
                    </Button>
                  </chakra.td>
                )}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
      <Box overflowX="auto" bg="sheet" borderTop="1.5px solid" borderColor="ink" mb="10px">
        <chakra.table w="100%" fontSize="13.5px" css={table} aria-label={say.kindsOfActs}>
          <thead>
            <chakra.tr fontSize="12px" color="ink2">
              <th>{say.kindOfAct}</th>
              <th>{say.howGrave}</th>
              <th>{say.standsAtStep}</th>
            </chakra.tr>
          </thead>
          <tbody>
            {ladder.acts.map((one, place) => (
              <tr key={one.id}>
                <td>
                  {isLead ? (
                    <TextInput
                      aria-label={say.kind(place + 1)}
                      maxLength={80}
                      required
                      value={one.name}
                      onChange={(event) => act(place, { name: event.target.value })}
                    />
                  ) : (
                    one.name
                  )}
                </td>
                <td>
                  <Select
                    w="auto"
                    disabled={!isLead}
                    aria-label={say.howGraveIs(one.name)}
                    value={one.severity}
                    onChange={(event) => act(place, { severity: event.target.value as ActKind['severity'] })}
                  >
                    <option value="SLIGHT">{say.slight}</option>
                    <option value="MIDDLE">{say.middle}</option>
                    <option value="GRAVE">{say.grave}</option>
                  </Select>
                </td>
                <td>
                  <Count
                    label={say.standsAtStepSaid(one.name)}
                    value={one.from}
                    most={ladder.steps.length}
                    isLead={isLead}
                    onChange={(from) => act(place, { from })}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
      {isLead && (
        <Flex gap="8px" align="center" wrap="wrap" mb="18px" className="no-print">
          <Button
            onClick={() =>
              setLadder({
                ...ladder,
                acts: [...ladder.acts, { id: `act-${Date.now()}`, name: '', severity: 'MIDDLE', from: 1 }],
              })
            }
          >
            {say.anotherKindOfAct}
          </Button>
          <chakra.label display="flex" gap="6px">
            <input
              type="checkbox"
              checked={ladder.heavier.includes('visitor-present')}
              onChange={() =>
                setLadder({
                  ...ladder,
                  heavier: ladder.heavier.includes('visitor-present')
                    ? ladder.heavier.filter((one) => one !== 'visitor-present')
                    : [...ladder.heavier, 'visitor-present'],
                })
              }
            />{' '}
            {say.oneStepMoreBeforeAVisitor}
          </chakra.label>
          <Box flex="1" />
          {changed && (
            <>
              <Button onClick={() => setLadder(page.ladder)}>{say.asItWas}</Button>
              <Button type="submit" look="main" disabled={save.isPending}>
                {say.putInForce}
              </Button>
            </>
          )}
        </Flex>
      )}
      <ProblemNote problem={save.error} />
    </chakra.form>
  )
}
