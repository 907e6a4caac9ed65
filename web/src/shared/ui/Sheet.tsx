import { CloseButton, Dialog, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'

/** A sheet laid over the page, for one decision or one explanation. Escape closes it. */
export function Sheet({
  title,
  open,
  onClose,
  wide = false,
  children,
}: {
  title: string
  open: boolean
  onClose: () => void
  /** For a table or a preview instead of one decision. */
  wide?: boolean
  children: ReactNode
}) {
  return (
    <Dialog.Root
      open={open}
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
              <CloseButton size="sm" color="ink" />
            </Dialog.CloseTrigger>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  )
}
