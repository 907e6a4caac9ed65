import { Box, chakra, Flex } from '@chakra-ui/react'
import { useQuery } from '@tanstack/react-query'
import { Link, useLocation } from 'react-router'
import { say as staffSays } from '../../languages/en/staff/shared'
import type { Me } from '../api/types'
import { DUTIES, waitingIn, workingDay } from '../day/day'
import { PlaceTab } from './PlaceTab'
import { placeOf, placesOf } from './places'

/** The head of the staff's pages: five parts of the working day with what waits in each, and below them the places of this one. */
export default function Places({ me, demo }: { me: Me; demo: boolean }) {
  const { pathname } = useLocation()
  const { data: day } = useQuery(workingDay)
  const now = placeOf(pathname)
  const mine = placesOf(me, demo)
  const open = mine.find((one) => one.chapter === now?.chapter)
  const live = day?.next?.nearness === 'LIVE' ? day.next : undefined
  return (
    <chakra.nav aria-label={staffSays.places} minW="0">
      <Flex as="ul" listStyleType="none" gap={{ base: '2px', md: '6px' }} align="stretch">
        {mine.map(({ chapter, name, places }) => {
          const { count, say } = waitingIn(day, chapter)
          return (
            <PlaceTab key={chapter} to={places[0]?.to ?? '/today'} isOpen={chapter === open?.chapter} title={say || undefined}>
              {name}
              {count > 0 && (
                <chakra.span fontFamily="mono" fontSize="12px" fontWeight="650" borderBottom="1.5px solid" lineHeight="1.15">
                  {count}
                  <chakra.span srOnly> {staffSays.toDo(say)}</chakra.span>
                </chakra.span>
              )}
            </PlaceTab>
          )
        })}
      </Flex>
      {open && (
        <Flex
          as="ul"
          listStyleType="none"
          position={{ md: 'absolute' }}
          left="0"
          right="0"
          top="43px"
          px={{ base: '0', md: '18px' }}
          minH="28px"
          align="center"
          columnGap="0"
          flexWrap="wrap"
          fontSize="13px"
          borderTop="1px solid"
          borderColor="line"
        >
          {open.places.map((place) => {
            const waits = day?.waiting.filter((one) => DUTIES[one.duty].to === place.to) ?? []
            const count = waits.reduce((sum, one) => sum + one.count, 0)
            const isHere = place === now?.place
            return (
              <Box as="li" key={place.to} borderInlineEnd="1px solid" borderColor="line" lineHeight="16px">
                <Link to={place.to} aria-current={isHere ? 'page' : undefined}>
                  <chakra.span
                    display="inline-block"
                    py="6px"
                    px={{ base: '8px', md: '12px' }}
                    color={isHere ? 'ink' : 'ink2'}
                    fontWeight={isHere ? 650 : 400}
                  >
                    {place.name}
                    {count > 0 && (
                      <chakra.span fontFamily="mono" fontSize="11.5px">
                        {' '}
                        {count}
                      </chakra.span>
                    )}
                  </chakra.span>
                </Link>
              </Box>
            )
          })}
          {live && (
            <Box as="li" ms={{ md: 'auto' }} lineHeight="16px">
              <Link to={`/lessons/${live.id}/desk`}>
                <chakra.span display="inline-block" py="4px" px="9px" bg="mark" color="onMark" fontWeight="600">
                  {staffSays.isLiveToTheDesk(live.title)}
                </chakra.span>
              </Link>
            </Box>
          )}
        </Flex>
      )}
    </chakra.nav>
  )
}
