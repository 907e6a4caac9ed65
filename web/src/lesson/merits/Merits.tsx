import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { useQuery } from '@tanstack/react-query'
import { say } from '../../languages/en/desk/merits'
import { get } from '../../shared/api/http'
import type { ClassMerits, Desk } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { Choice } from '../DeskMenu'
import type { Mark } from '../part'
import type { OrderOf } from '../send'
import { meritsOrders } from './orders'

type Give = (order: OrderOf<typeof meritsOrders>) => void

/** In the menu of a pupil: one press gives a merit for what most are given for. */
function InRowMenu({ desk, pupil, give }: { desk: Desk; pupil: { id: string }; give: Give }) {
  return desk.merits.reasons.map((reason) => (
    <Choice key={reason} value={reason} onSelect={() => give({ do: 'merit', people: [pupil.id], reason })}>
      {say.meritFor(reason)}
    </Choice>
  ))
}

/** Beside the name: how many they got. */
function marks(desk: Desk, person: string): Mark[] {
  const count = desk.merits.of[person] ?? 0
  return count === 0
    ? []
    : [{ short: count === 1 ? '✦' : `✦${count}`, words: count === 1 ? say.merit : say.merits(count), quiet: true }]
}

/** Gives merits to one, some, a group or all, and takes one back that was given by mistake. */
export function MeritMaker({ desk, give, classId }: { desk: Desk; give: Give; classId: string | undefined }) {
  const pupils = desk.door.pupils.filter((one) => one.whereabouts === 'IN')
  const [chosen, setChosen] = useState<string[]>([])
  const [reason, setReason] = useState('')
  const tables = desk.groups.out ? desk.groups.tables : []
  const toggle = (id: string) => setChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])
  const praise = (why: string) => {
    give({ do: 'merit', people: chosen, reason: why })
    setChosen([])
    setReason('')
  }
  return (
    <Box>
      <Flex gap="6px" mb="6px" wrap="wrap">
        <Button size="small" onClick={() => setChosen(pupils.map((one) => one.id))}>
          {say.all(pupils.length)}
        </Button>
        {tables.map((table) => (
          <Button
            key={table.id}
            size="small"
            onClick={() =>
              setChosen(table.mates.filter((mate) => pupils.some((one) => one.id === mate.id)).map((mate) => mate.id))
            }
          >
            {table.name}
          </Button>
        ))}
        <Button size="small" onClick={() => setChosen([])}>
          {say.nobody}
        </Button>
      </Flex>
      <Flex role="group" aria-label={say.toWhom} gap="4px 12px" wrap="wrap" maxH="170px" overflowY="auto" mb="10px">
        {pupils.map((one) => (
          <chakra.label key={one.id} display="flex" gap="4px" alignItems="center" w="150px">
            <input type="checkbox" checked={chosen.includes(one.id)} onChange={() => toggle(one.id)} /> {one.name}
          </chakra.label>
        ))}
      </Flex>
      <Flex gap="6px" wrap="wrap" align="center">
        {desk.merits.reasons.map((why) => (
          <Button key={why} disabled={chosen.length === 0} onClick={() => praise(why)}>
            {say.for(why)}
          </Button>
        ))}
        <chakra.form
          display="flex"
          gap="6px"
          onSubmit={(event) => {
            event.preventDefault()
            if (reason.trim() && chosen.length > 0) praise(reason.trim())
          }}
        >
          <TextInput
            w="190px"
            aria-label={say.forSomethingElse}
            placeholder={say.forSomethingElsePlaceholder}
            maxLength={500}
            value={reason}
            onChange={(event) => setReason(event.target.value)}
          />
          <Button type="submit" disabled={chosen.length === 0 || !reason.trim()}>
            {say.give}
          </Button>
        </chakra.form>
      </Flex>
      <Latest desk={desk} give={give} />
      {classId && <Never classId={classId} />}
    </Box>
  )
}

function Latest({ desk, give }: { desk: Desk; give: Give }) {
  const soon = desk.merits.latest.filter((one) => Date.parse(one.until) > Date.parse(desk.now))
  if (soon.length === 0) return null
  return (
    <Box mt="12px" maxH="120px" overflowY="auto" fontSize="13px">
      <chakra.h3 fontSize="14px">{say.justGivenCanBeTaken}</chakra.h3>
      {soon.map((one) => (
        <Flex key={one.number} gap="8px" py="2px" borderBottom="1px solid" borderColor="line">
          <span>{say.forSaid(one.name, one.reason)}</span>
          <Box flex="1" />
          <Button size="small" onClick={() => give({ do: 'take-merit-back', number: one.number })}>
            {say.takeItBack}
          </Button>
        </Flex>
      ))}
    </Box>
  )
}

/** Told quietly: whom nobody has praised for weeks. */
function Never({ classId }: { classId: string }) {
  const { data } = useQuery({
    queryKey: ['class-merits', classId],
    queryFn: () => get<ClassMerits>(`/api/classes/${encodeURIComponent(classId)}/merits`),
  })
  if (!data || data.never.length === 0 || data.never.length === data.pupils.length) return null
  return (
    <chakra.p mt="10px" fontSize="13px" color="ink2">
      {say.withoutAMerit(data.weeks, data.never.slice(0, 12).join(', '), data.never.length, data.never.length - 12)}
    </chakra.p>
  )
}

export const merits = { orders: meritsOrders, page: { marks, InRowMenu } }
