import { Box, chakra, Menu, Portal } from '@chakra-ui/react'
import { useRef, type ReactNode } from 'react'

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

interface PresserProps extends OpenerProps {
  /** What one press does; nothing if there is no likely act, so that a press opens the menu too. */
  onPress?: () => void
}

const HELD_MS = 500

/** A place where one press does the likely thing; held, pressed with the other button, or arrow down, it opens the menu. */
export function Presser({ children, title, onPress, onOpen }: PresserProps) {
  const held = useRef<ReturnType<typeof setTimeout>>(undefined)
  const opened = useRef(false)
  const open = (at: HTMLElement) => {
    opened.current = true
    onOpen(at)
  }
  const release = () => clearTimeout(held.current)
  return (
    <chakra.button
      type="button"
      title={title}
      aria-haspopup={onPress ? undefined : 'menu'}
      cursor="pointer"
      px="2px"
      minW="26px"
      css={{ '@media (pointer: coarse)': { minHeight: '36px', minWidth: '40px', touchAction: 'manipulation' } }}
      whiteSpace="nowrap"
      onPointerDown={(event) => {
        opened.current = false
        const at = event.currentTarget
        if (event.pointerType !== 'mouse') held.current = setTimeout(() => open(at), HELD_MS)
      }}
      onPointerUp={release}
      onPointerLeave={release}
      onContextMenu={(event) => {
        event.preventDefault()
        open(event.currentTarget)
      }}
      onKeyDown={(event) => {
        opened.current = false
        if (event.key !== 'ArrowDown') return
        event.preventDefault()
        open(event.currentTarget)
      }}
      onClick={(event) => {
        if (opened.current) opened.current = false
        else if (onPress) onPress()
        else onOpen(event.currentTarget)
      }}
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
