import { useMutation } from '@tanstack/react-query'
import { post, put, remove } from '../../shared/api/http'
import type { Desk } from '../../shared/api/types'
import { fileForm } from '../../shared/ui/SentFile'

/** What a teacher can order from the desk. The desk itself changes when the stream says so. */
export type Order =
  | { do: 'open' | 'join' | 'leave' | 'admit-all-listed' | 'dismiss' }
  | { do: 'admit'; visit: string; as: string | null }
  | { do: 'admit-guest'; visit: string; name: string; note: string }
  | { do: 'turn-away'; visit: string }
  | { do: 'mute-all'; keepMuted: boolean }
  | { do: 'undo-mute-all' }
  | { do: 'turn-off'; person: string; what: 'MICROPHONE' | 'CAMERA' | 'SCREEN' }
  | { do: 'lower-hand'; person: string }
  | { do: 'set'; rule: string; value: string }
  | { do: 'pass' | 'curb'; person: string; rule: string; minutes: number }
  | { do: 'end-loan'; person: string; rule: string }
  | { do: 'remove'; person: string; why: string }
  | { do: 'allow-back' | 'last-word'; person: string }
  | { do: 'stance'; stance: string; keepLive: boolean }
  | { do: 'stop'; why: string }
  | { do: 'resume' | 'take-charge' | 'clear-signs' }
  | { do: 'hand-out'; title: string; body: string }
  | { do: 'take-back'; number: number }
  | { do: 'focus'; person: string | null }
  | { do: 'light'; on: boolean }
  | { do: 'caption'; text: string }
  | { do: 'show' | 'stop-showing' }
  | { do: 'let-through' | 'keep-back'; number: number }
  | { do: 'wipe'; of: string | null }
  | { do: 'running-order'; steps: { stance: string; minutes: number }[]; byTheClock: boolean }
  | { do: 'file'; to: 'CLASS' | 'ONE'; person: string | null; file: File }
  | { do: 'say'; to: 'CLASS' | 'ADULTS' | 'ONE'; person: string | null; text: string }

function send(lesson: string, order: Order): Promise<unknown> {
  const at = `/api/lessons/${encodeURIComponent(lesson)}`
  switch (order.do) {
    case 'admit':
      return post(`${at}/visits/${order.visit}/admit`, { as: order.as })
    case 'admit-guest':
      return post(`${at}/visits/${order.visit}/admit-guest`, { name: order.name, note: order.note })
    case 'undo-mute-all':
      return post(`${at}/mute-all/undo`)
    case 'turn-away':
      return post(`${at}/visits/${order.visit}/turn-away`)
    case 'mute-all':
      return post(`${at}/mute-all`, { keepMuted: order.keepMuted })
    case 'turn-off':
      return post(`${at}/people/${order.person}/off/${order.what}`)
    case 'lower-hand':
      return post(`${at}/people/${order.person}/lower-hand`)
    case 'set':
      return put(`${at}/live-setting`, { rule: order.rule, value: order.value })
    case 'pass':
    case 'curb':
      return post(`${at}/${order.do === 'pass' ? 'passes' : 'curbs'}`, {
        person: order.person,
        rule: order.rule,
        minutes: order.minutes,
      })
    case 'end-loan':
      return remove(`${at}/people/${order.person}/loans/${order.rule}`)
    case 'remove':
      return post(`${at}/people/${order.person}/remove`, { why: order.why })
    case 'allow-back':
    case 'last-word':
      return post(`${at}/people/${order.person}/${order.do}`)
    case 'say':
      return post(`${at}/words`, { to: order.to, person: order.person, text: order.text })
    case 'file':
      return post(`${at}/files`, fileForm(order.file, order.to, order.person))
    case 'stance':
      return post(`${at}/stance`, { stance: order.stance, keepLive: order.keepLive })
    case 'stop':
      return post(`${at}/stop`, { why: order.why })
    case 'clear-signs':
      return post(`${at}/signs/clear`)
    case 'hand-out':
      return post(`${at}/materials`, { title: order.title, body: order.body })
    case 'take-back':
      return remove(`${at}/materials/${order.number}`)
    case 'focus':
      return put(`${at}/focus`, { person: order.person })
    case 'light':
      return put(`${at}/light`, { on: order.on })
    case 'caption':
      return post(`${at}/captions`, { text: order.text })
    case 'show':
      return post(`${at}/own/SCREEN`)
    case 'stop-showing':
      return remove(`${at}/own/SCREEN`)
    case 'let-through':
    case 'keep-back':
      return post(`${at}/held/${order.number}/${order.do}`)
    case 'wipe':
      return remove(`${at}/board${order.of ? `?of=${encodeURIComponent(order.of)}` : ''}`)
    case 'running-order':
      return put(`${at}/running-order`, { steps: order.steps, byTheClock: order.byTheClock })
    default:
      return post(`${at}/${order.do}`)
  }
}

/** Gives orders to one lesson. */
export function useOrders(lesson: string) {
  return useMutation({ mutationFn: (order: Order) => send(lesson, order) })
}

export type Give = (order: Order) => void

/** Whether the asking person may give orders: an adult who is in, or a safeguarding lead from anywhere. */
export function mayOrder(desk: Desk): boolean {
  return desk.steering.overseeing || (desk.iAmIn && !desk.steering.observing)
}
