import { Box, chakra } from '@chakra-ui/react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/groups'
import type { Desk, GroupsMade } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { Select, TextInput } from '../../shared/ui/Fields'
import { ProblemNote } from '../../shared/ui/Notes'
import { useOrders, type Give } from '../orders'
import type { Recipe } from './orders'
import { usePreview } from './usePreview'

/** How groups are to be made; what cannot be kept is said. */
export function Making({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const here = desk.door.pupils.filter((pupil) => pupil.whereabouts === 'IN').length
  const [recipe, setRecipe] = useState<Recipe>({ by: 'SIZE', count: 4, balanced: false, mixed: true, times: 5, trusted: false })
  const making = useOrders(lesson)
  const kept = usePreview(desk, lesson)
  const made = (making.data as { data?: GroupsMade } | undefined)?.data
  const change = (part: Partial<Recipe>) => setRecipe({ ...recipe, ...part })
  const tick = (key: 'balanced' | 'mixed' | 'trusted', words: string) => (
    <chakra.label key={key} display="inline-flex" gap="4px" alignItems="center" whiteSpace="nowrap">
      <input type="checkbox" checked={recipe[key]} onChange={(event) => change({ [key]: event.target.checked })} /> {words}
    </chakra.label>
  )
  return (
    <Box px="14px" py="6px" borderBottom="1px solid" borderColor="line" fontSize="13px">
      <chakra.form
        display="flex"
        gap="6px 10px"
        flexWrap="wrap"
        alignItems="center"
        onSubmit={(event) => {
          event.preventDefault()
          making.mutate({ do: 'make-groups', recipe })
        }}
      >
        <TextInput
          aria-label={say.howMany}
          type="number"
          min={1}
          max={60}
          w="58px"
          value={recipe.count}
          onChange={(event) => change({ count: Number(event.target.value) })}
        />
        <Select
          aria-label={say.ofWhat}
          w="128px"
          value={recipe.by}
          onChange={(event) => change({ by: event.target.value as Recipe['by'] })}
        >
          <option value="SIZE">{say.pupilsInEach}</option>
          <option value="NUMBER">{say.groups}</option>
        </Select>
        {tick('mixed', say.newCompany)}
        {recipe.mixed && (
          <Select
            aria-label={say.lookedForIn}
            w="112px"
            value={recipe.times}
            onChange={(event) => change({ times: Number(event.target.value) })}
          >
            {[1, 3, 5, 10].map((times) => (
              <option key={times} value={times}>
                {say.lastTimeLastTimes(times)}
              </option>
            ))}
          </Select>
        )}
        {tick('balanced', 'balanced')}
        {tick('trusted', say.aTrustedPupil)}
        <Button type="submit" look="main" disabled={making.isPending || here === 0}>
          {say.makeGroupsOf(here)}
        </Button>
        {(kept?.lastTimes ?? 0) > 0 && <Button onClick={() => give({ do: 'groups-as-last' })}>{say.asLastTime}</Button>}
        {(kept?.prepared.length ?? 0) > 0 && (
          <Select
            aria-label={say.preparedGroups}
            w="110px"
            value=""
            onChange={(event) => event.target.value && give({ do: 'groups-prepared', set: event.target.value })}
          >
            <option value="">{say.prepared}</option>
            {kept?.prepared.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
        )}
      </chakra.form>
      <ProblemNote problem={making.error} compact />
      <Box role="status" fontSize="12.5px" mt={made ? '4px' : '0'}>
        {made?.says.map((sentence) => (
          <Box key={sentence} color="verdict.wait">
            {sentence}
          </Box>
        ))}
        {made && recipe.mixed && <Box color="ink2">{company(made)}</Box>}
      </Box>
    </Box>
  )
}

function company(made: GroupsMade): string {
  if (made.metAgain === 0) return say.nobodyMeetsSomebody
  const pairs = made.metAgain === 1 ? say.pairMeetsAgain : say.pairsMeetAgain(made.metAgain)
  return made.metAgain === made.metAtLeast ? say.withGroupsOfThisSize(pairs) : say.fewerThanCannot(pairs, made.metAtLeast)
}
