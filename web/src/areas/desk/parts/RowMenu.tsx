import { chakra, Flex } from '@chakra-ui/react'
import { MoreHorizontal } from 'lucide-react'
import { useState } from 'react'
import type { DeskPupil } from '../../../shared/api/types'
import { Button } from '../../../shared/ui/Button'
import { Labelled, TextInput } from '../../../shared/ui/Fields'
import { Sheet } from '../../../shared/ui/Sheet'
import type { Give } from '../api'
import { Choice, MenuHead, Opener } from './DeskMenu'

const OFF = [
  ['microphone', 'MICROPHONE', 'Mute'],
  ['camera', 'CAMERA', 'Switch the camera off'],
  ['screen', 'SCREEN', 'Stop sharing'],
] as const

/** The end of a row: everything else about this pupil. */
export function MoreForPupil({ pupil, onOpen }: { pupil: DeskPupil; onOpen: (at: HTMLElement) => void }) {
  const known = ['IN', 'CONNECTION_LOST', 'REMOVED'].includes(pupil.whereabouts)
  if (!known) return null
  return (
    <Opener onOpen={onOpen}>
      <chakra.span color="ink2">
        <chakra.span srOnly>More for {pupil.name}</chakra.span>
        <MoreHorizontal size={15} aria-hidden />
      </chakra.span>
    </Opener>
  )
}

/** What can be done about one pupil. Nothing here switches anything of theirs on. */
export function RowMenu({ pupil, give, onRemove }: { pupil: DeskPupil; give: Give; onRemove: () => void }) {
  return (
    <>
      <MenuHead>{pupil.name}</MenuHead>
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
      {pupil.whereabouts === 'IN' && (
        <Choice value="focus" onSelect={() => give({ do: 'focus', person: pupil.id })}>
          Put in focus for everyone
        </Choice>
      )}
      {pupil.whereabouts === 'REMOVED' ? (
        <Choice value="back" onSelect={() => give({ do: 'allow-back', person: pupil.id })}>
          Allow to come back
        </Choice>
      ) : (
        <Choice value="remove" grave onSelect={onRemove}>
          Remove from the lesson…
        </Choice>
      )}
    </>
  )
}

interface RemovalProps {
  pupil: DeskPupil | undefined
  give: Give
  onClose: () => void
}

/** Removal is confirmed once, with what happened written in the same action (needs G2, G3). */
export function Removal({ pupil, give, onClose }: RemovalProps) {
  const [why, setWhy] = useState('')
  return (
    <Sheet title={`Remove ${pupil?.name ?? ''}?`} open={!!pupil} onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          if (pupil) give({ do: 'remove', person: pupil.id, why })
          onClose()
          setWhy('')
        }}
      >
        <chakra.p mb="10px">
          {pupil?.name} is out at once, with every device. Coming back is decided by the charter, and you see it here.
        </chakra.p>
        <Labelled label="What happened" hint="Kept with the lesson. Pupils do not see it.">
          {(id) => <TextInput id={id} value={why} maxLength={500} onChange={(event) => setWhy(event.target.value)} />}
        </Labelled>
        <Flex gap="8px">
          <Button type="submit" look="stop">
            Remove
          </Button>
          <Button onClick={onClose}>Keep in the lesson</Button>
        </Flex>
      </chakra.form>
    </Sheet>
  )
}
