import type { AmountsRequest, Result } from '@tender-gill/contract'
import { countPortions, creditTrimPerKg, findPrice } from '../amounts/index.ts'
import { computeDaysLeft } from '../cold/index.ts'
import { phrase, say, type FormCompared, type Problem } from '../facts/index.ts'
import { findGates } from '../gates/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { keepSpecies, type ChosenSheet } from '../market/index.ts'
import { isServedRaw } from '../safety/index.ts'
import { SEEN_OF_FORM, minutesPerKg } from '../tables/labour.ts'
import { findForms } from '../traits/index.ts'
import { computeKept, listFactors } from './keptShare.ts'
import { computeWeightForRiskG } from './risk.ts'

/** At this chance a weight is what is usually needed: forms are held against each other at that. */
const EVEN = 0.5

/**
 * Every way in which one fish can be bought for a dish, the cheapest edible portion first: (price x weight + work - credit for the rest) over
 * the portions, and the price at which each would cost as much as the cheapest other.
 * @param request already valid by its schema   @returns the forms, or every problem with its place
 */
export function compareForms(
  { fish, ...brief }: Pick<AmountsRequest, 'fish'> & Parameters<typeof createBoard>[0],
  sheet: ChosenSheet,
  { today }: { readonly today: string },
): Result<readonly FormCompared[], readonly Problem[]> {
  const laid = createBoard(brief, keepSpecies(sheet, fish), today)
  if (!laid.ok) return laid
  const { brief: dish, entries, findSpecies, scoring } = laid.value
  const species = findSpecies(fish)
  const offers = entries.flatMap(({ candidate: { offer } }) => (offer.species === species ? [offer] : []))
  if (offers.length === 0) return { ok: false, error: [{ path: '/fish', message: say('problem.no-fish', { name: fish }) }] }
  const portions = countPortions(dish)
  const rows = offers.flatMap((offer) =>
    findForms(offer, dish).flatMap((form) => {
      if (findGates({ offer, form }, dish, scoring).some((gate) => gate !== 'budget' && gate !== 'price-unknown')) return []
      const weightG = computeWeightForRiskG(portions * dish.portionG, computeKept(listFactors(offer, form, dish)), EVEN)
      const kg = weightG / 1000
      const minutes = kg * minutesPerKg(form, dish.format)
      const price = findPrice(offer, form)
      const credit = kg * creditTrimPerKg(offer, form, dish)
      // An hour in another currency than the price is not counted: two currencies are never added without a rate.
      const { labour } = sheet.leanings ?? {}
      const work = labour && (!price || labour.currency === price.currency) ? (minutes / 60) * labour.perHour : 0
      const rest = work - credit
      return [
        {
          offer,
          form,
          weightG,
          kg,
          minutes,
          price,
          work,
          credit,
          rest,
          perPortion: price ? (kg * price.perKg.typical + rest) / portions : null,
        },
      ]
    }),
  )
  const cheapestBut = (row: (typeof rows)[number]): number | null => {
    const others = rows.flatMap((other) =>
      other !== row && other.perPortion !== null && other.price?.currency === (row.price?.currency ?? other.price?.currency)
        ? [other.perPortion]
        : [],
    )
    return others.length > 0 ? Math.min(...others) : null
  }
  return {
    ok: true,
    value: rows
      .map((row): FormCompared => {
        const { offer, form, weightG, kg, minutes, price, work, credit, rest, perPortion } = row
        const other = cheapestBut(row)
        return {
          offerId: offer.id,
          offer: offer.label,
          form,
          weightG,
          minutes,
          perKg: price?.perKg.typical ?? null,
          currency: price?.currency ?? null,
          perPortion,
          workPerPortion: work / portions,
          creditPerPortion: credit / portions,
          breakEvenPerKg: other === null ? null : Math.max(0, (other * portions - rest) / kg),
          daysLeft: computeDaysLeft(offer, { servedRaw: isServedRaw(dish) }),
          seen: phrase(SEEN_OF_FORM[form]),
        }
      })
      .sort((a, b) => (a.perPortion ?? Infinity) - (b.perPortion ?? Infinity) || (a.offerId + a.form < b.offerId + b.form ? -1 : 1)),
  }
}
