import { chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { say } from '../../languages/en/desk/rights'
import { get } from '../../shared/api/http'
import type { Desk, StanceChange } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { LoadingNote, ProblemNote } from '../../shared/ui/Notes'
import { Sheet } from '../../shared/ui/Sheet'
import type { Give } from '../orders'
import { Choice, DeskMenu, MenuHead, Opener } from '../DeskMenu'

/** The stance, and a switch to another: what it would change is shown before. */
export function StanceButton({ desk, lesson, give }: { desk: Desk; lesson: string; give: Give }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [next, setNext] = useState<{ id: string; name: string } | null>(null)
  const close = () => {
    anchor?.focus()
    setAnchor(null)
  }
  return (
    <>
      <Opener onOpen={setAnchor}>
        <chakra.span border="1px solid" borderColor="lineStrong" borderRadius="3px" px="9px" py="4px" bg="sheet">
          {say.stance} <strong>{desk.course.stance ?? say.asPlanned}</strong>
        </chakra.span>
      </Opener>
      <DeskMenu anchor={anchor} onClose={close}>
        <MenuHead>{say.switchToWord}</MenuHead>
        {desk.course.stances
          .filter((one) => one.name !== desk.course.stance)
          .map((one) => (
            <Choice key={one.id} value={one.id} onSelect={() => setNext(one)}>
              {one.name}
            </Choice>
          ))}
      </DeskMenu>
      <Sheet title={say.switchToSaid(next?.name ?? '')} open={!!next} onClose={() => setNext(null)}>
        {next && <Changes lesson={lesson} stance={next} give={give} onClose={() => setNext(null)} />}
      </Sheet>
    </>
  )
}

interface ChangesProps {
  lesson: string
  stance: { id: string; name: string }
  give: Give
  onClose: () => void
}

function Changes({ lesson, stance, give, onClose }: ChangesProps) {
  const { data, error } = useQuery({
    queryKey: ['stance', lesson, stance.id],
    queryFn: () => get<StanceChange[]>(`/api/lessons/${encodeURIComponent(lesson)}/stance/${stance.id}/changes`),
    gcTime: 0,
  })
  if (error) return <ProblemNote problem={error} />
  if (!data) return <LoadingNote what={say.whatItChanges} />
  const held = data.filter((one) => one.heldByLive)
  const choose = (keepLive: boolean) => {
    give({ do: 'stance', stance: stance.id, keepLive })
    onClose()
  }
  return (
    <>
      {data.length === 0 && <p>{say.forPupilsNothingChanges}</p>}
      {data.length > 0 && (
        <chakra.table
          w="100%"
          css={{ '& td': { padding: '3px 8px 3px 0', borderBottom: '1px solid var(--chakra-colors-line)' } }}
        >
          <tbody>
            {data.map((one) => (
              <tr key={one.rule}>
                <td>{one.title}</td>
                <td>
                  {one.before.replace('-', ' ')} → <strong>{one.after.replace('-', ' ')}</strong>
                  {one.heldByLive && <chakra.span color="ink2"> {say.youOrdered(one.before.replace('-', ' '))}</chakra.span>}
                </td>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      )}
      <Flex gap="8px" mt="14px" wrap="wrap">
        <Button look="main" autoFocus onClick={() => choose(false)}>
          {say.switch(held.length)}
        </Button>
        {held.length > 0 && <Button onClick={() => choose(true)}>{say.switchAndKeepMyOrders}</Button>}
        <Button onClick={onClose}>{say.stayAs}</Button>
      </Flex>
    </>
  )
}
