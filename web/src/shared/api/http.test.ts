import { describe, expect, it, vi } from 'vitest'
import { edit, get, Problem } from './http'

describe('something that is edited as a whole', () => {
  it('is sent back with the tag of the state that was shown, and whoever is later is told', async () => {
    const sent: { method: string; tag: string | undefined }[] = []
    let state = 1
    vi.stubGlobal('fetch', async (_path: string, init: { method: string; headers: Record<string, string> }) => {
      const tag = init.headers['If-Match']
      sent.push({ method: init.method, tag })
      if (tag && tag !== `"${state}"`)
        return new Response(JSON.stringify({ title: 'Somebody else', status: 412 }), { status: 412 })
      if (init.method === 'PUT') state++
      return new Response('{}', { headers: { ETag: `"${state}"` } })
    })

    await get('/api/thing')
    await edit('/api/thing', {})
    await edit('/api/thing/part', {}, '/api/thing')
    state = 9
    await expect(edit('/api/thing', {})).rejects.toBeInstanceOf(Problem)
    await edit('/api/never-read', {})

    expect(sent.map((one) => one.tag)).toEqual([undefined, '"1"', '"2"', '"3"', undefined])
  })
})
