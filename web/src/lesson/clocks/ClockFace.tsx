import { chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { ClockShown } from '../../shared/api/types'
import { countdown } from '../../shared/time'

/** How long it has run, or how long is left. */
export function shownMs({ seconds, ranMs, running, over }: ClockShown, now: number): number {
  if (over) return 0
  const ran = ranMs + (running ? Math.max(0, now - Date.parse(running)) : 0)
  return seconds === undefined ? ran : Math.max(0, seconds * 1000 - ran)
}

/** The time in large figures, and its end called out and, where it was chosen, heard softly. */
export function ClockFace({ clock, now, size = '22px' }: { clock: ClockShown; now: number; size?: string }) {
  useEndTone(clock)
  return (
    <>
      <chakra.span fontFamily="mono" fontSize={size} fontWeight="600" aria-hidden>
        {countdown(shownMs(clock, now))}
      </chakra.span>
      <chakra.span srOnly role="status">
        {said(clock, now)}
      </chakra.span>
    </>
  )
}

/** Told only when a minute is full: each second would drown everything else. */
function said(clock: ClockShown, now: number): string {
  const say = seatWords()
  if (clock.over) return clock.task ? say.timeIsUpFor(clock.task) : say.timeIsUp
  if (!clock.running) return say.clockPaused
  const minutes = Math.ceil(shownMs(clock, now) / 60_000)
  return clock.seconds === undefined ? say.stopwatch : say.lessThan(minutes)
}

function useEndTone({ number, over, tone }: ClockShown) {
  const [begun] = useState({ over })
  const rung = useRef(begun.over ? number : 0)
  useEffect(() => {
    if (!over || !tone || rung.current === number) return
    rung.current = number
    soft()
  }, [number, over, tone])
}

/** One long soft tone, made here. */
function soft() {
  if (!('AudioContext' in window)) return
  const audio = new AudioContext()
  const loudness = audio.createGain()
  const tone = audio.createOscillator()
  tone.frequency.value = 528
  tone.connect(loudness)
  loudness.connect(audio.destination)
  loudness.gain.setValueAtTime(0.0001, audio.currentTime)
  loudness.gain.linearRampToValueAtTime(0.06, audio.currentTime + 0.25)
  loudness.gain.exponentialRampToValueAtTime(0.0001, audio.currentTime + 1.4)
  tone.start()
  tone.stop(audio.currentTime + 1.4)
  tone.onended = () => void audio.close()
}
