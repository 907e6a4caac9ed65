// What is built is kept compressed beside itself, once and well, so that the server need not do it for every reader.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { brotliCompressSync, constants } from 'node:zlib'

const ASSETS = 'dist/assets'
const WORTH_IT = 1000

for (const name of readdirSync(ASSETS).filter((one) => /\.(js|css|svg)$/.test(one))) {
  const bytes = readFileSync(`${ASSETS}/${name}`)
  if (bytes.length < WORTH_IT) continue
  writeFileSync(
    `${ASSETS}/${name}.br`,
    brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 11, [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length } }),
  )
}
