import { useContext } from 'react'
import { say } from '../../languages/en/desk/chat'
import { Choice } from '../DeskMenu'
import type { PupilRow } from '../rows'
import { WRITE_BOX, WriteTo } from './writing'

/** From the row of a pupil to the box in which the private word is written. */
export function InRowMenu({ pupil }: { pupil: PupilRow }) {
  const { setTo } = useContext(WriteTo)
  const begin = () => {
    setTo(pupil.id)
    // The menu gives the focus back to the row first.
    setTimeout(() => document.getElementById(WRITE_BOX)?.focus(), 50)
  }
  return (
    <Choice value="private" onSelect={begin}>
      {say.aPrivateWord}
    </Choice>
  )
}
