import type { Brief, Fact, Form, OfferSheet, Price, ResolvedOffer, ResolvedPrice, Result, TakenFish } from '@tender-gill/contract'
import { computePortionCost, computePortionToBuyG, creditTrimPerKg, findPrice } from '../amounts/index.ts'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { say, term, type BuyLine, type NormalisedBrief, type PurchaseRecord } from '../facts/index.ts'
import { COUNTED, computeWeightForRiskG, measureAmount, piecesOf, type GradeRange } from '../purchase/index.ts'
import { findForms } from '../traits/index.ts'
import { findSeller, keepSeller, type Seller, type Trade } from './findSeller.ts'
import { gradeOf } from './findQuotes.ts'
import type { DishAnswers } from './dishAnswers.ts'
import { listAsks } from './listAsks.ts'

/** One fish for one serving, before it is put together with others. */
export interface Wanted {
  readonly key: string
  readonly seller: Seller
  readonly offer: ResolvedOffer
  readonly form: Form
  readonly grade: GradeRange | null
  readonly packG: number | null
  readonly quote: Price | null
  readonly price: ResolvedPrice | undefined
  readonly asked: BuyLine['asked']
  readonly limit: BuyLine['limit']
  /** Weight that is wanted, unrounded, g. */
  readonly needG: number
  /** Fish that the serving would take alone; null where none are counted. */
  readonly alone: number | null
  readonly asks: readonly Fact[]
  readonly serving: Omit<BuyLine['servings'][number], 'needG'>
  readonly standIns: BuyLine['standIns']
  readonly cautions: BuyLine['cautions']
}

/** A serving with one of its fish, which shares the portions with the others. */
export interface WantedFish {
  readonly serving: Wanted['serving']
  readonly brief: Brief
  readonly fish: TakenFish
  /** Kinds of fish among which the portions are shared. */
  readonly kinds: number
}

type Answer<T> = Result<T, Fact>

/** The form to ask for: the one taken where somebody sells it so, else the one sold that costs least on the plate. */
function chooseForm(offer: ResolvedOffer, taken: Form, brief: NormalisedBrief): Form {
  if (findPrice(offer, taken)) return taken
  const sold = findForms(offer, brief).flatMap((form) => {
    const cost = computePortionCost(offer, form, brief)
    return cost ? [{ form, cost: cost.typical }] : []
  })
  return sold.sort((a, b) => a.cost - b.cost)[0]?.form ?? taken
}

/** How an offer is bought: whole fish of a size, or packs, as its quote says. */
function readHow(form: Form, quote: Price | null): { grade?: GradeRange; packG?: number } {
  if (!quote) return {}
  if (COUNTED.has(form)) {
    const grade = gradeOf(quote)
    return grade ? { grade } : {}
  }
  return quote.eachG !== undefined && (quote.unit === 'box' || quote.unit === 'each') ? { packG: quote.eachG } : {}
}

/** Another form than was taken is bought only where nobody sells that, and it is said. */
const tellOtherForm = (taken: Form, form: Form): BuyLine['cautions'][number] => ({
  kind: 'form',
  sentence: say('buy.other-form', { taken: term('form', taken), form: term('form', form) }),
})

/** What is wanted of it before rounding: where fish are counted, so that their number is right alone and in a sum. */
function unroundedG({ needG, weightG, kept, bought: { count, grade } }: ReturnType<typeof measureAmount>, shortChance: number): number {
  if (count === null || grade === null) return weightG
  const { eachG, variance } = piecesOf(grade)
  if (grade.suits !== null) return count * eachG
  return computeWeightForRiskG(needG, { mean: kept.mean, sd: Math.sqrt(kept.sd ** 2 + variance / count) }, shortChance)
}

/**
 * Beyond this price it is not bought without another look: what the dish allows for a portion, or the most that is asked on a day.
 * @param asked of a kilogram by the merchant's own list
 */
function findLimit(offer: ResolvedOffer, form: Form, brief: NormalisedBrief, asked: number | null): BuyLine['limit'] {
  const price = findPrice(offer, form)
  if (!price) return null
  const { typical } = price.perKg
  const high = Math.max(price.perKg.high, asked ?? 0)
  const most = brief.asks.portionCost?.to
  const cost = computePortionCost(offer, form, brief)
  const kg = computePortionToBuyG(offer, form, brief).typical / 1000
  const allowed = cost && most !== undefined && most !== null && kg > 0 ? most / kg + creditTrimPerKg(offer, form, brief) : Infinity
  return allowed >= typical && allowed < high ? { perKg: allowed, because: 'dish' } : { perKg: high, because: 'estimate' }
}

