import type { AskKey } from '@tender-gill/contract'
import * as plain from '@tender-gill/words/plain'
import { reader, terms } from './reader.ts'

/** The words of the trade, as this person reads them. */
export const {
  ask: ASK_LABEL,
  form: FORM_LABEL,
  format: FORMAT_LABEL,
  method: METHOD_LABEL,
  style: STYLE_LABEL,
  gate: GATE_LABEL,
  differences: DIFFERENCE_WORDS,
} = terms

/** @param month 1..12 */
export const nameMonth = (month: number): string => plain.nameMonth(month, terms)
/** A day as people say it, "16 June". @param date ISO date */
export const describeDay = (date: string): string => plain.nameDay(date, terms)
/** A moment where the reader is, "13 June 2026, 09:05". @param at ISO 8601 */
export const describeMoment = (at: string): string => {
  const then = new Date(at)
  const time = then.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
  return `${then.getDate()} ${nameMonth(then.getMonth() + 1)} ${then.getFullYear()}, ${time}`
}
/** The word for a step of a 0 to 10 scale. */
export const describeStep = (ask: AskKey, value: number): string => plain.nameStep(ask, value, terms)
/** A value of what is asked for, with its unit. */
export const describeValue = (ask: AskKey, value: number): string => plain.formatTrait(ask, value, terms, reader)
/** A band in words: "firm (6) or more". */
export const describeBand = (ask: AskKey, from: number | null, to: number | null): string => plain.formatBand(ask, from, to, terms, reader)
/** A bound that no score buys back: "no less than 4". */
export const describeBound = (ask: AskKey, { from, to }: { readonly from: number | null; readonly to: number | null }): string =>
  plain.formatBound(ask, from, to, terms, reader)

/** @param currency ISO 4217 */
export const formatMoney = (amount: number, currency: string): string => plain.formatMoney(amount, currency, reader)
/** A range of money, its sign or code once. @param currency ISO 4217 */
export const formatMoneyRange = (low: number, high: number, currency: string): string =>
  plain.formatMoneyRange(low, high, currency, terms, reader)
/** The same of what this person buys by. @param low price of a kilogram   @param high price of a kilogram */
export const formatMassPriceRange = (low: number, high: number, currency: string): string =>
  formatMoneyRange(toMassPrice(low), toMassPrice(high), currency)
/** "€18.40 a kilo", or a pound. @param perKg price of a kilogram */
export const formatMassPrice = (perKg: number, currency: string): string => plain.formatMassPrice(perKg, currency, terms, reader)
/** The same as a bare figure, for an axis. */
export const toMassPrice = (perKg: number): number => plain.toMassPrice(perKg, reader)
/** The unit in which this reader weighs what is bought, and how many grams it is. */
export const MASS_UNIT: 'lb' | 'kg' = reader.units === 'us' ? 'lb' : 'kg'
export const GRAMS_PER_MASS_UNIT = reader.units === 'us' ? 453.592_37 : 1000
/** The unit in which this reader weighs a piece or a portion, and how many grams it is. */
export const PIECE_UNIT = reader.units === 'us' ? 'oz' : 'g'
export const GRAMS_PER_PIECE_UNIT = reader.units === 'us' ? 28.349_523_125 : 1
/** What a price is of, at the head of a chart: "A kilo". */
export const MASS_PRICED = reader.units === 'us' ? terms.figures.pound : terms.figures.kilo
/** A weight as it is put on a scale. @param g grams */
export const formatMass = (g: number): string => plain.formatExactMass(g, reader)
/** A weight to buy, rounded up. @param g grams */
export const formatMassToBuy = (g: number): string => plain.formatMassToBuy(g, reader)
/** A weight as it is spoken of: "240 g", "2.4 kg". @param g grams */
export const describeMass = (g: number): string => plain.formatMass(g, reader)
/** @param mm millimetres */
export const formatLength = (mm: number): string => plain.formatLength(mm, reader)
/** @param celsius degrees */
export const formatTemperature = (celsius: number): string => plain.formatTemperature(celsius, reader)
