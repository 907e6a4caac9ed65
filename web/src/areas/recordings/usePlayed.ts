import { useEffect, useRef, useState } from 'react'
import { post } from '../../shared/api/http'

interface Piece {
  fromMs: number
  untilMs: number
}

/** How often the player tells what it has played. */
const TELL_MS = 10_000

/** A step of the clock longer than this is a jump, and what was jumped over was not played. */
const STEP_MS = 1500

/** Takes steps of the player's clock together to pieces that were played without a jump. */
export function joined(pieces: Piece[], from: number, until: number, rate: number): Piece[] {
  if (until <= from || until - from > STEP_MS * Math.max(1, rate)) return pieces
  const last = pieces.at(-1)
  return last && from - last.untilMs >= 0 && from - last.untilMs < 50
    ? [...pieces.slice(0, -1), { fromMs: last.fromMs, untilMs: until }]
    : [...pieces, { fromMs: from, untilMs: until }]
}

/** Follows a player and tells the server what of it was played; skipped parts are not told. */
export function usePlayed(id: string, audio: HTMLAudioElement | null) {
  const pieces = useRef<Piece[]>([])
  const [percent, setPercent] = useState<number>()
  useEffect(() => {
    if (!audio) return
    let last = audio.currentTime * 1000
    const tell = () => {
      const told = pieces.current
      pieces.current = []
      if (told.length === 0) return
      post<{ percent: number }>(`/api/recordings/${encodeURIComponent(id)}/watched`, { pieces: told.slice(0, 100) }).then(
        (so) => setPercent(so.percent),
        // Without a line nothing is told; what was played is told with the next report.
        () => (pieces.current = [...told, ...pieces.current]),
      )
    }
    const step = () => {
      const now = Math.round(audio.currentTime * 1000)
      if (!audio.paused || audio.ended) pieces.current = joined(pieces.current, last, now, audio.playbackRate)
      last = now
    }
    const stop = () => {
      step()
      tell()
    }
    const jump = () => {
      last = Math.round(audio.currentTime * 1000)
    }
    audio.addEventListener('timeupdate', step)
    audio.addEventListener('seeking', jump)
    audio.addEventListener('pause', stop)
    audio.addEventListener('ended', stop)
    const timer = setInterval(tell, TELL_MS)
    return () => {
      audio.removeEventListener('timeupdate', step)
      audio.removeEventListener('seeking', jump)
      audio.removeEventListener('pause', stop)
      audio.removeEventListener('ended', stop)
      clearInterval(timer)
      tell()
    }
  }, [id, audio])
  return percent
}
