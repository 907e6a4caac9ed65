import { client } from '../send'

export const clocksActs = {
  press: (visit: string) => client.POST('/api/seats/{visit}/press', { params: { path: { visit } } }),
}

/** One word there and back. @return the next word, and what the server's clock says */
export async function echo(visit: string, word: string | undefined): Promise<{ word: string; now: string } | undefined> {
  const { data } = await client.POST('/api/seats/{visit}/echo', { params: { path: { visit } }, body: word ? { word } : {} })
  return data
}
