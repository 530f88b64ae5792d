import type { AbsencePlanRequest, AbsenceReason, Hold, Supply } from '@tender-gill/contract'
import { addDays, isDay } from '@tender-gill/core'
import { typedNumber } from '../../typed/index.ts'

export const REASONS: readonly (readonly [AbsenceReason, string])[] = [
  ['not-landed', 'Not landed'],
  ['too-dear', 'Too dear'],
  ['looked-bad', 'Looked bad'],
  ['stock', 'Stock too low'],
  ['unsafe', 'Not safe'],
]

/** A fish is usually missing over a weekend. */
const USUAL_DAYS = 3

/** What of an absence is typed, as it stands in the address: nothing typed is lost on reload, and a link keeps it. */
export interface TypedAbsence {
  readonly species: string
  readonly offerId: string | null
  readonly because: AbsenceReason | null
  readonly from: string
  readonly to: string
  /** Kilos as they were typed, by species. */
  readonly supplies: ReadonlyMap<string, string>
  /** Species by dish; '' holds the dish back. */
  readonly holds: ReadonlyMap<string, string>
}

const readPairs = (search: URLSearchParams, name: string): ReadonlyMap<string, string> =>
  new Map(
    search.getAll(name).flatMap((pair) => {
      const at = pair.indexOf('~')
      return at > 0 ? [[pair.slice(0, at), pair.slice(at + 1)] as const] : []
    }),
  )

/** Reads the address; undefined where it names no fish. */
export function readAbsence(search: URLSearchParams, today: string): TypedAbsence | undefined {
  const species = search.get('fish')
  if (!species) return undefined
  const from = search.get('from')
  const to = search.get('to')
  const because = REASONS.find(([reason]) => reason === search.get('because'))?.[0] ?? null
  const first = isDay(from) ? from : today
  return {
    species,
    offerId: search.get('offer'),
    because,
    from: first,
    to: isDay(to) ? to : addDays(first, USUAL_DAYS - 1),
    supplies: readPairs(search, 'there'),
    holds: readPairs(search, 'dish'),
  }
}

/** Writes one pair into the address, or takes it out where its value is null. */
export function writePair(search: URLSearchParams, name: string, key: string, value: string | null): void {
  const others = search.getAll(name).filter((pair) => !pair.startsWith(`${key}~`))
  search.delete(name)
  for (const pair of value === null ? others : [...others, `${key}~${value}`]) search.append(name, pair)
}

/** Kilos out of what was typed; undefined where it is no amount. */
export const parseKilos = (text: string): number | undefined => typedNumber(text, { least: 0, most: 100_000 })

/** The question to the planner; null while the days are upside down. @param onlyOffered whether what can be bought stands in, or any fish of the book */
export function toRequest(
  { species, offerId, because, from, to, supplies, holds }: TypedAbsence,
  onlyOffered = true,
): AbsencePlanRequest | null {
  if (to < from) return null
  const known: Supply[] = [...supplies].flatMap(([name, text]) => {
    const kg = parseKilos(text)
    return kg === undefined ? [] : [{ species: name, kg }]
  })
  const held: Hold[] = [...holds].map(([servingId, name]) => ({ servingId, species: name === '' ? null : name }))
  return { species, offerId, because, from, to, supplies: known, holds: held, ...(onlyOffered ? {} : { onlyOffered }) }
}

/** Where a fish is marked missing, with what is known of it. */
export function absencePath(fish: { species: string; offerId?: string | undefined; because?: string | undefined }): string {
  const search = new URLSearchParams({ fish: fish.species })
  if (fish.because && REASONS.some(([reason]) => reason === fish.because)) search.set('because', fish.because)
  // Only what looked bad at the counter concerns one offer alone.
  if (fish.because === 'looked-bad' && fish.offerId) search.set('offer', fish.offerId)
  return `/missing?${search.toString()}`
}
