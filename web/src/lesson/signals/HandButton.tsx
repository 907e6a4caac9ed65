import { chakra } from '@chakra-ui/react'
import { useEffect } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Key } from '../../shared/ui/Key'

interface HandButtonProps {
  seat: Seat
  onRaise: () => void
  onLower: () => void
}

/** The one main thing a pupil can do: ask to be heard. The only saffron on the page. */
export function HandButton({ seat, onRaise, onLower }: HandButtonProps) {
  const up = !!seat.mine.signals?.handSince
  const say = seatWords()
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const typing = (event.target as HTMLElement).closest('input, textarea, select')
      if (event.key.toLowerCase() === 'h' && !typing && !event.ctrlKey && !event.metaKey) (up ? onLower : onRaise)()
    }
    window.addEventListener('keydown', press)
    return () => window.removeEventListener('keydown', press)
  })
  const before = say.handsBefore(seat.mine.signals?.handsBefore ?? 0)
  return (
    <chakra.button
      type="button"
      aria-pressed={up}
      onClick={up ? onLower : onRaise}
      display="flex"
      gap="14px"
      alignItems="center"
      textAlign="start"
      w="calc(100% - 32px)"
      mx="16px"
      mb="14px"
      px="16px"
      py="13px"
      bg="mark"
      color="onMark"
      border="1.5px solid"
      borderColor="onMark"
      boxShadow={up ? 'inset 0 0 0 3px var(--chakra-colors-on-mark)' : 'none'}
      cursor="pointer"
    >
      <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden>
        <path
          d="M8 27V13M8 13V6M13 14V3M18 14V4M23 15V7M8 27h15V15"
          fill="none"
          stroke="currentColor"
          strokeWidth="3"
          strokeLinecap="round"
        />
      </svg>
      <span>
        <chakra.strong fontFamily="heading" fontSize="21px" display="block" lineHeight="1.2">
          {up ? say.handIsUp : say.handUp}
        </chakra.strong>
        <chakra.span fontSize="14px">
          {up ? say.pressToLower(before) : say.toSpeakOrAsk} <Key>H</Key>
        </chakra.span>
      </span>
    </chakra.button>
  )
}
