import { say } from '../../../languages/en/staff/charter'
import { WelcomeOf } from '../../questions/WelcomeOf'
import { Box, chakra, Flex } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { Link } from 'react-router'
import { edit, EDITED, get, post, put, remove } from '../../../shared/api/http'
import type { LessonPlan, ReadySet, Report, Rules } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { CopyButton } from '../../../shared/ui/CopyButton'
import { Select, TextInput } from '../../../shared/ui/Fields'
import { ProblemNote } from '../../../shared/ui/Notes'

/** What belongs to a class or a lesson besides its rules: the sets it uses, and what is planned. */
export function PlaceHead({ rules }: { rules: Rules }) {
  const id = rules.place.slice(rules.place.indexOf(':') + 1)
  if (rules.place.startsWith('class:')) return <SetsOfClass id={id} rules={rules} />
  if (rules.place.startsWith('lesson:')) {
    return (
      <>
        <PlanOfLesson id={id} />
        <WelcomeOf path={`/api/lessons/${encodeURIComponent(id)}/prepared-welcome`} />
      </>
    )
  }
  return null
}

function SetsOfClass({ id, rules }: { id: string; rules: Rules }) {
  const cache = useQueryClient()
  const [wanted, setWanted] = useState('')
  const sets = useQuery({ queryKey: ['sets'], queryFn: () => get<ReadySet[]>('/api/sets') })
  const preview = useQuery({
    queryKey: ['set-preview', id, wanted],
    queryFn: () => get<Report>(`/api/classes/${id}/sets/${wanted}/consequences`),
    enabled: wanted !== '',
  })
  const change = useMutation({
    mutationFn: ({ set, use }: { set: string; use: boolean }) =>
      use ? put(`/api/classes/${id}/sets/${set}`) : remove(`/api/classes/${id}/sets/${set}`),
    onSuccess: () => {
      setWanted('')
      void cache.invalidateQueries({ queryKey: ['rules'] })
      void cache.invalidateQueries({ queryKey: ['sets'] })
    },
  })
  const unused = sets.data?.filter((one) => rules.sets.every((used) => used.id !== one.id)) ?? []
  return (
    <Box mb="12px">
      <Flex gap="10px" align="center" wrap="wrap">
        <strong>{say.readyMadeSetsStrong}</strong>
        {rules.sets.length === 0 && <chakra.span color="ink2">{say.noneInUse}</chakra.span>}
        {rules.sets.map((one) => (
          <chakra.span key={one.id} border="1px solid" borderColor="lineStrong" px="8px" bg="sheet">
            {one.name}{' '}
            {rules.editable && (
              <Button
                look="quiet"
                size="small"
                aria-label={say.stopUsing(one.name)}
                onClick={() => change.mutate({ set: one.id, use: false })}
              >
                {say.stopUsingButton}
              </Button>
            )}
          </chakra.span>
        ))}
        {rules.editable && unused.length > 0 && (
          <Select aria-label={say.useASet} w="190px" py="2px" value={wanted} onChange={(event) => setWanted(event.target.value)}>
            <option value="">{say.useASetChoice}</option>
            {unused.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        )}
      </Flex>
      <ProblemNote problem={change.error ?? preview.error} compact />
      {wanted !== '' && preview.data && (
        <Box bg="markSoft" px="12px" py="8px" mt="6px">
          {say.nothingWouldChangeTheClass(preview.data.shifts.length, preview.data.lessons)}
          {preview.data.shifts.map((one) => (
            <div key={one.rule + one.role + one.after}>
              {one.title}, {one.roleWords}: <s>{one.beforeWords}</s> <strong>{one.afterWords}</strong>
            </div>
          ))}
          <Flex gap="6px" mt="6px">
            <Button look="main" onClick={() => change.mutate({ set: wanted, use: true })}>
              {say.useItFromNow}
            </Button>
            <Button onClick={() => setWanted('')}>{say.leaveIt}</Button>
          </Flex>
        </Box>
      )}
    </Box>
  )
}

function PlanOfLesson({ id }: { id: string }) {
  const cache = useQueryClient()
  const key = ['lesson-plan', id]
  const path = `/api/lessons/${id}/plan`
  const { data, error } = useQuery({ queryKey: key, queryFn: () => get<LessonPlan>(path), ...EDITED })
  const [name, setName] = useState('')
  const change = useMutation({
    mutationFn: (plan: Pick<LessonPlan, 'visitors' | 'recording' | 'groups'>) => edit<LessonPlan>(path, plan),
    onSuccess: (plan) => {
      cache.setQueryData(key, plan)
      setName('')
      void cache.invalidateQueries({ queryKey: ['rules'] })
    },
  })
  const renew = useMutation({
    mutationFn: (person: string) => post<LessonPlan>(`${path}/visitors/${person}/renew`),
    onSuccess: (plan) => cache.setQueryData(key, plan),
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return null
  return (
    <Box bg="sheet" border="1px solid" borderColor="line" px="14px" py="8px" mb="12px">
      <chakra.h2 fontSize="15px">
        {say.plannedForThisLesson} <Link to={`/classes/${data.ofClass}`}>{data.title}</Link>
      </chakra.h2>
      <Flex gap="18px" wrap="wrap" align="center">
        {(['recording', 'groups'] as const).map((one) => (
          <label key={one}>
            <input
              type="checkbox"
              checked={data[one]}
              disabled={!data.editable}
              onChange={() => change.mutate({ ...data, [one]: !data[one] })}
            />{' '}
            {say.itIsRecordedWorkInGroups(one)}
          </label>
        ))}
        <span>
          {say.visitors} {data.visitors.length === 0 && <chakra.span color="ink2">{say.none}</chakra.span>}
          {data.visitors.map((one) => (
            <chakra.span key={one} me="8px">
              {one}{' '}
              {data.editable && (
                <Button
                  look="quiet"
                  size="small"
                  aria-label={say.removeVisitor(one)}
                  onClick={() => change.mutate({ ...data, visitors: data.visitors.filter((other) => other !== one) })}
                >
                  {say.remove}
                </Button>
              )}
            </chakra.span>
          ))}
        </span>
        {data.editable && (
          <chakra.form
            display="flex"
            gap="6px"
            onSubmit={(event) => {
              event.preventDefault()
              if (name.trim()) change.mutate({ ...data, visitors: [...data.visitors, name.trim()] })
            }}
          >
            <TextInput
              aria-label={say.nameOfAVisitor}
              placeholder={say.nameOfAVisitor}
              w="180px"
              py="2px"
              maxLength={80}
              value={name}
              onChange={(event) => setName(event.target.value)}
            />
            <Button type="submit">{say.invite}</Button>
          </chakra.form>
        )}
      </Flex>
      {data.invited.map((one) => (
        <Flex key={one.person} gap="8px" align="center" wrap="wrap" mt="4px" fontSize="13px">
          <span>{say.linkOf(one.name)}</span>
          <chakra.span fontFamily="mono" fontSize="12px" overflowWrap="anywhere" minW="0">
            {one.link}
          </chakra.span>
          <CopyButton text={one.link}>{say.copy}</CopyButton>
          {data.editable && (
            <Button disabled={renew.isPending} onClick={() => renew.mutate(one.person)}>
              <span>
                {say.makeANewLink}
                <chakra.span srOnly> {say.for(one.name)}</chakra.span>
              </span>
            </Button>
          )}
        </Flex>
      ))}
      <chakra.p fontSize="12.5px" color="ink2" mt="4px">
        {say.eachVisitorHasALink}
      </chakra.p>
      <ProblemNote problem={change.error ?? renew.error} compact />
    </Box>
  )
}
