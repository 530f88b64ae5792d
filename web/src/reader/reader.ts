import { DEFAULT_READER, nameReader, readReader, termsOf, type Reader } from '@tender-gill/words/plain'

const KEPT_AS = 'tender-gill-reader'

function readKept(): Reader {
  try {
    return readReader(localStorage.getItem(KEPT_AS) ?? undefined)
  } catch {
    // A browser that keeps nothing has every person read as by default.
    return DEFAULT_READER
  }
}

/** How the person at this browser reads, for as long as the page is open: units, money, language. */
export const reader: Reader = readKept()
export const terms = termsOf(reader.language)

/** Keeps how the person reads, and opens the page anew so that every answer is told so. */
export function changeReader(change: Partial<Reader>): void {
  localStorage.setItem(KEPT_AS, nameReader({ ...reader, ...change }))
  location.reload()
}
