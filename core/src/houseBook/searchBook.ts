import type { EntryKind, EntryLine } from '@tender-gill/contract'
import { findOutcome } from './findOutcome.ts'

/** What is looked for; all of it must hold. */
export interface BookSearch {
  readonly from?: string | undefined
  readonly to?: string | undefined
  /** Months of the year, 1 to 12: a season of every year. */
  readonly months?: readonly number[] | undefined
  readonly kinds?: readonly EntryKind[] | undefined
  readonly species?: string | undefined
  readonly offerId?: string | undefined
  readonly dish?: string | undefined
  readonly merchant?: string | undefined
  readonly servingId?: string | undefined
  readonly outcome?: string | undefined
  /** Words, each of which stands somewhere in the line. */
  readonly text?: string | undefined
}

const same = (wanted: string | undefined, is: string | null): boolean => wanted === undefined || wanted === is
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()

/** Lines that answer a search, the newest first; of one moment, the one written last. @param nameOf what a species is called */
export function searchBook(lines: readonly EntryLine[], search: BookSearch, nameOf: (species: string) => string): readonly EntryLine[] {
  const { from = '', to = '9999', months, kinds, outcome, text } = search
  const words = plain(text ?? '')
    .split(/\s+/)
    .filter(Boolean)
  const holds = ({ entry, setAside }: EntryLine): boolean => {
    const { day, species, offerId, dish, merchant, servingId } = entry
    if (day < from || day > to || (months && !months.includes(Number(day.slice(5, 7)))) || (kinds && !kinds.includes(entry.kind)))
      return false
    if (
      !same(search.offerId, offerId) ||
      !same(search.dish, dish) ||
      !same(search.merchant, merchant) ||
      !same(search.servingId, servingId)
    )
      return false
    const fish = entry.kind === 'swapped' ? [species, entry.missing, entry.standIn] : [species]
    if (search.species !== undefined && !fish.includes(search.species)) return false
    if (outcome !== undefined && (outcome === 'set-aside' ? !setAside : findOutcome(entry) !== outcome)) return false
    if (words.length === 0) return true
    const said = plain([dish, merchant, entry.words, ...fish.flatMap((one) => (one ? [one, nameOf(one)] : []))].join(' '))
    return words.every((word) => said.includes(word))
  }
  return lines
    .map((line, i) => ({ line, i }))
    .filter(({ line }) => holds(line))
    .sort((a, b) => (a.line.entry.at === b.line.entry.at ? b.i - a.i : a.line.entry.at > b.line.entry.at ? -1 : 1))
    .map(({ line }) => line)
}
