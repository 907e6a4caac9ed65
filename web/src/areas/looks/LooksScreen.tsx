import { Box, chakra, Flex } from '@chakra-ui/react'
import type { ReactNode } from 'react'
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
      <chakra.h1 fontSize="27px">The look</chakra.h1>
      <Part title="Colours by meaning">
        <Flex wrap="wrap" gap="8px">
          {COLOURS.map((colour) => (
            <Box key={colour} w="104px" fontSize="12px">
              <Box h="34px" bg={colour} border="1px solid" borderColor="lineStrong" />
              {colour}
            </Box>
          ))}
        </Flex>
      </Part>
      <Part title="Shutters: how far a right is closed">
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
      <Part title="Verdicts">
        <Flex gap="20px">
          <span>
            <VerdictMark verdict="in" /> in
          </span>
          <span>
            <VerdictMark verdict="wait" /> waits
          </span>
          <span>
            <VerdictMark verdict="away" /> turned away
          </span>
        </Flex>
      </Part>
      <Part title="Presence over time">
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
      <Part title="Buttons, keys, boxes">
        <Flex gap="10px" align="center" mb="10px">
          <Button look="main">Main</Button>
          <Button>
            Plain <Key>A</Key>
          </Button>
          <Button look="stop">Stops something</Button>
          <Button look="quiet">a word in a line</Button>
          <Button disabled>Not now</Button>
        </Flex>
        <TextField label="A box" hint="With a hint" defaultValue="What was typed stays" />
        <EmptyNote>Nothing here yet, and what comes next.</EmptyNote>
      </Part>
      <Part title="Why">
        <WhyChain
          why={{
            rule: 'chat.class',
            title: 'Write to the whole class',
            value: 'closed',
            valueWords: 'closed',
            until: '',
            next: '',
            otherwise: [],
            changedBy: '',
            forPupils: '',
            reason: 'Side talk in front of all is where most disruption begins.',
            chain: [
              { text: 'Usual for a pupil: open', value: 'open', effect: 'REPLACED', note: '' },
              { text: 'Charter, binding, by Maren Oddlund: closed', value: 'closed', effect: 'DECIDES', note: '' },
              { text: 'Class rules, by Ilse Brandt: open', value: 'open', effect: 'OVERRULED', note: '' },
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
