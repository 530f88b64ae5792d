import { promisify } from 'node:util'
import { brotliCompress, constants } from 'node:zlib'

const compress = promisify(brotliCompress)
/** Quick, and still a tenth of the text. */
const QUALITY = 5

const packed = new WeakMap<object, Promise<Uint8Array>>()

/**
 * An answer that many will fetch as it is, as JSON packed by brotli; each answer is packed once.
 * @param answer never changed after it was made
 */
export function packJson(answer: object): Promise<Uint8Array> {
  const ready = packed.get(answer) ?? compress(JSON.stringify(answer), { params: { [constants.BROTLI_PARAM_QUALITY]: QUALITY } })
  packed.set(answer, ready)
  return ready
}
