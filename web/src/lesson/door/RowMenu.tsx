import { Box, chakra, Flex } from '@chakra-ui/react'
import { MoreHorizontal } from 'lucide-react'
import { useState } from 'react'
import { say } from '../../languages/en/desk/door'
import type { Desk } from '../../shared/api/types'
import type { PupilRow } from '../rows'
import { Button } from '../../shared/ui/Button'
import { Labelled, TextInput } from '../../shared/ui/Fields'
import { Sheet } from '../../shared/ui/Sheet'
import type { Give } from '../orders'
import { PAGES } from '../parts'
import { Choice, MenuHead, Opener } from '../DeskMenu'
import { FocusChoice } from '../signals/Focus'
import { FOR_PUPILS, Lend } from '../rights/Lending'

const OFF = [
  ['microphone', 'MICROPHONE', say.mute],
  ['camera', 'CAMERA', say.switchTheCameraOff],
  ['screen', 'SCREEN', say.stopSharing],
] as const

/** The end of a row: everything else about this pupil. */
export function MoreForPupil({ pupil, onOpen }: { pupil: PupilRow; onOpen: (at: HTMLElement) => void }) {
  const known = ['IN', 'CONNECTION_LOST', 'REMOVED'].includes(pupil.whereabouts)
  if (!known) return null
  return (
    <Opener onOpen={onOpen}>
      <chakra.span color="ink2">
        <chakra.span srOnly>{say.moreFor(pupil.name)}</chakra.span>
        <MoreHorizontal size={15} aria-hidden />
      </chakra.span>
    </Opener>
  )
}

interface RowMenuProps {
  desk: Desk
  pupil: PupilRow
  give: Give
  onRemove: () => void
  onKeep: () => void
  onTrust: () => void
}

/** What can be done about one pupil. Nothing here switches anything of theirs on. */
export function RowMenu({ desk, pupil, give, onRemove, onKeep, onTrust }: RowMenuProps) {
  const isIn = pupil.whereabouts === 'IN'
  return (
    <>
      <MenuHead>
        {pupil.name}
        {pupil.agreed !== undefined && pupil.agreed !== null && <Box>{say.agreedToTheHouseRules(pupil.agreed)}</Box>}
      </MenuHead>
      {OFF.filter(([is]) => pupil[is]).map(([, what, words]) => (
        <Choice key={what} value={what} onSelect={() => give({ do: 'turn-off', person: pupil.id, what })}>
          {words}
        </Choice>
      ))}
      {pupil.handSince && (
        <Choice value="hand" onSelect={() => give({ do: 'lower-hand', person: pupil.id })}>
          {say.lowerTheHand}
        </Choice>
      )}
      {isIn && <FocusChoice desk={desk} pupil={pupil} give={give} />}
      {isIn && PAGES.map(({ InRowMenu }, place) => InRowMenu && <InRowMenu key={place} desk={desk} pupil={pupil} give={give} />)}
      {isIn && desk.mine.door.leading && (
        <Choice value="trust" stays onSelect={onTrust}>
          {say.trustWithHelping}
        </Choice>
      )}
      {isIn && !desk.ending.lastWord && (
        <Choice value="last" onSelect={onKeep}>
          {say.aLastWordAllOthersOut}
        </Choice>
      )}
      {pupil.whereabouts === 'REMOVED' ? (
        <Choice value="back" onSelect={() => give({ do: 'allow-back', person: pupil.id })}>
          {say.allowToComeBack}
        </Choice>
      ) : (
        <Choice value="remove" grave onSelect={onRemove}>
          {say.removeFromTheLesson}
        </Choice>
      )}
    </>
  )
}

/** What this pupil may help with: lent for some minutes, or taken back at once. */
export function TrustMenu({ desk, pupil, give }: { desk: Desk; pupil: PupilRow; give: Give }) {
  return (
    <>
      <MenuHead>{say.helpsYou(pupil.name)}</MenuHead>
      {FOR_PUPILS.map((rule) => (
        <Lend
          key={rule}
          desk={desk}
          person={pupil.id}
          rule={rule}
          cell={pupil.help.find((cell) => cell.rule === rule)}
          minutes={10}
          give={give}
        />
      ))}
    </>
  )
}

/** The end for everybody but one; confirmed once, for it cannot be taken back (need K3). */
export function LastWord({ pupil, give, onClose }: RemovalProps) {
  return (
    <Sheet title={say.aLastWord(pupil?.name ?? '')} open={!!pupil} onClose={onClose}>
      <chakra.p mb="10px">{say.theLessonEnds}</chakra.p>
      <Flex gap="8px">
        <Button
          look="main"
          onClick={() => {
            if (pupil) give({ do: 'last-word', person: pupil.id })
            onClose()
          }}
        >
          {say.sendTheOthersHome}
        </Button>
        <Button onClick={onClose}>{say.goOnTeaching}</Button>
      </Flex>
    </Sheet>
  )
}

interface RemovalProps {
  pupil: PupilRow | undefined
  give: Give
  onClose: () => void
}

/** Removal is confirmed once, with what happened written in the same action (needs G2, G3). */
export function Removal({ pupil, give, onClose }: RemovalProps) {
  const [why, setWhy] = useState('')
  return (
    <Sheet title={say.remove(pupil?.name ?? '')} open={!!pupil} onClose={onClose}>
      <chakra.form
        onSubmit={(event) => {
          event.preventDefault()
          if (pupil) give({ do: 'remove', person: pupil.id, why })
          onClose()
          setWhy('')
        }}
      >
        <chakra.p mb="10px">
          {pupil?.name} {say.isOutAtOnce}
        </chakra.p>
        <Labelled label={say.whatHappened} hint={say.keptWithTheLessonPupils}>
          {(id) => <TextInput id={id} value={why} maxLength={500} onChange={(event) => setWhy(event.target.value)} />}
        </Labelled>
        <Flex gap="8px">
          <Button type="submit" look="stop">
            {say.removeButton}
          </Button>
          <Button onClick={onClose}>{say.keepInTheLesson}</Button>
        </Flex>
      </chakra.form>
    </Sheet>
  )
}
