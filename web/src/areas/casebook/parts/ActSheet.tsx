import { chakra, Flex } from '@chakra-ui/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { say } from '../../../languages/en/staff/casebook'
import { get, post, put } from '../../../shared/api/http'
import type { IncidentPage } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Labelled, Select, TextArea, TextField } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'
import { Sheet } from '../../../shared/ui/Sheet'

/** One thing that is done with an incident. */
export type Act =
  | { do: 'note'; corrects?: number }
  | { do: 'follow-up' | 'decide' | 'kind' | 'parents' | 'link' | 'merge' | 'split' | 'close' | 'reopen' }
  | { do: 'done' | 'later'; followUp: number; what: string }
  | { do: 'talk'; pupil: string; name: string }

const TITLES: Record<Act['do'], string> = {
  note: say.aNote,
  'follow-up': say.somebodyIsToDoSomething,
  decide: say.whatIsDecided,
  kind: say.kindAndSeverity,
  parents: say.writeToParents,
  link: say.itHas,
  merge: say.itIsTheSame,
  split: say.itIsTwo,
  close: say.closeIt,
  reopen: say.openItAgain,
  done: say.itIsDone,
  later: say.itIsDoneLater,
  talk: say.somebodyHasTalked,
}

const BUTTONS: Record<Act['do'], string> = {
  note: say.writeIt,
  'follow-up': say.askForIt,
  decide: say.writeIt,
  kind: say.saySo,
  parents: say.sendIt,
  link: say.linkTheTwo,
  merge: say.makeThemOne,
  split: say.makeThemTwo,
  close: say.closeTheIncident,
  reopen: say.openItAgain,
  done: say.done,
  later: say.moveIt,
  talk: say.letInAgain,
}

interface ActSheetProps {
  page: IncidentPage
  act: Act
  onDone: (page: IncidentPage) => void
  onClose: () => void
}