interface Context extends Trade {
  readonly today: string
  readonly sheet: OfferSheet
  readonly answers: DishAnswers
  readonly purchases: readonly PurchaseRecord[]
  /** Chance of falling short that is taken. */
  readonly shortChance: number
}

/** Changes that stand in a line's own figures. */
const IN_FIGURES: ReadonlySet<string> = new Set(['weight', 'price', 'menu-name'])

function listStandIns(
  { serving, brief, fish, kinds }: WantedFish,
  dish: NormalisedBrief,
  { sheet, answers, shortChance }: Context,
): BuyLine['standIns'] {
  const allergen = sheet.offers.find(({ id }) => id === fish.offerId)?.allergen
  return answers.rungsFor(brief, fish, sheet).flatMap(({ species, common, offerId, offer: label, form, standIn, changes }) => {
    const offer = sheet.offers.find(({ id }) => id === offerId)
    if (!offer) return []
    const { weightG, portions, bought } = measureAmount({ shortChance }, { offer, form, brief: dish })
    const { g, count } = bought
    const price = findPrice(offer, form)
    return [
      {
        ...{ servingId: serving.servingId, dish: serving.dish, species, common, offerId, offer: label, form, standIn },
        ...{ g: g / kinds, count: count === null ? null : Math.ceil(count / kinds) },
        ...{ merchant: price?.merchant ?? null, perKg: price?.perKg.typical ?? null, currency: price?.currency ?? null },
        change: changes.find(({ kind }) => !IN_FIGURES.has(kind))?.sentence ?? null,
        otherAllergen: offer.allergen !== allergen,
        asks: [...listAsks({ offer, form, portionG: weightG / portions }, dish)],
        limit: findLimit(offer, form, dish, null),
      },
    ]
  })
}

/**
 * One fish for one serving: from whom, in which form and size, how much before rounding, what is asked of the merchant, and what is accepted
 * instead.
 * @returns a reason where it cannot be bought at all
 */
export function findWanted(wanted: WantedFish, context: Context): Answer<Wanted> {
  const { brief, fish, kinds, serving } = wanted
  const { sheet, answers, shortChance } = context
  const offer = sheet.offers.find(({ id }) => id === fish.offerId)
  if (!offer) return { ok: false, error: say('buy.nothing.gone', { fish: fish.species }) }
  const dish = normaliseBrief(brief, { findSpecies: createFindSpecies(sheet.offers), today: context.today, leanings: sheet.leanings })
  if (!dish.ok) return { ok: false, error: say('buy.nothing.no-fish') }
  const ordered = context.purchases.find(
    ({ purchase }) => purchase.offerId === offer.id && purchase.servings.includes(serving.servingId),
  )?.purchase
  const form = ordered?.form ?? chooseForm(offer, fish.form, dish.value)
  const { seller, quote, perKg } = ordered ? keepSeller(ordered, offer, context) : findSeller(offer, form, serving.date, context)
  const how = readHow(form, quote)
  const cautions = answers.checkFish(brief, { ...fish, form }, sheet)
  if (!cautions.ok) return { ok: false, error: cautions.error[0]?.message ?? say('buy.nothing.no-fish') }
  const measured = measureAmount({ shortChance, ...how }, { offer, form, brief: dish.value })
  const { portions, weightG, bought } = measured
  const ofGrade = bought.count === null ? null : bought.grade && { fromG: bought.grade.fromG, toG: bought.grade.toG }
  const packG = how.packG ?? null
  const size = ofGrade ? `${ofGrade.fromG}-${ofGrade.toG}` : (packG ?? '')
  return {
    ok: true,
    value: {
      key: ordered?.line ?? [seller.name ?? '', seller.order?.delivery ?? serving.date ?? '', offer.id, form, size].join('|'),
      ...{ seller, offer, form, packG, quote, serving },
      grade: ofGrade,
      price: findPrice(offer, form),
      asked: perKg === null ? null : { perKg, date: quote?.date ?? null },
      limit: findLimit(offer, form, dish.value, perKg),
      needG: unroundedG(measured, shortChance) / kinds,
      alone: kinds > 1 ? null : bought.count,
      asks: listAsks({ offer, form, portionG: weightG / portions }, dish.value),
      standIns: listStandIns(wanted, dish.value, context),
      cautions: [...cautions.value, ...(form === fish.form ? [] : [tellOtherForm(fish.form, form)])],
    },
  }
}
