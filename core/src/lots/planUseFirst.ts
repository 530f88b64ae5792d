import type { ColdReading, Lot, ResolvedOffer } from '@tender-gill/contract'
import { judgeLot, type JudgedLot, type LotAdvice, type WaitingServing } from './judgeLot.ts'
import { judgePlace, type PlaceWarmth } from './placeWarmth.ts'
import type { KnownPlace } from './readHistory.ts'

/** A lot that is in the house, with its id. */
export interface KnownLot {
  readonly id: string
  readonly lot: Lot
}

export interface House {
  readonly lots: readonly KnownLot[]
  readonly places: readonly KnownPlace[]
  readonly readings: readonly ColdReading[]
  readonly servings: readonly WaitingServing[]
  readonly offers: readonly ResolvedOffer[]
  /** ms since 1970 */
  readonly nowMs: number
}

export interface LotInHouse extends JudgedLot {
  readonly id: string
  readonly common: string
  readonly servings: readonly WaitingServing[]
}

export interface UseFirst {
  /** What presses most first. */
  readonly lots: readonly LotInHouse[]
  readonly places: readonly PlaceWarmth[]
}

/** What presses more comes first; what presses alike, by how long it lasts. */
const PRESSING: Readonly<Record<LotAdvice, number>> = { throw: 0, 'use-now': 1, freeze: 2, 'use-first': 2, fine: 3, frozen: 4 }

/** Every lot in the house by how much it presses, and how each place has kept its warmth. Lots of fish the book no longer has are left out. */
export function planUseFirst({ lots, places, readings, servings, offers, nowMs }: House): UseFirst {
  const byId = new Map(offers.map((offer) => [offer.id, offer]))
  const judged = lots.flatMap(({ id, lot }): readonly LotInHouse[] => {
    const offer = byId.get(lot.offerId)
    if (!offer || lot.state !== 'here') return []
    const own = servings.filter((one) => lot.servings.includes(one.id))
    return [{ id, common: offer.common, servings: own, ...judgeLot({ lot, offer, servings: own, nowMs, warmths: { places, readings } }) }]
  })
  const press = ({ advice, lastsMs }: LotInHouse) => [PRESSING[advice], lastsMs?.typical ?? Infinity] as const
  return {
    lots: judged.sort((a, b) => press(a)[0] - press(b)[0] || press(a)[1] - press(b)[1] || (a.id < b.id ? -1 : 1)),
    places: places.map((place) => judgePlace(place, readings, nowMs)),
  }
}
