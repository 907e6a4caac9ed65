import { useEffect, useRef, useState } from 'react'

const CHOICE = 'juricast.arrival-sound'
const SOFT = 0.05

/** Whether the desk sounds when somebody knocks: each adult's own choice, kept in the own browser. */
export function useArrivalSound(waiting: { visit: string }[]): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => localStorage.getItem(CHOICE) === 'on')
  const heard = useRef<Set<string> | null>(null)
  useEffect(() => {
    const before = heard.current
    const fresh = before !== null && waiting.some((one) => !before.has(one.visit))
    heard.current = new Set(waiting.map((one) => one.visit))
    if (fresh && on) ring()
  }, [waiting, on])
  const choose = (wanted: boolean) => {
    localStorage.setItem(CHOICE, wanted ? 'on' : 'off')
    setOn(wanted)
    // Heard once when it is chosen, so that one knows how quiet it is.
    if (wanted) ring()
  }
  return [on, choose]
}

/** Two soft tones, made here: a lesson is going on, and there may be no line to fetch a sound over. */
function ring() {
  if (!('AudioContext' in window)) return
  const audio = new AudioContext()
  const loudness = audio.createGain()
  loudness.connect(audio.destination)
  for (const [pitch, after] of [
    [660, 0],
    [880, 0.16],
  ] as const) {
    const tone = audio.createOscillator()
    tone.frequency.value = pitch
    tone.connect(loudness)
    tone.start(audio.currentTime + after)
    tone.stop(audio.currentTime + after + 0.14)
    tone.onended = () => after > 0 && void audio.close()
  }
  loudness.gain.setValueAtTime(SOFT, audio.currentTime)
  loudness.gain.exponentialRampToValueAtTime(0.0001, audio.currentTime + 0.34)
}
