import { promisify } from 'node:util'
import { brotliCompress, brotliDecompress, constants } from 'node:zlib'
import { nameText, toCanonical } from '../contents/index.ts'

const compress = promisify(brotliCompress)
const decompress = promisify(brotliDecompress)
const QUALITY = 5

/** Contents as they are kept: packed, under the SHA-256 of their canonical JSON. */
export interface PackedContents {
  readonly hash: string
  readonly packed: Uint8Array
}

export async function packContents(value: unknown): Promise<PackedContents> {
  const text = toCanonical(value)
  return { hash: nameText(text), packed: await compress(text, { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } }) }
}

/** Reads contents back. @throws Error when they are not what their name says */
export async function unpackContents({
  hash,
  packed,
  text,
}: {
  hash: string
  packed: Uint8Array | null
  text: string | null
}): Promise<unknown> {
  const body = packed ? (await decompress(packed)).toString('utf8') : (text ?? '')
  if (nameText(body) !== hash) throw new Error(`contents ${hash} are not what their name says`)
  return JSON.parse(body) as unknown
}
