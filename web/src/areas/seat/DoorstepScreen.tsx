import { WelcomeNote } from '../../lesson/notices/WelcomeNote'
import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, Navigate, useNavigate, useParams } from 'react-router'
import { ChooseLanguage } from '../../languages/ChooseLanguage'
import { words } from '../../languages/language'
import { get, post } from '../../shared/api/http'
import type { Doorstep } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { useSchoolTime } from '../../shared/time'
import { DeviceCheck } from '../../shared/devices/DeviceCheck'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Quiet } from './Quiet'
import { OutsideAccount, RingIn } from './WaysIn'

/** Where a link leads: who one is, the join word, and a knock. */
export default function DoorstepScreen() {
  const { token = '' } = useParams()
  const path = `/api/doorsteps/${encodeURIComponent(token)}`
  const navigate = useNavigate()
  const time = useSchoolTime()
  const [name, setName] = useState('')
  const [word, setWord] = useState('')
  const [agreed, setAgreed] = useState(false)
  const [elsewhere, setElsewhere] = useState<{ ticket: string; address: string }>()
  const [mayBeRecorded, setMayBeRecorded] = useState<boolean>()
  const school = useQuery(standing)
  const say = words()
  const { data, error } = useQuery({
    queryKey: ['doorstep', token],
    queryFn: () => get<Doorstep>(path),
    enabled: !!school.data,
    refetchInterval: 20_000,
    retry: false,
  })
  const knock = useMutation({
    mutationFn: () =>
      post<{ visit: string }>(`${path}/knock`, {
        name: data?.name ?? name,
        word,
        agreed,
        ...(elsewhere ? { outsideTicket: elsewhere.ticket } : {}),
        ...(mayBeRecorded !== undefined && data?.asksConsent ? { mayBeRecorded } : {}),
      }),
    onSuccess: (knocked) => navigate(`/seat/${knocked.visit}`),
  })
  useEffect(() => {
    document.title = data ? say.titleOfDoor(data.title) : say.door
  }, [data, say])
  if (error)
    return (
      <Quiet title={say.doorNotFound}>
        <ProblemNote problem={error} />
      </Quiet>
    )
  if (!data) return <LoadingNote says={say.fetching} />
  if (data.visit) return <Navigate to={`/seat/${data.visit}`} replace />
  return (
    <Quiet title={data.title}>
      <chakra.p color="ink2">{say.with(data.adults.join(say.and) || say.yourTeacher)}</chakra.p>
      {data.desk && (
        <Box my="14px" bg="markSoft" borderInlineStart="4px solid" borderColor="ink" px="12px" py="8px">
          <p>{say.inCharge}</p>
          <Link to={data.desk}>
            <Button as="span" size="large" mt="8px" look="main">
              {say.toTheDesk}
            </Button>
          </Link>
        </Box>
      )}
      {data.kind === 'STAFF' && !data.desk && (
        <Box my="14px" borderInlineStart="4px solid" borderColor="ink" px="12px" py="8px">
          {school.data?.me ? (
            <p>
              {say.linkOfAdults} {say.notInChargeNow}
            </p>
          ) : (
            <>
              <p>
                {say.linkOfAdults} {say.signInForDesk}
              </p>
              <Link to="/sign-in" state={{ from: window.location.pathname }}>
                <Button as="span" mt="8px" look="main">
                  {say.signIn}
                </Button>
              </Link>
            </>
          )}
        </Box>
      )}
      {!data.lesson && (
        <Box my="16px">
          <chakra.p fontWeight="650">{say.noLessonNow}</chakra.p>
          <p>{data.next ? say.nextOne(time.longDay(data.next), time.clock(data.next)) : say.nonePlanned}</p>
        </Box>
      )}
      {data.lesson && data.starts && data.ends && !data.desk && data.kind !== 'STAFF' && (
        <>
          {!data.name && (
            <OutsideAccount address={elsewhere?.address} onSignedIn={(ticket, address) => setElsewhere({ ticket, address })} />
          )}
          <chakra.form
            mt="14px"
            onSubmit={(event) => {
              event.preventDefault()
              knock.mutate()
            }}
          >
            <chakra.p mb="14px">{say.timesAtSchool(time.clock(data.starts), time.clock(data.ends))}</chakra.p>
            {data.name ? (
              <chakra.p mb="14px">
                {say.youComeAs} <strong>{data.name}</strong>
                {data.kind === 'VISITOR' ? say.asVisitor : '.'}
              </chakra.p>
            ) : (
              <TextField
                label={say.yourName}
                autoComplete="name"
                value={name}
                maxLength={300}
                onChange={(event) => setName(event.target.value)}
                required
              />
            )}
            {data.needsWord && (
              <TextField
                label={say.joinWord}
                hint={say.joinWordHint}
                autoComplete="off"
                value={word}
                onChange={(event) => setWord(event.target.value)}
                required
              />
            )}
            <WelcomeNote welcome={data.welcome} />
            <Box my="14px" borderTop="1px solid" borderColor="line" pt="10px">
              <chakra.h2 fontSize="18px" mb="4px">
                {say.houseRules}
              </chakra.h2>
              <chakra.ul ps="18px" listStyleType="disc" fontSize="15.5px">
                {data.houseRules.map((rule) => (
                  <li key={rule}>{rule}</li>
                ))}
              </chakra.ul>
              <chakra.label display="flex" gap="8px" mt="8px" alignItems="baseline" fontWeight="600">
                <input type="checkbox" checked={agreed} onChange={(event) => setAgreed(event.target.checked)} />
                {say.agreed}
              </chakra.label>
            </Box>
            {data.asksConsent && (
              <MayBeRecorded value={mayBeRecorded} onChange={setMayBeRecorded} always={data.recording === 'REQUIRED'} />
            )}
            <Box mb="14px">
              <DeviceCheck />
            </Box>
            <ProblemNote problem={knock.error} />
            <Button
              type="submit"
              size="large"
              bg="mark"
              color="onMark"
              borderColor="ink"
              fontWeight="650"
              disabled={knock.isPending}
            >
              {say.knock}
            </Button>
          </chakra.form>
          {!data.name && <RingIn doorstep={path} />}
        </>
      )}
      <ChooseLanguage />
    </Quiet>
  )
}

interface MayBeRecordedProps {
  value: boolean | undefined
  onChange: (may: boolean) => void
  /** Whether the lesson is recorded in any case. */
  always: boolean
}

/** A visitor is asked before coming in. Whoever says nothing is treated as who says no. */
function MayBeRecorded({ value, onChange, always }: MayBeRecordedProps) {
  return (
    <chakra.fieldset my="14px" borderTop="1px solid" borderColor="line" pt="10px">
      <chakra.legend fontFamily="heading" fontSize="18px" fontWeight="650">
        {words().mayBeRecorded}
      </chakra.legend>
      <chakra.p fontSize="15.5px" mb="4px">
        {always ? words().isRecorded : words().maybeRecorded}
      </chakra.p>
      {[
        { may: true, says: words().yesRecord },
        { may: false, says: words().noRecord },
      ].map(({ may, says }) => (
        <chakra.label key={says} display="flex" gap="8px" alignItems="baseline" py="2px">
          <input type="radio" name="may-be-recorded" checked={value === may} onChange={() => onChange(may)} />
          {says}
        </chakra.label>
      ))}
    </chakra.fieldset>
  )
}
