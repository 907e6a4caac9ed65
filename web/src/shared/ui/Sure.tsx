import { Flex } from '@chakra-ui/react'
import { say } from '../../languages/en/staff/shared'
import { Button } from './Button'
import { Sheet } from './Sheet'

interface SureProps {
  /** As a question. */
  title: string
  /** What is lost, and what is not. */
  lost: string
  /** What is done, as a word on the button. */
  act: string
  open: boolean
  onClose: () => void
  onSure: () => void
}

/** Asks once before something is done that nobody can undo. */
export function Sure({ title, lost, act, open, onClose, onSure }: SureProps) {
  const sure = () => {
    onSure()
    onClose()
  }
  return (
    <Sheet title={title} open={open} onClose={onClose}>
      <p>{lost}</p>
      <Flex gap="8px" mt="12px">
        <Button look="stop" onClick={sure}>
          {act}
        </Button>
        <Button onClick={onClose}>{say.leaveIt}</Button>
      </Flex>
    </Sheet>
  )
}
