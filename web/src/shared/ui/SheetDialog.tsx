import { useEffect, useState } from 'react'
import { chakra, Dialog, Portal } from '@chakra-ui/react'
import { words } from '../../languages/language'
import { X } from 'lucide-react'
import type { SheetProps } from './Sheet'

/** The sheet itself, which is fetched when the first one is opened; see Sheet. */
export default function SheetDialog({ title, open, onClose, wide = false, children }: SheetProps) {
  // It opens after it is there: opened from the first, it would not hold what is below it as it should.
  const [shown, setShown] = useState(false)
  useEffect(() => setShown(open), [open])
  return (
    <Dialog.Root
      open={shown}
      onOpenChange={(change) => !change.open && onClose()}
      placement="center"
      motionPreset="none"
      lazyMount
      unmountOnExit
    >
      <Portal>
        <Dialog.Backdrop bg="ink/30" />
        <Dialog.Positioner>
          <Dialog.Content
            bg="sheet"
            color="ink"
            borderRadius="0"
            border="1.5px solid"
            borderColor="ink"
            boxShadow="none"
            maxW={wide ? '760px' : '520px'}
          >
            <Dialog.Header borderBottom="3px double" borderColor="ink" py="10px" px="18px">
              <Dialog.Title fontFamily="heading" fontSize="19px">
                {title}
              </Dialog.Title>
            </Dialog.Header>
            <Dialog.Body py="14px" px="18px" fontSize="14px">
              {children}
            </Dialog.Body>
            <Dialog.CloseTrigger asChild>
              <chakra.button
                type="button"
                aria-label={words().close}
                w="32px"
                h="32px"
                display="grid"
                placeItems="center"
                cursor="pointer"
              >
                <X size={18} aria-hidden />
              </chakra.button>
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  )
}
