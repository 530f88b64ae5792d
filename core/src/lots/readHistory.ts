import type { ColdPlace, ColdReading, ColdStretch, Lot } from '@tender-gill/contract'
import { parseInstant } from '../calendar/index.ts'
import { ICE_HOURS, READING_HOURS } from '../tables/signs.ts'

const HOUR_MS = 3_600_000

/** A place with its id. */
export interface KnownPlace {
  readonly id: string
  readonly place: ColdPlace
}

/** Where a warmth comes from: ice, a thermometer, what the place usually has, what somebody said; or nobody knows. */
export type WarmthBasis = 'ice' | 'reading' | 'usual' | 'said' | 'unknown'

/** A stretch of a history with its moments and what it rests on. */
export interface KeptStretch extends ColdStretch {
  /** ms since 1970 */
  readonly fromMs: number
  readonly toMs: number
  readonly basis: WarmthBasis
}

/** Everything that is known of the warmth of places. */
export interface Warmths {
  readonly places: readonly KnownPlace[]
  /** The oldest first within each place. */
  readonly readings: readonly ColdReading[]
}

const stretch = (fromMs: number, toMs: number, celsius: number | null, basis: WarmthBasis): readonly KeptStretch[] =>
  toMs > fromMs ? [{ fromMs, toMs, hours: (toMs - fromMs) / HOUR_MS, celsius, basis }] : []

/**
 * How warm a place was between two moments: each reading until the next, as long as a reading tells anything; in between what the place
 * usually has.
 */
function readPlace({ id, place }: KnownPlace, fromMs: number, toMs: number, readings: readonly ColdReading[]): readonly KeptStretch[] {
  const own = readings.flatMap(({ place: of, at, celsius }) => (of === id ? [{ atMs: parseInstant(at), celsius }] : []))
  const stretches: KeptStretch[] = []
  let at = fromMs
  const before = own.filter(({ atMs }) => atMs <= fromMs).at(-1)
  const known = [...(before ? [before] : []), ...own.filter(({ atMs }) => atMs > fromMs && atMs < toMs)]
  for (const [i, { atMs, celsius }] of known.entries()) {
    const until = Math.min(toMs, known[i + 1]?.atMs ?? Infinity, atMs + READING_HOURS * HOUR_MS)
    stretches.push(...stretch(at, Math.min(toMs, Math.max(at, atMs)), place.usualC, 'usual'))
    stretches.push(...stretch(Math.max(at, atMs), until, celsius, 'reading'))
    at = Math.max(at, until)
  }
  return [...stretches, ...stretch(at, toMs, place.usualC, 'usual')]
}

/** One stay: in ice as long as ice lasts, then as its place is; at what somebody said; or nobody knows. */
function readStay(
  { place, celsius, iced }: Lot['stays'][number],
  fromMs: number,
  toMs: number,
  { places, readings }: Warmths,
): readonly KeptStretch[] {
  const where = places.find(({ id }) => id === place)
  const icedUntil = iced && where?.place.kind !== 'freezer' ? Math.min(toMs, fromMs + ICE_HOURS * HOUR_MS) : fromMs
  const ice = stretch(fromMs, icedUntil, 0, 'ice')
  if (celsius !== null) return [...ice, ...stretch(icedUntil, toMs, celsius, 'said')]
  return [...ice, ...(where ? readPlace(where, icedUntil, toMs, readings) : stretch(icedUntil, toMs, null, 'unknown'))]
}

/** How a lot was kept since it was bought, stretch by stretch until a moment. @param untilMs ms since 1970 */
export const readHistory = ({ stays }: Pick<Lot, 'stays'>, untilMs: number, warmths: Warmths): readonly KeptStretch[] =>
  stays.flatMap((stay, i) => {
    const fromMs = parseInstant(stay.from)
    return readStay(stay, fromMs, Math.max(fromMs, Math.min(untilMs, parseInstant(stays[i + 1]?.from ?? '') || Infinity)), warmths)
  })

/** How warm a lot will be kept from a moment on, °C: in ice until it has melted, then as its place was last. Unknown places as the clock counts them. */
export function readAhead(
  { stays }: Pick<Lot, 'stays'>,
  fromMs: number,
  warmths: Warmths,
): { readonly icedUntilMs: number; readonly celsius: number | null } {
  const stay = stays.at(-1)
  if (!stay) return { icedUntilMs: fromMs, celsius: null }
  const where = warmths.places.find(({ id }) => id === stay.place)
  const icedUntilMs =
    stay.iced && where?.place.kind !== 'freezer' ? Math.max(fromMs, parseInstant(stay.from) + ICE_HOURS * HOUR_MS) : fromMs
  if (stay.celsius !== null) return { icedUntilMs, celsius: stay.celsius }
  if (!where) return { icedUntilMs, celsius: null }
  const last = warmths.readings.filter(({ place, at }) => place === where.id && parseInstant(at) <= fromMs).at(-1)
  const isFresh = last !== undefined && parseInstant(last.at) > fromMs - READING_HOURS * HOUR_MS
  return { icedUntilMs, celsius: isFresh ? last.celsius : where.place.usualC }
}
