import type { SeriesQuote } from '@tender-gill/core'

/** A quote as it is kept: its day, the logarithm of the price of a kilogram, and the share of ice. */
export type PackedQuote = Pick<SeriesQuote, 'day' | 'logPerKg' | 'glaze'>

/** Bytes of one quote: day (int32), log price and glaze (float64), little-endian. */
const BYTES = 20

/** Quotes one after the other: two of these laid end to end are the quotes of both. */
export function packQuotes(quotes: readonly PackedQuote[]): Buffer {
  const packed = Buffer.allocUnsafe(quotes.length * BYTES)
  quotes.forEach(({ day, logPerKg, glaze }, i) => {
    packed.writeInt32LE(day, i * BYTES)
    packed.writeDoubleLE(logPerKg, i * BYTES + 4)
    packed.writeDoubleLE(glaze, i * BYTES + 12)
  })
  return packed
}

/** The quotes of a merchant, as they were packed. @throws RangeError where bytes are missing */
export function unpackQuotes(packed: Buffer, merchant: string | null): SeriesQuote[] {
  if (packed.length % BYTES !== 0) throw new RangeError(`${packed.length} bytes are no whole number of quotes`)
  return Array.from({ length: packed.length / BYTES }, (_, i): SeriesQuote => ({
    day: packed.readInt32LE(i * BYTES),
    logPerKg: packed.readDoubleLE(i * BYTES + 4),
    glaze: packed.readDoubleLE(i * BYTES + 12),
    dated: true,
    merchant,
    id: null,
  }))
}
