import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { say } from '../../languages/en/staff/looks'
import { Button } from '../../shared/ui/Button'
import { TextField } from '../../shared/ui/Fields'
import { Key } from '../../shared/ui/Key'
import { EmptyNote } from '../../shared/ui/Notes'
import { Shutter, shutterWords } from '../../shared/ui/Shutter'
import { Strip } from '../../shared/ui/Strip'
import { VerdictMark } from '../../shared/ui/VerdictMark'
import { WhyChain } from '../../shared/ui/Why'

const COLOURS = [
  'paper',
  'sheet',
  'line',
  'lineStrong',
  'ink',
  'ink2',
  'ink3',
  'mark',
  'markSoft',
  'verdict.in',
  'verdict.inSoft',
  'verdict.wait',
  'verdict.waitSoft',
  'verdict.away',
  'verdict.awaySoft',
]

/** The whole visual language on one page, for those who build screens. No user is led here. */
export default function LooksScreen() {
  return (
    <Box as="main" maxW="960px" mx="auto" px="20px" py="20px">
      <chakra.h1 fontSize="27px">{say.theLook}</chakra.h1>
      <Part title={say.coloursByMeaning}>
        <Flex wrap="wrap" gap="8px">
          {COLOURS.map((colour) => (
            <Box key={colour} w="104px" fontSize="12px">
              <Box h="34px" bg={colour} border="1px solid" borderColor="lineStrong" />
              {colour}
            </Box>
          ))}
        </Flex>
      </Part>
      <Part title={say.shuttersHowFarARight}>
        <Flex wrap="wrap" gap="20px">
          {(['open', 'on-request', 'closed'] as const).flatMap((value) =>
            [false, true].map((bound) => (
              <span key={value + bound}>
                <Shutter value={value} bound={bound} size={20} /> {shutterWords(value, bound)}
              </span>
            )),
          )}
          <span>
            <Shutter value="open" loan="PASS" size={20} /> {shutterWords('open', false, 'PASS')}
          </span>
          <span>
            <Shutter value="closed" loan="CURB" size={20} /> {shutterWords('closed', false, 'CURB')}
          </span>
        </Flex>
      </Part>
      <Part title={say.verdicts}>
        <Flex gap="20px">
          <span>
            <VerdictMark verdict="in" /> {say.in}
          </span>
          <span>
            <VerdictMark verdict="wait" /> {say.waits}
          </span>
          <span>
            <VerdictMark verdict="away" /> {say.turnedAway}
          </span>
        </Flex>
      </Part>
      <Part title={say.presenceOverTime}>
        <Box position="relative" h="20px">
          <Strip
            stays={[
              { from: 12, until: 40 },
              { from: 44, until: 80 },
            ]}
            waits={[{ from: 5, until: 12 }]}
            from={0}
            until={100}
            now={80}
          />
        </Box>
      </Part>
      <Part title={say.buttonsKeysBoxes}>
        <Flex gap="10px" align="center" mb="10px">
          <Button look="main">{say.main}</Button>
          <Button>
            {say.plain} <Key>A</Key>
          </Button>
          <Button look="stop">{say.stopsSomething}</Button>
          <Button look="quiet">{say.aWordInALine}</Button>
          <Button disabled>{say.notNow}</Button>
        </Flex>
        <TextField label={say.aBox} hint={say.withAHint} defaultValue={say.whatWasTypedStays} />
        <EmptyNote>{say.nothingHereYet}</EmptyNote>
      </Part>
      <Part title={say.why}>
        <WhyChain
          why={{
            rule: 'chat.class',
            title: say.writeToTheWholeClass,
            value: 'closed',
            valueWords: 'closed',
            until: '',
            next: '',
            otherwise: [],
            changedBy: '',
            forPupils: '',
            reason: say.sideTalkInFront,
            chain: [
              { text: say.usualForAPupilOpen, value: 'open', effect: 'REPLACED', note: '' },
              { text: say.charterBindingByMarenOddlundClosed, value: 'closed', effect: 'DECIDES', note: '' },
              { text: say.classRulesByIlseBrandtOpen, value: 'open', effect: 'OVERRULED', note: '' },
            ],
          }}
        />
      </Part>
    </Box>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <chakra.section mt="18px" pt="8px" borderTop="3px double" borderColor="ink">
      <chakra.h2 fontSize="17px" mb="8px">
        {title}
      </chakra.h2>
      {children}
    </chakra.section>
  )
}
