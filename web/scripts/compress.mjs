/** Writes a brotli and a gzip twin beside every text asset, since the server sends those as they are. */
import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'

const assets = fileURLToPath(new URL('../dist/assets', import.meta.url))
for (const name of readdirSync(assets).filter((file) => /\.(js|css|svg|wasm|json)$/.test(file))) {
  const bytes = readFileSync(join(assets, name))
  writeFileSync(join(assets, `${name}.br`), brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }))
  writeFileSync(join(assets, `${name}.gz`), gzipSync(bytes, { level: 9 }))
}
