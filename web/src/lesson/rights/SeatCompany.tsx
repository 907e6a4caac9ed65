import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { PassedOn } from './PassedOn'

type Person = Seat['company']['people'][number]

/** Who is here too, as far as one may see it: names, cameras, both or neither. */
export function AtSeat({ seat }: { seat: Seat }) {
  const people = others(seat)
  const cameras = people.filter((one) => one.camera)
  const names = people.filter((one) => one.name)
  const [all, setAll] = useState(false)
  const say = seatWords()
  if (people.length === 0) return null
  return (
    <Box as="section" aria-label={say.whoIsHere} px="18px" pb="12px">
      <Flex align="baseline" gap="10px" mb="6px">
        <chakra.h2 fontSize="17px">{names.length > 0 ? say.hereWithYou(names.length) : say.cameras}</chakra.h2>
        {names.length > 0 && (
          <Button look="quiet" fontSize="14px" aria-expanded={all} onClick={() => setAll(!all)}>
            {all ? say.fewer : say.who}
          </Button>
        )}
      </Flex>
      {all && (
        <chakra.p fontSize="14.5px" mb="6px">
          {names.map((one) => one.name).join(', ')}
        </chakra.p>
      )}
      {cameras.length > 0 && (
        <Flex wrap="wrap" gap="6px" maxH="190px" overflowY="auto">
          {cameras.map((one, place) => (
            <Camera key={one.name || place} person={one} />
          ))}
        </Flex>
      )}
    </Box>
  )
}

/** All who see alike are told alike, oneself among them: here one is left out, by name, or by what is on where there are no names. */
function others({ company, mine }: Seat): Person[] {
  const { camera = false, background = false } = mine.rights ?? {}
  const me = company.people.findIndex((one) => (one.name ? one.name === mine.door.name : camera && one.background === background))
  return company.people.filter((_, place) => place !== me)
}

/** The picture of a camera, which ships as a stand-in: a shape before what is behind it. */
function Camera({ person }: { person: Person }) {
  const first = person.name.split(' ')[0]
  return (
    <chakra.figure w="84px" m="0" border="1px solid" borderColor="lineStrong" bg="paper">
      <chakra.svg viewBox="0 0 84 48" w="100%" display="block" color="ink2" aria-hidden>
        {person.background && <path d="M0 34 L18 16 L32 30 L52 10 L84 36 V48 H0 Z" fill="currentColor" opacity="0.18" />}
        <circle cx="42" cy="19" r="9" fill="none" stroke="currentColor" strokeWidth="1.6" />
        <path d="M24 48 C24 34 60 34 60 48" fill="none" stroke="currentColor" strokeWidth="1.6" />
      </chakra.svg>
      <chakra.figcaption fontSize="12px" px="4px" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
        {first || seatWords().camera}
      </chakra.figcaption>
    </chakra.figure>
  )
}

/** That people outside watch must not be overlooked. */
export function Banner({ seat }: { seat: Seat }) {
  return seat.company.passedOn.length > 0 ? <PassedOn by={seat.company.passedOn} /> : null
}
