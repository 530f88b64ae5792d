import type { Form, Price, ResolvedOffer } from '@tender-gill/contract'
import { computePerKg } from '../prices/index.ts'
import { groupBy } from '../lists/index.ts'
import type { GradeRange } from '../purchase/index.ts'

/** A quote that speaks of an offer in a form, with what a kilogram of it costs. */
export interface SpeakingQuote {
  readonly price: Price
  readonly perKg: number
}

/** Whether a quote speaks of an offer of its species: what it leaves open matches all. */
const speaksOf = ({ species, origin, state, part }: Price, offer: ResolvedOffer): boolean =>
  species === offer.species &&
  (origin ?? offer.origin) === offer.origin &&
  (state ?? offer.state) === offer.state &&
  (part ?? offer.part) === offer.part

/** A quote of no day is of now. */
const dayOf = ({ price }: SpeakingQuote): string => price.date ?? '9999'

/**
 * What is asked for an offer in a form: of each merchant the latest quote (of one day the cheapest), the cheapest merchant first; in one
 * currency, that of the offer's own price where it has one.
 */
export function findQuotes(quotes: readonly Price[], offer: ResolvedOffer, form: Form): readonly SpeakingQuote[] {
  const currency = offer.prices.find((price) => price.form === form)?.currency
  const speaking = quotes
    .filter((price) => price.form === form && speaksOf(price, offer) && (currency ?? price.currency) === price.currency)
    .flatMap((price) => {
      const perKg = computePerKg(price)
      return perKg === undefined ? [] : [{ price, perKg }]
    })
  const latest = [...groupBy(speaking, ({ price }) => price.merchant ?? '').values()].flatMap(
    (own) => [...own].sort((a, b) => (dayOf(b) < dayOf(a) ? -1 : dayOf(b) > dayOf(a) ? 1 : a.perKg - b.perKg))[0] ?? [],
  )
  return latest.sort((a, b) => a.perKg - b.perKg || ((a.price.merchant ?? '') < (b.price.merchant ?? '') ? -1 : 1))
}

const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000 }
const RANGE = /^\s*(\d+(?:[.,]\d+)?)\s*(g|kg)?\s*(?:-|–|\/|to)\s*(\d+(?:[.,]\d+)?)\s*(g|kg)\b/i

/** A size as merchants write it, “400-600 g” or “1/2 kg”; null where it is none of these. */
export function readGrade(text: string | undefined): GradeRange | null {
  const [, from = '', fromUnit, to = '', toUnit = ''] = RANGE.exec(text ?? '') ?? []
  const unit = GRAMS[toUnit.toLowerCase()]
  if (unit === undefined) return null
  const toNumber = (digits: string) => Number(digits.replace(',', '.'))
  const grade = { fromG: toNumber(from) * (GRAMS[(fromUnit ?? toUnit).toLowerCase()] ?? unit), toG: toNumber(to) * unit }
  return grade.fromG > 0 && grade.fromG <= grade.toG ? grade : null
}

/** The size a quote sells whole fish in: as it says, else that of its one piece. */
export const gradeOf = ({ grade, unit, eachG }: Price): GradeRange | null =>
  readGrade(grade) ?? (unit === 'each' && eachG !== undefined ? { fromG: eachG, toG: eachG } : null)
