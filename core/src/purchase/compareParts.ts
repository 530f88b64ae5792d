import type { Brief, Form, ResolvedOffer, ResolvedPrice, Result } from '@tender-gill/contract'
import { computePortionCost, findPrice } from '../amounts/index.ts'
import { say, type NormalisedBrief, type PartCompared, type PartsCompared, type Problem } from '../facts/index.ts'
import { computeFit, createScoring, type Scoring } from '../fit/index.ts'
import { describeGate } from '../gates/index.ts'
import { createBoard, type Entry } from '../lineUp/index.ts'
import { keepSpecies, type ChosenSheet } from '../market/index.ts'
import { findForms } from '../traits/index.ts'
import { atPrice, findWorth, MOST_TIMES, withCost } from './worth.ts'

/** Gates that do not speak here: which part it is and what it costs is the question. */
const ASIDE: ReadonlySet<string> = new Set(['part', 'budget', 'price-unknown', 'portionCost'])

interface Asked {
  readonly fish: string
  /** The part whose price is known: of this offer, in this form. */
  readonly offer: string
  readonly form: Form
}

/** The form in which a part is held against the reference: the same where it is sold so, else its most usual one that gives the cut. */
const formOf = (offer: ResolvedOffer, wanted: Form, dish: NormalisedBrief): Form | undefined => {
  const forms = findForms(offer, dish)
  return forms.includes(wanted) ? wanted : forms[0]
}

function comparePart(
  entry: Entry,
  reference: { readonly price: ResolvedPrice; readonly form: Form; readonly fit: number },
  dish: NormalisedBrief,
  scoring: Scoring,
): PartCompared {
  const { offer } = entry.candidate
  const form = formOf(offer, reference.form, dish)
  const common = { offerId: offer.id, part: offer.part, asked: findPrice(offer, form ?? reference.form)?.perKg.typical ?? null }
  const [gate] = entry.gates.filter((one) => !ASIDE.has(one))
  if (form === undefined || gate !== undefined)
    return {
      ...common,
      form: form ?? reference.form,
      fit: null,
      worthPerKg: null,
      because: gate ? describeGate(gate, entry.candidate, dish) : null,
    }
  const fitAt = (perKg: number) => computeFit({ offer: atPrice(offer, form, reference.price, perKg), form }, dish, scoring).fit
  const most = MOST_TIMES * reference.price.perKg.typical
  return { ...common, form, fit: fitAt(reference.price.perKg.typical), worthPerKg: findWorth(fitAt, reference.fit, most), because: null }
}

/**
 * What the parts of one fish are worth for a dish beside the one whose price is known: the price per kilogram at which each does the dish as
 * well, cost and all, with the yields of each. Parts that cannot do the dish say why.
 * @returns null in the place of the parts where the reference has no price; or every problem with its place
 */
export function compareParts(
  { fish, offer: offerId, form, ...brief }: Asked & Brief,
  sheet: ChosenSheet,
  { today }: { readonly today: string },
): Result<PartsCompared | null, readonly Problem[]> {
  const laid = createBoard(brief, keepSpecies(sheet, fish), today)
  if (!laid.ok) return laid
  const { brief: plain, entries, whole } = laid.value
  const reference = entries.find(({ candidate }) => candidate.offer.id === offerId)?.candidate.offer
  if (!reference) return { ok: false, error: [{ path: '/offer', message: say('problem.no-offer', { offer: offerId, species: fish }) }] }
  const price = findPrice(reference, form)
  const cost = computePortionCost(reference, form, plain)
  if (!price || !cost) return { ok: true, value: null }
  const dish = withCost(plain, cost.typical)
  const own = atPrice(reference, form, price, price.perKg.typical)
  const scoring = createScoring(dish, [own, ...whole])
  const { fit } = computeFit({ offer: own, form }, dish, scoring)
  const others = entries.filter(
    ({ candidate: { offer } }) => offer.origin === reference.origin && offer.state === reference.state && offer.id !== reference.id,
  )
  return {
    ok: true,
    value: {
      ...{ offerId, part: reference.part, form, perKg: price.perKg.typical, currency: price.currency, fit },
      parts: others
        .map((entry) => comparePart(entry, { price, form, fit }, dish, scoring))
        .sort((a, b) => (b.worthPerKg ?? -1) - (a.worthPerKg ?? -1) || (a.offerId < b.offerId ? -1 : 1)),
    },
  }
}
