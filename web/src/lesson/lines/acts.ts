import { client } from '../send'

export const linesActs = {
  'tell-line': (visit: string, { weak }: { weak: boolean }) =>
    client.PUT('/api/seats/{visit}/line', { params: { path: { visit } }, body: { weak } }),
}
