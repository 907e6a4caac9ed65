import { Box, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import type { Desk, Need } from '../shared/api/types'
import { VerdictMark } from '../shared/ui/VerdictMark'
import type { Give } from './orders'

/** What a card of "What needs you" is given: the need as the server told it, and the desk to act on. */
export interface CardProps {
  need: Need
  desk: Desk
  give: Give
  onWhy: (rule: string) => void
}

/** A card for some kinds of needs. Which needs there are, and in which order, is the core's. */
export type Cards = Partial<Record<Need['kind'], (props: CardProps) => ReactNode>>

export function Title({ mark, children }: { mark?: boolean; children: ReactNode }) {
  return (
    <Flex gap="7px" align="baseline" pe="52px" fontWeight="650" overflowWrap="anywhere">
      {mark && <VerdictMark verdict="wait" />}
      <span>{children}</span>
    </Flex>
  )
}

export function Small({ children }: { children: ReactNode }) {
  return (
    <Box data-detail fontSize="12px" lineHeight="1.35" color="ink2">
      {children}
    </Box>
  )
}

export function Actions({ children }: { children: ReactNode }) {
  return (
    <Flex gap="6px" mt="3px" wrap="wrap">
      {children}
    </Flex>
  )
}
