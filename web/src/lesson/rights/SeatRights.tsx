import { Box, chakra, Flex } from '@chakra-ui/react'
import { useState } from 'react'
import type { SeatWords } from '../../languages/en/seat'
import { words } from '../../languages/language'
import { seatWords } from '../../languages/seat'
import type { Seat, SeatRight } from '../../shared/api/types'
import { countdown, useNow } from '../../shared/time'
import { Button } from '../../shared/ui/Button'
import { TextInput } from '../../shared/ui/Fields'
import { Shutter } from '../../shared/ui/Shutter'
import type { Act } from '../acts'
import type { Appliance } from './orders'

type Mine = NonNullable<Seat['mine']['rights']>

type Switch = { what: Appliance; isOn: (mine: Mine) => boolean; says: (say: SeatWords) => { on: string; off: string } }

/** What a right lets one switch on oneself. */
const SWITCHES: Record<string, Switch> = {
  'voice.speak': {
    what: 'MICROPHONE',
    isOn: (mine) => mine.microphone,
    says: (say) => ({ on: say.microphoneOn, off: say.muteMe }),
  },
  'voice.camera': {
    what: 'CAMERA',
    isOn: (mine) => mine.camera,
    says: (say) => ({ on: say.cameraOn, off: say.cameraOff }),
  },
  'share.screen': {
    what: 'SCREEN',
    isOn: (mine) => mine.screen && !mine.wholeScreen,
    says: (say) => ({ on: say.showScreen, off: say.stopShowing }),
  },
  'share.whole-screen': {
    what: 'WHOLE_SCREEN',
    isOn: (mine) => mine.wholeScreen,
    says: (say) => ({ on: say.showWholeScreen, off: say.stopShowing }),
  },
  'share.outside': {
    what: 'PASSING_ON',
    isOn: (mine) => mine.passingOn,
    says: (say) => ({ on: say.passOn, off: say.stopPassingOn }),
  },
}

/** What I may do now, why not, and until when: always in the same place, in the same order. */
export function Rights({ seat, act, onWhy }: { seat: Seat; act: (act: Act) => void; onWhy: (rule: string) => void }) {
  return (
    <>
      <chakra.h2 fontSize="17px" px="18px" pb="6px">
        {seatWords().whatYouMay}
      </chakra.h2>
      <Box aria-live="polite">
        {seat.rights.rights.map((right) => (
          <Right key={right.rule} right={right} seat={seat} act={act} onWhy={() => onWhy(right.rule)} />
        ))}
      </Box>
    </>
  )
}

function Right({ right, seat, act, onWhy }: { right: SeatRight; seat: Seat; act: (act: Act) => void; onWhy: () => void }) {
  const now = useNow()
  const say = seatWords()
  const own = SWITCHES[right.rule]
  const isOn = !!seat.mine.rights && !!own?.isOn(seat.mine.rights)
  return (
    <Flex
      gap="12px"
      px="18px"
      py="8px"
      borderTop="1px solid"
      borderColor="line"
      bg={right.loan === 'PASS' ? 'verdict.inSoft' : right.loan === 'CURB' ? 'verdict.awaySoft' : 'transparent'}
    >
      <Box pt="2px">
        <Shutter value={right.value} bound={right.bound} loan={right.loan} size={18} />
      </Box>
      <Box flex="1">
        <chakra.strong fontFamily="heading" fontSize="16.5px" fontWeight="650">
          {right.title}
        </chakra.strong>
        <chakra.span srOnly>: {stands(right)}</chakra.span>
        {right.until && (
          <chakra.span fontFamily="mono" fontSize="15px" ms="8px">
            {countdown(Date.parse(right.until) - now)}
          </chakra.span>
        )}
        <chakra.span fontSize="14px" color="ink2" display="block">
          {right.line} ·{' '}
          <Button look="quiet" fontSize="14px" onClick={onWhy} aria-label={words().whyOf(right.title)}>
            {say.why}
          </Button>
        </chakra.span>
        {own && (right.value === 'open' || isOn) && (
          <Button
            mt="4px"
            aria-pressed={isOn}
            look={isOn ? 'main' : 'plain'}
            onClick={() => act({ do: isOn ? 'off' : 'on', what: own.what })}
          >
            {own.says(say)[isOn ? 'off' : 'on']}
          </Button>
        )}
        {right.rule === 'voice.camera' && isOn && <Behind seat={seat} act={act} />}
        {right.rule === 'names.rename' && right.value === 'open' && <Rename act={act} />}
      </Box>
    </Flex>
  )
}

/** How a right stands, for who does not see its sign. */
function stands({ value, bound, loan }: SeatRight): string {
  const say = seatWords()
  const lent = loan === 'PASS' ? say.byAPass : loan === 'CURB' ? say.byACurb : ''
  return (say.values[value] ?? value) + lent + (bound ? say.binding : '')
}

/** What is behind oneself: plain for the asking, a picture where the rules let it. */
function Behind({ seat, act }: { seat: Seat; act: (act: Act) => void }) {
  const on = !!seat.mine.rights?.background
  const say = seatWords()
  return (
    <Button
      mt="4px"
      ms="6px"
      aria-pressed={on}
      onClick={() => act({ do: on ? 'off' : 'on', what: 'BACKGROUND' })}
      title={say.plainWhy}
    >
      {on ? say.plainBackground : say.pictureBehind}
    </Button>
  )
}

function Rename({ act }: { act: (act: Act) => void }) {
  const [name, setName] = useState('')
  const say = seatWords()
  return (
    <chakra.form
      display="flex"
      gap="6px"
      mt="4px"
      onSubmit={(event) => {
        event.preventDefault()
        act({ do: 'rename', name })
        setName('')
      }}
    >
      <TextInput
        aria-label={say.nameToSee}
        maxLength={80}
        value={name}
        onChange={(event) => setName(event.target.value)}
        required
      />
      <Button type="submit">{say.changeIt}</Button>
    </chakra.form>
  )
}
