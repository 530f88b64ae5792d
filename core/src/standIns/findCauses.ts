import type { CauseKind } from '@tender-gill/contract'
import { CAUSE_CHANCE, IN_SEASON_LANDINGS } from '../tables/constants.ts'
import type { Candidate } from '../traits/index.ts'
import { findPrice } from '../amounts/index.ts'

/** Something that can keep an offer from being there. Two offers that name the same cause fail together. */
export interface Cause {
  readonly kind: CauseKind
  readonly name: string
  /** 0..1, independent of every other cause */
  readonly chance: number
}

/** The causes by which an offer can fail. A merchant counts only where a quote names one. */
export function findCauses({ offer, form }: Candidate): readonly Cause[] {
  const wildFresh = offer.origin === 'wild' && offer.state === 'fresh'
  const water = offer.season?.water ?? (offer.water === 'fresh' ? 'inland' : 'sea')
  const price = findPrice(offer, form)
  const merchant = price?.merchant
  const outOfSeason = wildFresh && offer.season !== null && offer.season.landings < IN_SEASON_LANDINGS
  const causes: readonly (readonly [CauseKind, string, boolean])[] = [
    ['weather', water, wildFresh],
    ['month', offer.species, outOfSeason],
    ['merchant', merchant ?? '', merchant != null],
    ['stock', `${offer.species}|${water}`, offer.origin === 'wild'],
    ['farm', offer.species, offer.origin === 'farmed'],
    ['price', offer.species, true],
  ]
  // What the house has learnt of a merchant speaks in the place of what is compiled.
  const chanceOf = (kind: CauseKind) => (kind === 'merchant' ? (price?.fails?.chance ?? CAUSE_CHANCE.merchant) : CAUSE_CHANCE[kind])
  return causes.filter(([, , holds]) => holds).map(([kind, name]) => ({ kind, name: `${kind}:${name}`, chance: chanceOf(kind) }))
}

/** Chance that none of the causes fails. */
export const computeThereShare = (causes: readonly Cause[]): number => causes.reduce((share, { chance }) => share * (1 - chance), 1)
