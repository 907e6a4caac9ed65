import { words } from '../../languages/language'

/** What the server says when it says no: what happened, what is as it was, what to do. */
export interface ProblemBody {
  type: string
  title: string
  status: number
  detail: string
  whatToDo: string
  wrong: { field: string; message: string }[]
}

export class Problem extends Error {
  constructor(readonly body: ProblemBody) {
    super(body.title)
  }
}

export const noLine = (): ProblemBody => ({
  type: '/problems/no-line',
  title: words().noLine,
  status: 0,
  detail: words().noLineDetail,
  whatToDo: words().noLineToDo,
  wrong: [],
})

export const get = <T>(path: string) => send<T>('GET', path)
export const post = <T>(path: string, body: unknown = {}) => send<T>('POST', path, body)
export const put = <T>(path: string, body: unknown = {}) => send<T>('PUT', path, body)

/** What is edited as a whole, and the tag by which the server knows which state of it was shown. */
const tags = new Map<string, string>()

/** For a query of something that is edited: it is not read anew under the hands of whoever edits it. */
export const EDITED = { refetchOnWindowFocus: false, refetchOnReconnect: false } as const

/**
 * Changes something that is edited as a whole, only if it is still as it was shown; else the server says that somebody else was
 * quicker. @param edited where it was read, if that is another path
 */
export const edit = <T>(path: string, body: unknown, edited = path) => send<T>('PUT', path, body, edited)

export const remove = <T>(path: string) => send<T>('DELETE', path)

async function send<T>(method: string, path: string, body?: unknown, edited = ''): Promise<T> {
  const headers: Record<string, string> = {
    Accept: 'application/json',
    'X-XSRF-TOKEN': csrfToken(),
  }
  // A form says its own type; a file goes as it is.
  const isWhole = body instanceof FormData || body instanceof Blob
  if (body instanceof Blob) headers['Content-Type'] = 'application/octet-stream'
  else if (body !== undefined && !isWhole) headers['Content-Type'] = 'application/json'
  const tag = tags.get(edited)
  if (tag) headers['If-Match'] = tag
  let answer: Response
  try {
    answer = await fetch(path, { method, headers, body: isWhole ? body : JSON.stringify(body) })
  } catch {
    throw new Problem(noLine())
  }
  const text = await answer.text()
  if (!answer.ok) throw new Problem(problemIn(text, answer.status))
  const next = answer.headers.get('ETag')
  if (next) tags.set(edited || path, next)
  return (text ? JSON.parse(text) : undefined) as T
}

export function problemIn(text: string, status: number): ProblemBody {
  try {
    return { ...noLine(), ...(JSON.parse(text) as ProblemBody) }
  } catch {
    return { ...noLine(), title: words().didNotWork, status }
  }
}

/** The server sets it as a cookie with the first answer and wants it back with every change. */
export function csrfToken(): string {
  return /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? ''
}
