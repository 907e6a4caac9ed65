import { WelcomeNote } from '../../lesson/notices/notices'
import { Box, chakra } from '@chakra-ui/react'
import { useMutation, useQuery } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { Link, Navigate, useNavigate, useParams } from 'react-router'
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
    document.title = data ? `${data.title} · door` : 'Door'
  }, [data])
  if (error)
    return (
      <Quiet title="This door cannot be found">
        <ProblemNote problem={error} />
      </Quiet>
    )
  if (!data) return <LoadingNote what="the door" />
  if (data.visit) return <Navigate to={`/seat/${data.visit}`} replace />
  return (
    <Quiet title={data.title}>
      <chakra.p color="ink2">with {data.adults.join(' and ') || 'your teacher'}</chakra.p>
      {data.desk && (
        <Box my="14px" bg="markSoft" borderLeft="4px solid" borderColor="ink" px="12px" py="8px">
          <p>You are in charge of this lesson, so you need no seat.</p>
          <Link to={data.desk}>
            <Button as="span" size="large" mt="8px" look="main">
              Go to the desk
            </Button>
          </Link>
        </Box>
      )}
      {data.kind === 'STAFF' && !data.desk && (
        <Box my="14px" borderLeft="4px solid" borderColor="ink" px="12px" py="8px">
          {school.data?.me ? (
            <p>This link is for the adults of the class. You are not in charge of a lesson of it now.</p>
          ) : (
            <>
              <p>This link is for the adults of the class. Sign in, and it leads to the desk.</p>
              <Link to="/sign-in" state={{ from: window.location.pathname }}>
                <Button as="span" mt="8px" look="main">
                  Sign in
                </Button>
              </Link>
            </>
          )}
        </Box>
      )}
      {!data.lesson && (
        <Box my="16px">
          <chakra.p fontWeight="650">There is no lesson now.</chakra.p>
          <p>
            {data.next
              ? `The next one is on ${time.longDay(data.next)} at ${time.clock(data.next)}. Come back shortly before.`
              : 'None is planned for the next weeks.'}
          </p>
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
            <chakra.p mb="14px">
              {time.clock(data.starts)} to {time.clock(data.ends)} at the school.
            </chakra.p>
            {data.name ? (
              <chakra.p mb="14px">
                You come as <strong>{data.name}</strong>
                {data.kind === 'VISITOR' ? ', a visitor of this lesson. An adult lets you in.' : '.'}
              </chakra.p>
            ) : (
              <TextField
                label="Your first and last name"
                autoComplete="name"
                value={name}
                maxLength={300}
                onChange={(event) => setName(event.target.value)}
                required
              />
            )}
            {data.needsWord && (
              <TextField
                label="Join word"
                hint="Two words and a number, from your joining note."
                autoComplete="off"
                value={word}
                onChange={(event) => setWord(event.target.value)}
                required
              />
            )}
            <WelcomeNote welcome={data.welcome} />
            <Box my="14px" borderTop="1px solid" borderColor="line" pt="10px">
              <chakra.h2 fontSize="18px" mb="4px">
                House rules
              </chakra.h2>
              <chakra.ul pl="18px" listStyleType="disc" fontSize="15.5px">
                {data.houseRules.map((rule) => (
                  <li key={rule}>{rule}</li>
                ))}
              </chakra.ul>
              <chakra.label display="flex" gap="8px" mt="8px" alignItems="baseline" fontWeight="600">
                <input type="checkbox" checked={agreed} onChange={(event) => setAgreed(event.target.checked)} />I have read them
                and keep to them
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
              Knock
            </Button>
          </chakra.form>
          {!data.name && <RingIn doorstep={path} />}
        </>
      )}
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
        May you be recorded?
      </chakra.legend>
      <chakra.p fontSize="15.5px" mb="4px">
        This lesson {always ? 'is' : 'may be'} recorded. Without your yes your microphone and camera are closed meanwhile.
      </chakra.p>
      {[
        { may: true, says: 'Yes, I may be recorded' },
        { may: false, says: 'No, I am not to be recorded' },
      ].map(({ may, says }) => (
        <chakra.label key={says} display="flex" gap="8px" alignItems="baseline" py="2px">
          <input type="radio" name="may-be-recorded" checked={value === may} onChange={() => onChange(may)} />
          {says}
        </chakra.label>
      ))}
    </chakra.fieldset>
  )
}
