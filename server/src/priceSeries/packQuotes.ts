import type { Quotes, SeriesQuote } from '@tender-gill/core'

/** Bytes of one quote: day (int32), log price and glaze (float64), little-endian. */
const BYTES = 20

/** Day, price and share of ice of quotes one after the other: two of these laid end to end are the quotes of both. */
export function packQuotes(quotes: readonly SeriesQuote[]): Buffer {
  const packed = Buffer.allocUnsafe(quotes.length * BYTES)
  quotes.forEach(({ day, logPerKg, source }, i) => {
    packed.writeInt32LE(day, i * BYTES)
    packed.writeDoubleLE(logPerKg, i * BYTES + 4)
    packed.writeDoubleLE(source.glaze, i * BYTES + 12)
  })
  return packed
}

/** The quotes of a merchant, as they were packed and in that order. @throws RangeError where bytes are missing */
export function unpackQuotes(packed: Buffer, merchant: string | null): Quotes {
  if (packed.length % BYTES !== 0) throw new RangeError(`${packed.length} bytes are no whole number of quotes`)
  const view = new DataView(packed.buffer, packed.byteOffset, packed.length)
  const count = packed.length / BYTES
  const [day, logPerKg, source] = [new Int32Array(count), new Float64Array(count), new Uint16Array(count)]
  const glazes: number[] = []
  for (let i = 0, at = 0; i < count; i += 1, at += BYTES) {
    day[i] = view.getInt32(at, true)
    logPerKg[i] = view.getFloat64(at + 4, true)
    const glaze = view.getFloat64(at + 12, true)
    let place = glazes.indexOf(glaze)
    if (place === -1) place = glazes.push(glaze) - 1
    source[i] = place
  }
  return { day, logPerKg, source, sources: glazes.map((glaze) => ({ merchant, glaze, id: null, dated: true })) }
}
