import { Box, chakra, Menu, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'

interface DeskMenuProps {
  /** What the button says; its accessible name. */
  sign: ReactNode
  title?: string
  children: ReactNode
}

/** A button of the score that opens a short list of orders. */
export function DeskMenu({ sign, title, children }: DeskMenuProps) {
  return (
    <Menu.Root lazyMount unmountOnExit>
      <Menu.Trigger asChild>
        <chakra.button type="button" title={title} cursor="pointer" px="2px" minW="26px" whiteSpace="nowrap">
          {sign}
        </chakra.button>
      </Menu.Trigger>
      <Portal>
        <Menu.Positioner>
          <Menu.Content
            bg="sheet"
            color="ink"
            border="1.5px solid"
            borderColor="ink"
            borderRadius="0"
            boxShadow="none"
            animation="none"
            minW="170px"
            p="3px"
          >
            {children}
          </Menu.Content>
        </Menu.Positioner>
      </Portal>
    </Menu.Root>
  )
}

/** Whom or what the orders are about. */
export function MenuHead({ children }: { children: ReactNode }) {
  return (
    <Box px="8px" py="3px" fontSize="12px" color="ink2" borderBottom="1px solid" borderColor="line" mb="2px">
      {children}
    </Box>
  )
}

interface ChoiceProps {
  value: string
  grave?: boolean
  onSelect: () => void
  children: ReactNode
}

/** One order. @param grave whether it hurts */
export function Choice({ value, grave = false, onSelect, children }: ChoiceProps) {
  return (
    <Menu.Item
      value={value}
      onClick={onSelect}
      color={grave ? 'verdict.away' : 'ink'}
      borderRadius="0"
      px="8px"
      py="4px"
      cursor="pointer"
      _highlighted={{ bg: 'markSoft' }}
    >
      {children}
    </Menu.Item>
  )
}
