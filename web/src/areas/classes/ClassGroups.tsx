import { Box, chakra, Flex, Grid } from '@chakra-ui/react'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { say as staffSays } from '../../languages/en/staff/classes'
import { get, post, put, remove } from '../../shared/api/http'
import type { ClassGroups, ClassPage } from '../../shared/api/types'
import { standing } from '../../shared/standing'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { EmptyNote, LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import type { KeptProps } from './kept'
import { PreparedGroups } from './PreparedGroups'

/** What a class keeps for making groups: who stays apart or together, levels, trusted pupils, groups prepared for a lesson. */
export function GroupsOfClass({ page }: { page: ClassPage }) {
  const path = `/api/classes/${page.id}`
  const key = ['class-groups', page.id]
  const cache = useQueryClient()
  const { data, error } = useQuery({ queryKey: key, queryFn: () => get<ClassGroups>(`${path}/groups`) })
  const change = useMutation({
    mutationFn: (order: () => Promise<ClassGroups>) => order(),
    onSuccess: (next) => {
      cache.setQueryData(key, next)
      void cache.invalidateQueries({ queryKey: ['inspection'] })
    },
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={staffSays.whatIsKeptForGroups} />
  const say = (order: () => Promise<ClassGroups>, then?: () => void) => change.mutate(order, { onSuccess: then })
  return (
    <Box>
      <ProblemNote problem={change.error} compact />
      <Grid templateColumns={{ base: '1fr', lg: '1fr 420px' }} gap="28px">
        <Box>
          <Wishes groups={data} path={path} say={say} />
          <PreparedGroups groups={data} path={path} say={say} />
        </Box>
        <Marks groups={data} path={path} say={say} />
      </Grid>
    </Box>
  )
}

function Wishes({ groups, path, say }: KeptProps) {
  const [kind, setKind] = useState<'APART' | 'TOGETHER'>('APART')
  const [people, setPeople] = useState(['', ''])
  const [reason, setReason] = useState('')
  const { data: me } = useQuery(standing)
  const isLead = me?.me?.position === 'LEAD'
  const chosen = people.filter((one) => one !== '')
  return (
    <Box as="section" aria-label={staffSays.apartAndTogether} mb="22px">
      <chakra.h2 fontSize="17px">{staffSays.apartAndTogether}</chakra.h2>
      <chakra.p color="ink2" mb="6px">
        {staffSays.forAllGroups(isLead)}
      </chakra.p>
      {groups.wishes.length === 0 && <EmptyNote>{staffSays.nobodyIsKeptApartOrTogether}</EmptyNote>}
      <chakra.ul listStyleType="none" bg="sheet" borderTop={groups.wishes.length ? '1.5px solid' : 'none'} borderColor="ink">
        {groups.wishes.map((wish) => (
          <chakra.li
            key={wish.id}
            display="flex"
            gap="12px"
            px="10px"
            py="5px"
            alignItems="baseline"
            borderBottom={wish.binding ? '3px double' : '1px solid'}
            borderColor={wish.binding ? 'ink' : 'line'}
          >
            <Box flex="1">
              <strong>{wish.says}</strong>
              <Box fontSize="13px" color="ink2">
                {wish.reason || staffSays.noReasonWasWritten} · {wish.byName}
              </Box>
            </Box>
            {wish.mayEnd && (
              <Button size="small" onClick={() => say(() => remove<ClassGroups>(`${path}/wishes/${wish.id}`))}>
                {staffSays.takeBack}
                <chakra.span srOnly>: {wish.says}</chakra.span>
              </Button>
            )}
          </chakra.li>
        ))}
      </chakra.ul>
      <chakra.form
        display="flex"
        gap="6px"
        mt="8px"
        flexWrap="wrap"
        onSubmit={(event) => {
          event.preventDefault()
          say(
            () => post<ClassGroups>(`${path}/wishes`, { kind, people: chosen, reason }),
            () => {
              setPeople(['', ''])
              setReason('')
            },
          )
        }}
      >
        {people.map((one, place) => (
          <Select
            key={place}
            aria-label={staffSays.pupil(place + 1)}
            w="170px"
            value={one}
            onChange={(event) => setPeople(people.map((old, other) => (other === place ? event.target.value : old)))}
          >
            <option value="">{staffSays.aPupil}</option>
            {groups.pupils.map((pupil) => (
              <option key={pupil.id} value={pupil.id}>
                {pupil.name}
              </option>
            ))}
          </Select>
        ))}
        {people.length < 6 && (
          <Button aria-label={staffSays.onePupilMore} onClick={() => setPeople([...people, ''])}>
            +
          </Button>
        )}
        <Select
          aria-label={staffSays.apartOrTogether}
          w="130px"
          value={kind}
          onChange={(event) => setKind(event.target.value as typeof kind)}
        >
          <option value="APART">{staffSays.stayApart}</option>
          <option value="TOGETHER">{staffSays.stayTogether}</option>
        </Select>
        <TextInput
          aria-label={staffSays.why}
          placeholder={isLead ? staffSays.whyAdultsRead : staffSays.whyIfYouLikeAdults}
          flex="1"
          minW="180px"
          maxLength={500}
          required={isLead}
          value={reason}
          onChange={(event) => setReason(event.target.value)}
        />
        <Button type="submit" look="main" disabled={chosen.length < 2}>
          {staffSays.keep}
        </Button>
      </chakra.form>
    </Box>
  )
}

function Marks({ groups, path, say }: KeptProps) {
  const mark = (person: string, level: number, trusted: boolean) =>
    say(() => put<ClassGroups>(`${path}/group-marks`, { marks: [{ person, level, trusted }] }))
  return (
    <Box as="section" aria-label={staffSays.levelsAndTrustedPupils}>
      <chakra.h2 fontSize="17px">{staffSays.levelsAndTrustedPupils}</chakra.h2>
      <chakra.p color="ink2" mb="6px">
        {staffSays.forBalancedGroups}
      </chakra.p>
      <Words groups={groups} />
      <chakra.table w="100%" bg="sheet" borderTop="1.5px solid" borderColor="ink" fontSize="13.5px">
        <chakra.thead srOnly>
          <tr>
            <th>{staffSays.pupilColumn}</th>
            <th>{staffSays.level}</th>
            <th>{staffSays.trusted}</th>
          </tr>
        </chakra.thead>
        <tbody>
          {groups.pupils.map((pupil) => (
            <chakra.tr key={pupil.id} borderBottom="1px solid" borderColor="line">
              <chakra.td px="8px" py="2px">
                {pupil.name}
              </chakra.td>
              <chakra.td w="150px">
                <Select
                  aria-label={staffSays.levelOf(pupil.name)}
                  py="1px"
                  value={pupil.level}
                  onChange={(event) => mark(pupil.id, Number(event.target.value), pupil.trusted)}
                >
                  <option value={0}>–</option>
                  {groups.levels.map((word, place) => (
                    <option key={word} value={place + 1}>
                      {word}
                    </option>
                  ))}
                </Select>
              </chakra.td>
              <chakra.td w="90px" textAlign="center">
                <chakra.label display="inline-flex" gap="4px" alignItems="center" minH="24px">
                  <input
                    type="checkbox"
                    aria-label={staffSays.isTrusted(pupil.name)}
                    checked={pupil.trusted}
                    onChange={(event) => mark(pupil.id, pupil.level, event.target.checked)}
                  />
                  {staffSays.trustedLabel}
                </chakra.label>
              </chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}

/** The school's own words for the levels, for the lead to choose. */
function Words({ groups }: { groups: ClassGroups }) {
  const cache = useQueryClient()
  const { data: me } = useQuery(standing)
  const [words, setWords] = useState<string[] | null>(null)
  const save = useMutation({
    mutationFn: (next: string[]) => put<string[]>('/api/group-levels', { words: next }),
    onSuccess: () => {
      setWords(null)
      return cache.invalidateQueries({ queryKey: ['class-groups'] })
    },
  })
  if (me?.me?.position !== 'LEAD') return null
  if (!words) {
    return (
      <Button look="quiet" mb="6px" onClick={() => setWords(groups.levels)}>
        {staffSays.changeTheSchoolsWordsForLevels}
      </Button>
    )
  }
  return (
    <chakra.form
      mb="8px"
      onSubmit={(event) => {
        event.preventDefault()
        save.mutate(words)
      }}
    >
      <Flex gap="6px">
        {words.map((word, place) => (
          <TextInput
            key={place}
            aria-label={staffSays.wordForLevel(place + 1)}
            value={word}
            maxLength={80}
            onChange={(event) => setWords(words.map((old, other) => (other === place ? event.target.value : old)))}
          />
        ))}
        <Button type="submit" disabled={save.isPending}>
          {staffSays.keep}
        </Button>
      </Flex>
      <ProblemNote problem={save.error} compact />
    </chakra.form>
  )
}