/** The sheet for one thing; each asks for no more than it needs. */
export function ActSheet({ page, act, onDone, onClose }: ActSheetProps) {
  const navigate = useNavigate()
  const [text, setText] = useState('')
  const [leadOnly, setLeadOnly] = useState(false)
  const [who, setWho] = useState(page.staff[0]?.id ?? '')
  const [until, setUntil] = useState(() => new Date(Date.now() + 2 * 86_400_000).toISOString().slice(0, 10))
  const [kind, setKind] = useState(page.act)
  const [severity, setSeverity] = useState(page.severity)
  const [other, setOther] = useState('')
  const [people, setPeople] = useState<string[]>([])
  const pupils = page.people.filter((one) => one.part !== 'ACTED')
  const [pupil, setPupil] = useState(pupils[0]?.id ?? '')
  const to = `/api/casebook/${page.number}`
  const send = useMutation({
    mutationFn: async (): Promise<IncidentPage | number> => {
      switch (act.do) {
        case 'note':
          return post<IncidentPage>(`${to}/notes`, { text, leadOnly, corrects: act.corrects })
        case 'follow-up':
          return post<IncidentPage>(`${to}/follow-ups`, { what: text, who, until })
        case 'decide':
          return post<IncidentPage>(`${to}/decisions`, { text })
        case 'kind':
          return put<IncidentPage>(`${to}/kind`, { act: kind, severity })
        case 'parents':
          return post<IncidentPage>(`${to}/parents`, { pupil, text })
        case 'link':
          return post<IncidentPage>(`${to}/links`, { other: Number(other), how: text })
        case 'merge':
          return (await post<{ incident: number }>(`${to}/merge`, { into: Number(other) })).incident
        case 'split':
          return (await post<{ incident: number }>(`${to}/split`, { people, title: text })).incident
        case 'close':
          return post<IncidentPage>(`${to}/close`, { text })
        case 'reopen':
          return post<IncidentPage>(`${to}/reopen`, { text })
        case 'done':
          return post<IncidentPage>(`${to}/follow-ups/${act.followUp}/done`, { text })
        case 'later':
          return post<IncidentPage>(`${to}/follow-ups/${act.followUp}/later`, { text, until })
        case 'talk':
          return post<IncidentPage>(`${to}/talks`, { pupil: act.pupil, text })
      }
    },
    onSuccess: async (done) => {
      if (typeof done === 'number') {
        onDone(await get<IncidentPage>(to))
        void navigate(`/casebook/${done}`)
      } else {
        onDone(done)
      }
    },
  })
  const words = (label: string, hint?: string) => (
    <Labelled label={label} {...(hint ? { hint } : {})}>
      {(id) => <TextArea id={id} rows={4} maxLength={2000} value={text} onChange={(event) => setText(event.target.value)} />}
    </Labelled>
  )
  const day = (
    <TextField label={say.until} type="date" required value={until} onChange={(event) => setUntil(event.target.value)} />
  )
  const number = (
    <TextField
      label={say.no}
      inputMode="numeric"
      pattern="[0-9]+"
      required
      value={other}
      onChange={(event) => setOther(event.target.value)}
    />
  )
  const fields = () => {
    switch (act.do) {
      case 'note':
        return (
          <>
            {act.corrects && <chakra.p mb="8px">{say.whatStandsThereStays}</chakra.p>}
            {words(say.inYourWords)}
            {page.may.includes('NOTE_FOR_LEADS') && (
              <chakra.label display="flex" gap="7px" mb="10px">
                <input type="checkbox" checked={leadOnly} onChange={() => setLeadOnly(!leadOnly)} />{' '}
                {say.readBySafeguardingLeadsAlone}
              </chakra.label>
            )}
          </>
        )
      case 'follow-up':
        return (
          <>
            {words(say.whatIsToBeDone)}
            <Flex gap="10px">
              <Labelled label={say.byWhom}>
                {(id) => (
                  <Select id={id} value={who} onChange={(event) => setWho(event.target.value)}>
                    {page.staff.map((one) => (
                      <option key={one.id} value={one.id}>
                        {one.name}
                      </option>
                    ))}
                  </Select>
                )}
              </Labelled>
              {day}
            </Flex>
          </>
        )
      case 'kind':
        return (
          <Flex gap="10px">
            <Labelled label={say.kind}>
              {(id) => (
                <Select id={id} value={kind} onChange={(event) => setKind(event.target.value)}>
                  {page.acts.map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.name}
                    </option>
                  ))}
                </Select>
              )}
            </Labelled>
            <Labelled label={say.howGrave}>
              {(id) => (
                <Select
                  id={id}
                  value={severity}
                  onChange={(event) => setSeverity(event.target.value as IncidentPage['severity'])}
                >
                  <option value="SLIGHT">{say.slight}</option>
                  <option value="MIDDLE">{say.middle}</option>
                  <option value="GRAVE">{say.grave}</option>
                </Select>
              )}
            </Labelled>
          </Flex>
        )
      case 'parents':
        return (
          <>
            <Labelled label={say.ofWhom}>
              {(id) => (
                <Select id={id} value={pupil} onChange={(event) => setPupil(event.target.value)}>
                  {pupils.map((one) => (
                    <option key={one.id} value={one.id}>
                      {one.name}
                    </option>
                  ))}
                </Select>
              )}
            </Labelled>
            {words(say.whatTheyRead, say.itGoesOut)}
          </>
        )
      case 'link':
        return (
          <>
            {number}
            {words(say.howTheyBelongTogether)}
          </>
        )
      case 'merge':
        return (
          <>
            <chakra.p mb="8px">{say.thisOneEndsAndGoes}</chakra.p>
            {number}
          </>
        )
      case 'split':
        return (
          <>
            <chakra.p mb="4px">{say.whoGoesIntoANewIncident}</chakra.p>
            <Flex direction="column" mb="10px" role="group" aria-label={say.whoGoesIntoANewIncidentLabel}>
              {page.people.map((one) => (
                <chakra.label key={one.id} display="flex" gap="7px">
                  <input
                    type="checkbox"
                    checked={people.includes(one.id)}
                    onChange={() =>
                      setPeople(people.includes(one.id) ? people.filter((id) => id !== one.id) : [...people, one.id])
                    }
                  />{' '}
                  {one.name}
                </chakra.label>
              ))}
            </Flex>
            {words(say.whatTheNew)}
          </>
        )
      case 'later':
        return (
          <>
            <chakra.p mb="8px">{act.what}</chakra.p>
            {day}
            {words(say.why)}
          </>
        )
      case 'done':
        return (
          <>
            <chakra.p mb="8px">{act.what}</chakra.p>
            {words(say.whatCame)}
          </>
        )
      case 'talk':
        return words(say.whatWasTalked(act.name), say.fromNowOnTheDoor)
      case 'close':
        return words(say.howItEnded, say.whatItRests)
      case 'reopen':
        return words(say.why)
      case 'decide':
        return words(say.inYourWords)
    }
  }
  return (
    <Sheet title={TITLES[act.do]} open onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          send.mutate()
        }}
      >
        {fields()}
        <ProblemNote problem={send.error} />
        <Button type="submit" look="main" disabled={send.isPending}>
          {BUTTONS[act.do]}
        </Button>
      </chakra.form>
    </Sheet>
  )
}
