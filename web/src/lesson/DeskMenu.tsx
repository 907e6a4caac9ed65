import { Box, chakra, Menu, Portal } from '@chakra-ui/react'
import type { ReactNode } from 'react'

interface OpenerProps {
  /** What the button says; its accessible name. */
  children: ReactNode
  title?: string
  onOpen: (anchor: HTMLElement) => void
}

/** A place of the score that opens the menu. It is a plain button: two hundred of them cost next to nothing. */
export function Opener({ children, title, onOpen }: OpenerProps) {
  return (
    <chakra.button
      type="button"
      title={title}
      aria-haspopup="menu"
      cursor="pointer"
      px="2px"
      minW="26px"
      css={{ '@media (pointer: coarse)': { minHeight: '36px', minWidth: '40px' } }}
      whiteSpace="nowrap"
      onClick={(event) => onOpen(event.currentTarget)}
    >
      {children}
    </chakra.button>
  )
}

interface DeskMenuProps {
  /** The place that was pressed; nothing while no menu is open. */
  anchor: HTMLElement | null
  onClose: () => void
  children: ReactNode
}

/** The one menu of the desk. It belongs to no row, so news that redraws rows neither closes nor moves it. */
export function DeskMenu({ anchor, onClose, children }: DeskMenuProps) {
  return (
    <Menu.Root
      open={anchor !== null}
      onOpenChange={({ open }) => !open && onClose()}
      positioning={{ getAnchorRect: () => anchor?.getBoundingClientRect() ?? null, placement: 'bottom-start' }}
      lazyMount
      unmountOnExit
    >
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
  /** The menu goes on with other choices. */
  stays?: boolean
  onSelect: () => void
  children: ReactNode
}

/** One order. @param grave whether it hurts */
export function Choice({ value, grave = false, stays = false, onSelect, children }: ChoiceProps) {
  return (
    <Menu.Item
      value={value}
      closeOnSelect={!stays}
      onClick={onSelect}
      color={grave ? 'verdict.away' : 'ink'}
      borderRadius="0"
      px="8px"
      py="4px"
      cursor="pointer"
      css={{ '@media (pointer: coarse)': { minHeight: '40px' } }}
      _highlighted={{ bg: 'markSoft' }}
    >
      {children}
    </Menu.Item>
  )
}
