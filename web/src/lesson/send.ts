import createClient, { type Middleware } from 'openapi-fetch'
import { csrfToken, noLine, Problem, problemIn } from '../shared/api/http'
import type { paths } from '../shared/api/generated/schema'

/** Orders by the server's own description: a path, a field or a value that it does not know does not compile. */
export const client = createClient<paths>({ baseUrl: window.location.origin, fetch: (request) => fetch(request) })

const token: Middleware = {
  onRequest({ request }) {
    request.headers.set('Accept', 'application/json')
    request.headers.set('X-XSRF-TOKEN', csrfToken())
    return request
  },
  async onResponse({ response }) {
    if (!response.ok) throw new Problem(problemIn(await response.text(), response.status))
    return response
  },
  onError({ error }) {
    return error instanceof Problem ? error : new Problem(noLine())
  },
}
client.use(token)

/** What every order of a part is: to a lesson or a seat, with its own fields. */
export type Sends = Record<string, (to: string, order: never) => Promise<unknown>>

/** All orders of a part, told apart by what they do. */
export type OrderOf<S extends Sends> = {
  [K in keyof S]: S[K] extends (to: string, order: infer O) => unknown ? { do: K } & (unknown extends O ? object : O) : never
}[keyof S]

/** Gives one order to where it belongs. @param parts the orders of each part */
export function sender<O extends { do: string }>(parts: Sends[]) {
  const sends = Object.assign({}, ...parts) as Record<string, (to: string, order: O) => Promise<unknown>>
  return (to: string, order: O): Promise<unknown> => {
    const send = sends[order.do]
    if (!send) throw new Error(`No part knows how to ${order.do}`)
    return send(to, order)
  }
}
