import type { AskKey, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedAsk, NormalisedAsks, NormalisedBrief } from '../facts/index.ts'
import { createMiss } from '../axes/index.ts'
import { ASK_ORDER } from '../tables/askOrder.ts'
import { isMarketKey, readTrait } from '../traits/index.ts'

/** One ask that is scored. */
export interface ScoredAsk {
  readonly key: AskKey
  readonly ask: NormalisedAsk
  /** Miss of a value against the band, in shoulders; 0 for colour, which is no band. */
  readonly missOf: (x: number) => number
}

/** What a brief is scored on, and what had to be left out because nothing on the sheet knows it. */
export interface Scoring {
  readonly asks: readonly ScoredAsk[]
  readonly dropped: readonly AskKey[]
}

const knownAnywhere = (key: AskKey, sheet: readonly ResolvedOffer[], brief: NormalisedBrief): boolean => {
  if (key === 'colour' || !isMarketKey(key)) return true
  if (key === 'landings' || key === 'condition') return brief.waters !== null && sheet.some(({ season }) => season !== null)
  // What has no price is not read for its cost: most of a sheet has none.
  const priced = key === 'portionCost'
  return sheet.some(
    (offer) => (!priced || offer.prices.length > 0) && offer.forms.some(({ form }) => readTrait(key, { offer, form }, brief) !== null),
  )
}

/**
 * Decides what is scored. A criterion known for no offer of the whole sheet is dropped and said; the sheet, not the
 * pool, decides, so that adding a fish to the pool changes no other's fit.
 */
export function createScoring(brief: NormalisedBrief, sheet: readonly ResolvedOffer[]): Scoring {
  const asked = ASK_ORDER.filter((key) => brief.asks[key])
  const dropped = asked.filter((key) => !knownAnywhere(key, sheet, brief))
  const asks = asked.flatMap((key) => {
    const ask = brief.asks[key]
    return ask && ask.pull > 0 && !dropped.includes(key) ? [{ key, ask, missOf: key === 'colour' ? () => 0 : createMiss(key, ask) }] : []
  })
  return { asks, dropped }
}

/** The same scoring with other bands, nothing more and nothing less asked. */
export const withAsks = ({ asks, dropped }: Scoring, changed: NormalisedAsks): Scoring => ({
  dropped,
  asks: asks.map((scored) => {
    const ask = changed[scored.key] ?? scored.ask
    return ask === scored.ask
      ? scored
      : { key: scored.key, ask, missOf: scored.key === 'colour' ? scored.missOf : createMiss(scored.key, ask) }
  }),
})
