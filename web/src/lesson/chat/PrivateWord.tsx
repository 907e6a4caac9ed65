import { useState } from 'react'
import { seatWords } from '../../languages/seat'
import type { Seat } from '../../shared/api/types'
import { Button } from '../../shared/ui/Button'
import { SentFile } from '../../shared/ui/SentFile'
import { ToYou } from '../ToYou'

/** Older ones stand among the words only: a page that is opened again does not bring the whole lesson back. */
const FRESH_MS = 10 * 60_000

/** A word to one alone arrives where it is seen at once, also on a phone on which the words are further down. */
export function PrivateWordToMe({ seat, visit, now }: { seat: Seat; visit: string; now: number }) {
  const [read, setRead] = useState(0)
  const say = seatWords()
  const unread = seat.words.filter(
    (one) => one.to === 'ONE' && !one.mine && one.number > read && now - Date.parse(one.at) < FRESH_MS,
  )
  const latest = unread.at(-1)
  if (!latest) return null
  return (
    <ToYou label={say.toYouAlone} acts={<Button onClick={() => setRead(latest.number)}>{say.haveRead}</Button>}>
      {unread.map((one) => (
        <p key={one.number}>
          <strong>{one.from}</strong> {say.aloneToYou}{' '}
          <SentFile text={one.text} file={one.file} href={`/api/seats/${encodeURIComponent(visit)}/files/${one.number}`} />
        </p>
      ))}
    </ToYou>
  )
}
