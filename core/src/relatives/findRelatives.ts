import type { BoneCut, FleshKey, ResolvedOffer } from '@tender-gill/contract'
import { toAxis } from '../axes/index.ts'
import { AXES } from '../tables/constants.ts'

type KinKey = FleshKey | 'bones'
/** Traits that decide kinship in the kitchen; skin and binding matter in too few dishes to count fully. */
const WEIGHT: Record<KinKey, number> = {
  firmness: 1,
  flake: 1,
  cohesion: 1,
  fat: 1,
  flavour: 1,
  tolerance: 0.7,
  collagen: 0.5,
  skin: 0.4,
  binding: 0.3,
  rawBite: 0.3,
  bones: 0.7,
}
const KEYS = Object.keys(WEIGHT) as readonly KinKey[]
const LIFTED: readonly BoneCut[] = ['fillet-pinned', 'fillet', 'whole']

const read = ({ traits, bones }: ResolvedOffer, key: KinKey): number => {
  if (key !== 'bones') return traits[key].typical
  const cut = LIFTED.find((one) => bones[one] !== null)
  return cut ? (bones[cut]?.typical ?? 0) : 0
}

/** How far apart two fish are on one trait, in shoulders of its axis; positive when the other has more. */
export interface KinDifference {
  readonly key: KinKey
  readonly shoulders: number
}
export interface Relative {
  readonly offer: ResolvedOffer
  /** Weighted mean distance in shoulders, 0 for the same flesh. */
  readonly distance: number
  /** What sets them apart most. */
  readonly differences: readonly KinDifference[]
}

const NOTICED = 0.25
const MOST_DIFFERENCES = 2

/** Distance between two kinds of flesh, no dish in mind: symmetric, 0 for itself, in shoulders. */
export function computeKinship(a: ResolvedOffer, b: ResolvedOffer): Omit<Relative, 'offer'> {
  const gaps = KEYS.map((key) => ({ key, shoulders: (toAxis(key, read(b, key)) - toAxis(key, read(a, key))) / AXES[key].shoulder }))
  const weights = KEYS.reduce((sum, key) => sum + WEIGHT[key], 0)
  const distance = gaps.reduce((sum, { key, shoulders }) => sum + WEIGHT[key] * Math.abs(shoulders), 0) / weights
  const differences = gaps
    .filter(({ shoulders }) => Math.abs(shoulders) >= NOTICED)
    .sort((x, y) => WEIGHT[y.key] * Math.abs(y.shoulders) - WEIGHT[x.key] * Math.abs(x.shoulders))
    .slice(0, MOST_DIFFERENCES)
  return { distance, differences }
}

const byDistance = (a: Relative, b: Relative) => a.distance - b.distance || (a.offer.id < b.offer.id ? -1 : 1)
/** Fish nobody should be led to: protected, not fit to eat, or hidden by the house. */
const isClosed = ({ listing, waxEster, hidden }: ResolvedOffer) => listing?.status === 'prohibited' || waxEster || hidden === true

/** The nearest kin of an offer in the kitchen, one offer a species, nearest first: other species whose flesh is most like it. */
export function findRelatives(offer: ResolvedOffer, offers: readonly ResolvedOffer[], { most = 6 } = {}): readonly Relative[] {
  const nearest = new Map<string, Relative>()
  for (const other of offers) {
    if (other.species === offer.species || other.state !== offer.state || isClosed(other)) continue
    const kin = { offer: other, ...computeKinship(offer, other) }
    const before = nearest.get(other.species)
    if (!before || byDistance(kin, before) < 0) nearest.set(other.species, kin)
  }
  return [...nearest.values()].sort(byDistance).slice(0, most)
}
