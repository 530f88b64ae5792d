import { createHash } from 'node:crypto'
import { promisify } from 'node:util'
import { brotliCompress, brotliDecompress, constants } from 'node:zlib'
import stringify from 'json-stable-stringify'

const compress = promisify(brotliCompress)
const decompress = promisify(brotliDecompress)
const QUALITY = 5

/** Contents as they are kept: packed, under the SHA-256 of their canonical JSON. */
export interface PackedContents {
  readonly hash: string
  readonly packed: Uint8Array
}

/** Canonical JSON, so that the same contents have the same name whatever order their fields came in. */
const toCanonical = (value: unknown): string => stringify(value) ?? 'null'
const nameText = (text: string): string => createHash('sha256').update(text).digest('hex')

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
