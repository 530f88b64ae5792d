import type { Places } from '@tender-gill/core'
import { typedNumber } from '../../typed/index.ts'

/** What a kitchen has more or less of: each is asked for, the rest is as usual. */
export const ASKED_PLACES = [
  ['burner', 'Burners'],
  ['oven', 'Ovens'],
  ['fryer', 'Fryers'],
  ['hand', 'Pairs of hands'],
] as const satisfies readonly (readonly [keyof Places, string])[]
export type AskedPlace = (typeof ASKED_PLACES)[number][0]

/** How many there may be of each. */
export const PLACES_SCALE = { least: 1, most: 40, whole: true } as const

const keyOf = (kitchen: string): string => `tender-gill-places:${kitchen}`
const readKept = (storage: Pick<Storage, 'getItem'>, kitchen: string) => new URLSearchParams(storage.getItem(keyOf(kitchen)) ?? '')

/**
 * How many of each a kitchen has: as the address says, else as was said last in this browser, else nothing.
 * @param said what the address says of a place
 */
export function readOwnPlaces(
  storage: Pick<Storage, 'getItem'>,
  kitchen: string,
  said: (place: AskedPlace) => string | null,
): Partial<Record<AskedPlace, number>> {
  const kept = readKept(storage, kitchen)
  return Object.fromEntries(
    ASKED_PLACES.flatMap(([place]) => {
      const count = typedNumber(said(place) ?? kept.get(place) ?? '', PLACES_SCALE)
      return count === undefined ? [] : [[place, count]]
    }),
  )
}

/** Keeps what a kitchen has: it has as many burners tomorrow. @param said as typed; empty for as usual */
export function keepOwnPlace(storage: Pick<Storage, 'getItem' | 'setItem'>, kitchen: string, place: AskedPlace, said: string): void {
  const kept = readKept(storage, kitchen)
  if (said === '') kept.delete(place)
  else kept.set(place, said)
  storage.setItem(keyOf(kitchen), kept.toString())
}
