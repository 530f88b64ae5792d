import type { Form, Format, Range, ResolvedOffer } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { COOKING_YIELD_SPREAD, GUTTED_SHARE, THAW_YIELD, TRIM_YIELD, WHOLE_EATEN } from '../tables/constants.ts'
import { METHOD_TABLE } from '../tables/methods.ts'

const WHOLE: Range = { low: 1, typical: 1, high: 1 }
const scale = ({ low, typical, high }: Range, by: number): Range => ({ low: low * by, typical: typical * by, high: high * by })
const capped = ({ low, typical, high }: Range): Range => ({ low: Math.min(1, low), typical: Math.min(1, typical), high: Math.min(1, high) })

/** Share of the whole fish that a form keeps; undefined when the offer is not sold so. */
export const findFormShare = (offer: ResolvedOffer, form: Form): Range | undefined =>
  form === 'whole' ? WHOLE : offer.forms.find((sold) => sold.form === form)?.yieldOfWhole

/** The form that a cut of the dish is a share of, the first that the offer knows. */
const CUT_FORMS: Readonly<Record<'skinless' | 'skinOn' | 'steak' | 'frame', readonly Form[]>> = {
  skinless: ['fillet-skinless', 'loin', 'fillet-skin-on'],
  skinOn: ['fillet-skin-on', 'fillet-skinless', 'loin'],
  steak: ['steak', 'gutted'],
  frame: ['frame'],
}
const cutFormsOf = (format: Format, skinOff: boolean): readonly Form[] => {
  switch (format) {
    case 'whole':
      return CUT_FORMS.skinOn
    case 'steak':
    case 'frame':
      return CUT_FORMS[format]
    case 'portion':
    case 'fillet-skin-on':
      return skinOff ? CUT_FORMS.skinless : CUT_FORMS.skinOn
    case 'fillet-skinless':
    case 'chunk':
    case 'slice':
    case 'mince':
      return CUT_FORMS.skinless
  }
}

/** The form in which the cut of a dish is weighed: what its share of the whole fish is taken from; undefined where the offer knows none. */
export const findCutForm = (offer: ResolvedOffer, format: Format, skinOff: boolean): Form | undefined =>
  cutFormsOf(format, skinOff).find((form) => findFormShare(offer, form) !== undefined)

/** Share of the whole fish that is in the cut as the dish wants it. */
export function computeCutShare(offer: ResolvedOffer, format: Format, skinOff: boolean): Range {
  const form = findCutForm(offer, format, skinOff)
  const share = (form && findFormShare(offer, form)) ?? WHOLE
  return format === 'whole' ? scale(share, WHOLE_EATEN) : share
}

/** Fraction of a bought form that ends up in the cut, before trimming; at most 1. Low and high pair the share's own ends. */
export function computeFormYield(offer: ResolvedOffer, form: Form, brief: Pick<NormalisedBrief, 'format' | 'skin'>): Range {
  const cut = computeCutShare(offer, brief.format, brief.skin === 'off')
  const bought = findFormShare(offer, form) ?? WHOLE
  return capped({ low: cut.low / bought.low, typical: cut.typical / bought.typical, high: cut.high / bought.high })
}

/**
 * Fraction of a bought form that is left beside the cut and of use: head, frame, collar, trim; not the guts.
 * Nothing where the fish is eaten whole or where frames are what the dish wants.
 */
export function computeUsableTrimShare(offer: ResolvedOffer, form: Form, brief: Pick<NormalisedBrief, 'format' | 'skin'>): number {
  if (brief.format === 'whole' || brief.format === 'frame') return 0
  const bought = (findFormShare(offer, form) ?? WHOLE).typical
  const clean = Math.min(bought, (findFormShare(offer, 'gutted') ?? { typical: GUTTED_SHARE }).typical)
  const cut = computeCutShare(offer, brief.format, brief.skin === 'off').typical
  return Math.max(0, clean - cut) / bought
}

/** Fraction of raw weight left after cooking; 1 when the portion is counted raw. */
export function computeCookingYield(brief: Pick<NormalisedBrief, 'method' | 'smokeHeat' | 'portionBasis'>): Range {
  if (brief.portionBasis === 'raw') return WHOLE
  const cold = brief.method === 'smoke' && brief.smokeHeat === 'cold'
  const typical = cold ? METHOD_TABLE.cure.cookingYield : METHOD_TABLE[brief.method].cookingYield
  if (typical === 1) return WHOLE
  return { low: typical - COOKING_YIELD_SPREAD, typical, high: Math.min(1, typical + COOKING_YIELD_SPREAD) }
}

/** Every fraction kept between the counter and the plate. */
export interface Yields {
  readonly form: Range
  readonly trim: number
  readonly thaw: number
  readonly glaze: number
  readonly cooking: Range
}

export function computeYields(offer: ResolvedOffer, form: Form, brief: NormalisedBrief): Yields {
  return {
    form: computeFormYield(offer, form, brief),
    trim: TRIM_YIELD[brief.format],
    thaw: offer.state === 'frozen' ? THAW_YIELD : 1,
    glaze: offer.prices.find((price) => price.form === form)?.glaze ?? 0,
    cooking: computeCookingYield(brief),
  }
}
