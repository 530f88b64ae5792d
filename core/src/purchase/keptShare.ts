import type { Form, Range, ResolvedOffer } from '@tender-gill/contract'
import { computeYields } from '../amounts/index.ts'
import type { NormalisedBrief } from '../facts/index.ts'

/** 5th to 95th percentile of a normal distribution, in its standard deviations. */
const SPAN_IN_SDS = 3.29

/** One fraction that is kept between the counter and the plate. */
export interface Factor extends Range {
  readonly name: 'form' | 'trim' | 'thaw' | 'glaze' | 'cooking'
}

/** ln of the kept share Y, taken as normal. */
export interface KeptShare {
  readonly mean: number
  readonly sd: number
}

const bare = (value: number): Range => ({ low: value, typical: value, high: value })

/** Every fraction kept of what is bought, in the order in which it is lost; glaze as what is left without it. */
export function listFactors(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): readonly Factor[] {
  const { form: cut, trim, thaw, glaze, cooking } = computeYields(offer, form, brief)
  return [
    { name: 'glaze', ...bare(1 - glaze) },
    { name: 'thaw', ...bare(thaw) },
    { name: 'form', ...cut },
    { name: 'trim', ...bare(trim) },
    { name: 'cooking', ...cooking },
  ]
}

/** The kept share of all factors together: ln Y has the sum of ln typical as mean; the spreads of ln add as squares. */
export const computeKept = (factors: readonly Factor[]): KeptShare => ({
  mean: factors.reduce((sum, { typical }) => sum + Math.log(typical), 0),
  sd: Math.sqrt(factors.reduce((sum, { low, high }) => sum + ((Math.log(high) - Math.log(low)) / SPAN_IN_SDS) ** 2, 0)),
})
