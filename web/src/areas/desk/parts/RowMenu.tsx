import { chakra, Flex } from '@chakra-ui/react'
import { MoreHorizontal } from 'lucide-react'
import { useState } from 'react'
import type { DeskPupil } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Labelled, TextInput } from '../../../shared/ui/Fields'
import { Sheet } from '../../../shared/ui/Sheet'
import type { Give } from '../api'
import { Choice, DeskMenu } from './DeskMenu'

const OFF = [
  ['microphone', 'MICROPHONE', 'Mute'],
  ['camera', 'CAMERA', 'Switch the camera off'],
  ['screen', 'SCREEN', 'Stop sharing'],
] as const

/** What can be done about one pupil. Nothing here switches anything of theirs on. */
export function RowMenu({ pupil, give }: { pupil: DeskPupil; give: Give }) {
  const [removing, setRemoving] = useState(false)
  const [why, setWhy] = useState('')
  const isIn = pupil.whereabouts === 'IN' || pupil.whereabouts === 'CONNECTION_LOST'
  if (!isIn && pupil.whereabouts !== 'REMOVED') return null
  return (
    <>
      <DeskMenu
        sign={
          <chakra.span color="ink2">
            <chakra.span srOnly>More for {pupil.name}</chakra.span>
            <MoreHorizontal size={15} aria-hidden />
          </chakra.span>
        }
      >
        {OFF.filter(([is]) => pupil[is]).map(([, what, words]) => (
          <Choice key={what} value={what} onSelect={() => give({ do: 'turn-off', person: pupil.id, what })}>
            {words}
          </Choice>
        ))}
        {pupil.handSince && (
          <Choice value="hand" onSelect={() => give({ do: 'lower-hand', person: pupil.id })}>
            Lower the hand
          </Choice>
        )}
        {pupil.whereabouts === 'REMOVED' ? (
          <Choice value="back" onSelect={() => give({ do: 'allow-back', person: pupil.id })}>
            Allow to come back
          </Choice>
        ) : (
          <Choice value="remove" grave onSelect={() => setRemoving(true)}>
            Remove from the lesson…
          </Choice>
        )}
      </DeskMenu>
      <Sheet title={`Remove ${pupil.name}?`} open={removing} onClose={() => setRemoving(false)}>
        <chakra.form
          onSubmit={(event) => {
            event.preventDefault()
            give({ do: 'remove', person: pupil.id, why })
            setRemoving(false)
            setWhy('')
          }}
        >
          <chakra.p mb="10px">
            {pupil.name} is out at once, with every device. Coming back is decided by the charter, and you see it here.
          </chakra.p>
          <Labelled label="What happened" hint="Kept with the lesson. Pupils do not see it.">
            {(id) => <TextInput id={id} value={why} maxLength={500} onChange={(event) => setWhy(event.target.value)} />}
          </Labelled>
          <Flex gap="8px">
            <Button type="submit" look="stop">
              Remove
            </Button>
            <Button onClick={() => setRemoving(false)}>Keep in the lesson</Button>
          </Flex>
        </chakra.form>
      </Sheet>
    </>
  )
}
