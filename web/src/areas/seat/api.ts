import { useMutation } from '@tanstack/react-query'
import { post, put, remove } from '../../shared/api/http'
import { fileForm } from '../../shared/ui/SentFile'
import type { Seat } from '../../shared/api/types'

export type Sign = NonNullable<Seat['sign']>

/** What a pupil can do at the own seat. */
export type Act =
  | { do: 'on' | 'off'; what: 'MICROPHONE' | 'CAMERA' | 'SCREEN' }
  | { do: 'raise-hand' | 'lower-hand' | 'leave' }
  | { do: 'say'; to: 'CLASS' | 'ADULTS' | 'ONE'; person: string | null; text: string }
  | { do: 'file'; to: 'CLASS' | 'ADULTS' | 'ONE'; person: string | null; file: File }
  | { do: 'rename'; name: string }
  | { do: 'sign'; sign: Sign | null }
  | { do: 'let-in'; arrival: string }
  | { do: 'call-on' | 'lower'; person: string }
  | { do: 'pause-chat'; paused: boolean }

function send(visit: string, act: Act): Promise<unknown> {
  const at = `/api/seats/${encodeURIComponent(visit)}`
  switch (act.do) {
    case 'on':
    case 'off':
      return post(`${at}/${act.do}/${act.what}`)
    case 'raise-hand':
      return put(`${at}/hand`)
    case 'lower-hand':
      return remove(`${at}/hand`)
    case 'say':
      return post(`${at}/words`, { to: act.to, person: act.person, text: act.text })
    case 'file':
      return post(`${at}/files`, fileForm(act.file, act.to, act.person))
    case 'rename':
      return put(`${at}/name`, { name: act.name })
    case 'sign':
      return act.sign ? put(`${at}/sign/${act.sign}`) : remove(`${at}/sign`)
    case 'let-in':
      return post(`${at}/help/door/${encodeURIComponent(act.arrival)}`)
    case 'call-on':
      return post(`${at}/help/hands/${encodeURIComponent(act.person)}`)
    case 'lower':
      return remove(`${at}/help/hands/${encodeURIComponent(act.person)}`)
    case 'pause-chat':
      return put(`${at}/help/chat`, { paused: act.paused })
    case 'leave':
      return post(`${at}/leave`)
  }
}

export function useActs(visit: string) {
  return useMutation({ mutationFn: (act: Act) => send(visit, act) })
}
