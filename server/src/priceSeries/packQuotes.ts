import type { QuoteSource, SeriesQuote } from '@tender-gill/core'

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

/** The quotes of a merchant, as they were packed. @throws RangeError where bytes are missing */
export function unpackQuotes(packed: Buffer, merchant: string | null): readonly SeriesQuote[] {
  if (packed.length % BYTES !== 0) throw new RangeError(`${packed.length} bytes are no whole number of quotes`)
  const view = new DataView(packed.buffer, packed.byteOffset, packed.length)
  const sources = new Map<number, QuoteSource>()
  const sourceWith = (glaze: number): QuoteSource => {
    const source = sources.get(glaze) ?? { merchant, glaze, id: null, dated: true }
    sources.set(glaze, source)
    return source
  }
  const quotes: SeriesQuote[] = []
  for (let at = 0; at < packed.length; at += BYTES)
    quotes.push({
      day: view.getInt32(at, true),
      logPerKg: view.getFloat64(at + 4, true),
      source: sourceWith(view.getFloat64(at + 12, true)),
    })
  return quotes
}
