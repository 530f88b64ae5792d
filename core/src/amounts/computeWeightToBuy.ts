import type { Form, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { CHILD_PORTION } from '../tables/constants.ts'
import { computeYields, type Yields } from './yields.ts'

/** Portions to cook: adults count 1, children 0.6, all inside the covers. */
export const countPortions = ({ covers, diners }: Pick<NormalisedBrief, 'covers' | 'diners'>): number => {
  const children = Math.min(covers, diners.children ?? 0)
  return covers - children + CHILD_PORTION * children
}

/**
 * Weight to buy, g: portions x portionG / (form x trim x thaw x (1 - glaze) x cooking), all fractions kept.
 * @returns low when every yield is good, high when every yield is poor
 */
export function weightFromYields(readyG: number, { form, trim, thaw, glaze, cooking }: Yields): Range {
  const at = (formShare: number, cookingShare: number) => readyG / (formShare * trim * thaw * (1 - glaze) * cookingShare)
  return { low: at(form.high, cooking.high), typical: at(form.typical, cooking.typical), high: at(form.low, cooking.low) }
}

/** Weight of one adult portion to buy in a form, g. */
export const computePortionToBuyG = (offer: ResolvedOffer, form: Form, brief: NormalisedBrief): Range =>
  weightFromYields(brief.portionG, computeYields(offer, form, brief))

/** Weight to buy in a form for the whole dish, g. */
export const computeWeightToBuyG = (offer: ResolvedOffer, form: Form, brief: NormalisedBrief): Range =>
  weightFromYields(brief.portionG * countPortions(brief), computeYields(offer, form, brief))

/** Raw weight of one portion as it goes into the pan, g. */
export const computeRawPortionG = (brief: NormalisedBrief, cookingYield: number): number => brief.portionG / cookingYield
