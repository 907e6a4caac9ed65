import { chakra } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Link } from 'react-router'

interface PlaceTabProps {
  to: string
  isOpen: boolean
  title?: string | undefined
  children: ReactNode
}

/** One of the few things in the head of every page; underlined where one is. */
export function PlaceTab({ to, isOpen, title, children }: PlaceTabProps) {
  return (
    <li>
      <Link to={to} aria-current={isOpen ? 'true' : undefined} title={title}>
        <chakra.span
          display="inline-flex"
          alignItems="baseline"
          gap="5px"
          px={{ base: '6px', md: '10px' }}
          lineHeight="40px"
          fontSize={{ base: '14px', md: '15px' }}
          fontWeight={isOpen ? 680 : 420}
          boxShadow={isOpen ? 'inset 0 -4px 0 var(--chakra-colors-mark)' : 'none'}
        >
          {children}
        </chakra.span>
      </Link>
    </li>
  )
}
