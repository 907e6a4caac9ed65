import { chakra, Flex } from '@chakra-ui/react'
import { useLocation } from 'react-router'
import { ownWords } from '../../languages/own'
import { PlaceTab } from './PlaceTab'

/** The head of a pupil's pages. */
export function OwnPlaces() {
  const { pathname } = useLocation()
  const say = ownWords()
  return (
    <chakra.nav aria-label={say.places} minW="0">
      <Flex as="ul" listStyleType="none" gap={{ base: '2px', md: '6px' }}>
        <PlaceTab to="/today" isOpen={pathname === '/today'}>
          {say.myDay}
        </PlaceTab>
        <PlaceTab to="/account" isOpen={pathname === '/account'}>
          {say.myAccount}
        </PlaceTab>
      </Flex>
    </chakra.nav>
  )
}
