import { useMutation } from '@tanstack/react-query'
import { post, put, remove } from '../../shared/api/http'
import type { Desk } from '../../shared/api/types'

/** What a teacher can order from the desk. The desk itself changes when the stream says so. */
export type Order =
  | { do: 'open' | 'join' | 'leave' | 'admit-all-listed' | 'dismiss' }
  | { do: 'admit'; visit: string; as: string | null }
  | { do: 'turn-away'; visit: string }
  | { do: 'mute-all'; keepMuted: boolean }
  | { do: 'turn-off'; person: string; what: 'MICROPHONE' | 'CAMERA' | 'SCREEN' }
  | { do: 'lower-hand'; person: string }
  | { do: 'set'; rule: string; value: string }
  | { do: 'pass' | 'curb'; person: string; rule: string; minutes: number }
  | { do: 'end-loan'; person: string; rule: string }
  | { do: 'remove'; person: string; why: string }
  | { do: 'allow-back'; person: string }
  | { do: 'say'; to: 'CLASS' | 'ADULTS' | 'ONE'; person: string | null; text: string }

function send(lesson: string, order: Order): Promise<Desk> {
  const at = `/api/lessons/${encodeURIComponent(lesson)}`
  switch (order.do) {
    case 'admit':
      return post(`${at}/visits/${order.visit}/admit`, { as: order.as })
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
      return post(`${at}/people/${order.person}/allow-back`)
    case 'say':
      return post(`${at}/words`, { to: order.to, person: order.person, text: order.text })
    default:
      return post(`${at}/${order.do}`)
  }
}

/** Gives orders to one lesson. */
export function useOrders(lesson: string) {
  return useMutation({ mutationFn: (order: Order) => send(lesson, order) })
}

export type Give = (order: Order) => void
