import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, configure, render } from '@testing-library/react'
import type { ReactNode } from 'react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach, vi } from 'vitest'
import { SchoolZone } from './time'
import { Look } from './theme/Look'

// On a busy machine an answer may take its time; what should appear is waited for, not raced.
configure({ asyncUtilTimeout: 20_000 })

// jsdom has no layout; what asks for it gets a still answer.
window.matchMedia ??= ((query: string) => ({
  matches: false,
  media: query,
  addEventListener() {},
  removeEventListener() {},
})) as never
Element.prototype.scrollIntoView ??= () => {}
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
} as never

// A pointer is a mouse with a number.
globalThis.PointerEvent ??= class extends MouseEvent {} as never

// Files share a window, which saves half of the time: each test leaves it as it was.
afterEach(() => {
  cleanup()
  document.body.replaceChildren()
  localStorage.clear()
  sessionStorage.clear()
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

/** A request as the stand-in server saw it. */
export interface Asked {
  method: string
  path: string
  body: unknown
}

type Answer = unknown | { problem: Record<string, unknown> }

/** Answers requests by "METHOD path"; what is not listed is a fault of the test. Returns what was asked. */
export function serve(answers: Record<string, Answer>): Asked[] {
  const asked: Asked[] = []
  vi.stubGlobal('fetch', async (to: string | Request, init?: { method: string; body?: string | FormData }) => {
    const { method, path, body } = to instanceof Request ? await asSent(to) : { path: to, method: 'GET', body: '', ...init }
    asked.push({ method, path, body: typeof body === 'string' && body ? JSON.parse(body) : body || undefined })
    const answer = answers[`${method} ${path}`]
    if (answer === undefined) throw new Error(`Nobody answers ${method} ${path}`)
    const problem = (answer as { problem?: { status: number } }).problem
    return new Response(JSON.stringify(problem ?? answer), { status: problem?.status ?? 200 })
  })
  return asked
}

async function asSent(request: Request) {
  const { pathname, search } = new URL(request.url)
  return { method: request.method, path: pathname + search, body: await request.text() }
}

/** Shows something as the application would, at an address. @param route the pattern of the address, if it has parts */
export function show(what: ReactNode, at = '/', route = '*') {
  const cache = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  return render(
    <QueryClientProvider client={cache}>
      <Look>
        <SchoolZone.Provider value="UTC">
          <MemoryRouter initialEntries={[at]}>
            <Routes>
              <Route path={route} element={what} />
              {route !== '*' && <Route path="*" element={<p>another page</p>} />}
            </Routes>
          </MemoryRouter>
        </SchoolZone.Provider>
      </Look>
    </QueryClientProvider>,
  )
}

/** A standing of somebody signed in. */
export function standingOf(position: 'LEAD' | 'TEACHER' | 'PUPIL', name = 'Orla Venn') {
  return {
    founded: true,
    demo: false,
    school: 'Halvorn Reach School',
    zone: 'UTC',
    now: '2026-09-14T10:17:00Z',
    me: { id: 'me', name, position, missing: 'NOTHING' as const },
  }
}
