import type { AskKey, Quantity } from '@tender-gill/contract'
import type { Reader } from './reader.ts'
import { fill, type Terms } from './terms.ts'

const GRAMS_PER_OZ = 28.349523125
const GRAMS_PER_LB = 453.59237
const MM_PER_INCH = 25.4

const round = (value: number, digits: number): string => String(Number(value.toFixed(digits)))
const LOCALE = 'en'

/** @param g grams; a kilogram and more in kilograms, a pound and more in pounds */
export function formatMass(g: number, { units }: Pick<Reader, 'units'>): string {
  if (units === 'us') return g >= GRAMS_PER_LB ? `${round(g / GRAMS_PER_LB, 1)} lb` : `${round(g / GRAMS_PER_OZ, g < 100 ? 1 : 0)} oz`
  return g >= 1000 ? `${round(Math.round(g / 100) / 10, 1)} kg` : `${Math.round(g)} g`
}
/** A mass as it is read off a scale. @param g grams */
export function formatExactMass(g: number, { units }: Pick<Reader, 'units'>): string {
  if (units === 'us') return g >= GRAMS_PER_LB ? `${(g / GRAMS_PER_LB).toFixed(2)} lb` : `${(g / GRAMS_PER_OZ).toFixed(1)} oz`
  return g >= 1000 ? `${(g / 1000).toFixed(g >= 10_000 ? 1 : 2)} kg` : `${Math.round(g)} g`
}
/** A mass to buy, rounded up so that rounding never hides a shortfall. @param g grams */
export function formatMassToBuy(g: number, reader: Pick<Reader, 'units'>): string {
  const metricStep = g >= 10_000 ? 100 : g >= 1000 ? 10 : 1
  const usStep = g >= GRAMS_PER_LB ? GRAMS_PER_LB / 100 : GRAMS_PER_OZ / 10
  const step = reader.units === 'us' ? usStep : metricStep
  return formatExactMass(Math.ceil(g / step - 1e-9) * step, reader)
}
/** @param mm millimetres */
export const formatLength = (mm: number, { units }: Pick<Reader, 'units'>): string =>
  units === 'us' ? `${round(mm / MM_PER_INCH, mm < 2 * MM_PER_INCH ? 2 : 1)} in` : `${Math.round(mm)} mm`
/** @param celsius degrees */
export const formatTemperature = (celsius: number, { units }: Pick<Reader, 'units'>): string =>
  units === 'us' ? `${Math.round((celsius * 9) / 5 + 32)} °F` : `${round(celsius, 1)} °C`

const currencies = new Map<string, Intl.NumberFormat>()
function symbolFormat(currency: string): Intl.NumberFormat {
  const ready = currencies.get(currency) ?? new Intl.NumberFormat(LOCALE, { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
  currencies.set(currency, ready)
  return ready
}
/** @param currency ISO 4217; null where it is not known, and only the figure is told */
export function formatMoney(amount: number, currency: string | null, { money }: Pick<Reader, 'money'>): string {
  if (currency === null) return amount.toFixed(2)
  return money === 'code' ? `${amount.toFixed(2)} ${currency}` : symbolFormat(currency).format(amount)
}
/** A range of money with its sign or code once: "€3.58 to 3.94", "3.58 to 3.94 EUR". */
export function formatMoneyRange(low: number, high: number, currency: string, terms: Terms, reader: Reader): string {
  const digits = symbolFormat(currency).resolvedOptions().maximumFractionDigits ?? 2
  const [from, to] =
    reader.money === 'code'
      ? [low.toFixed(2), formatMoney(high, currency, reader)]
      : [formatMoney(low, currency, reader), high.toFixed(digits)]
  return fill(terms.bands.between, { from, to })
}
/** A price of a kilogram as one of what this reader buys by: a kilogram or a pound. */
export const toMassPrice = (perKg: number, { units }: Pick<Reader, 'units'>): number =>
  units === 'us' ? (perKg * GRAMS_PER_LB) / 1000 : perKg
/** The same with its unit: "€18.40 a kilo". */
export const formatMassPrice = (perKg: number, currency: string, terms: Terms, reader: Reader): string =>
  fill(reader.units === 'us' ? terms.figures.aPound : terms.figures.aKilo, {
    price: formatMoney(toMassPrice(perKg, reader), currency, reader),
  })

/** The word for a step of a 0 to 10 scale. */
export function nameStep(ask: AskKey, value: number, { steps }: Terms): string {
  const words = steps[ask]
  if (!words) return round(value, 1)
  return words[Math.min(words.length - 1, Math.max(0, Math.floor((value / 10) * words.length)))] ?? round(value, 1)
}

/** A value of what is asked for with its unit, as a cook would read it. */
export function formatTrait(ask: AskKey, value: number, terms: Terms, reader: Reader): string {
  const { figures } = terms
  switch (ask) {
    case 'fat':
      return fill(figures.fat, { figure: round(value, 1) })
    case 'thickness':
      return formatLength(value, reader)
    case 'weight':
      return formatMass(value, reader)
    case 'portionCost':
      return value.toFixed(2)
    case 'landings':
      return fill(figures.landings, { figure: String(Math.round(value * 100)) })
    case 'mercury':
      return fill(figures.mercury, { figure: round(value, 2) })
    case 'offFlavour':
      return round(value, 1)
    case 'marketClass':
      return value < 0.5 ? figures.underUsed : value < 1.5 ? figures.everyday : figures.premium
    case 'stock':
      return fill(figures.stock, { figure: String(Math.round(value)) })
    default:
      return fill(figures.step, { word: nameStep(ask, value, terms), figure: round(value, 1) })
  }
}

/** A band in words: "firm (6) or more", "4 g in 100 g at most", "medium (4.5) to firm (7.5)". */
export function formatBand(ask: AskKey, from: number | null, to: number | null, terms: Terms, reader: Reader): string {
  const { bands, steps } = terms
  const say = (value: number) => formatTrait(ask, value, terms, reader)
  const openFrom = from === null || (from <= 0 && ask !== 'flake')
  if (openFrom && to === null) return bands.any
  if (openFrom) return fill(bands.atMost, { to: say(to ?? 0) })
  if (to === null || (to >= 10 && steps[ask])) return fill(bands.orMore, { from: say(from) })
  if (ask === 'fat') return fill(bands.between, { from: round(from, 1), to: say(to) })
  if (ask === 'thickness' && reader.units === 'metric') return fill(bands.between, { from: String(Math.round(from)), to: say(to) })
  return fill(bands.between, { from: say(from), to: say(to) })
}

/** A bound that no score buys back, as a bare figure: "no less than 4". */
export function formatBound(ask: AskKey, from: number | null, to: number | null, terms: Terms, reader: Reader): string {
  const { bands, steps } = terms
  const figure = (value: number) => (steps[ask] ? round(value, 1) : formatTrait(ask, value, terms, reader))
  const least = from === null ? undefined : fill(bands.noLess, { from: figure(from) })
  const most = to === null ? undefined : fill(bands.noMore, { to: figure(to) })
  return least !== undefined && most !== undefined ? fill(bands.both, { first: least, second: most }) : (least ?? most ?? bands.any)
}

/** Any quantity, as a person reads it. */
export function formatQuantity(quantity: Quantity, terms: Terms, reader: Reader): string {
  const { figures } = terms
  switch (quantity.quantity) {
    case 'mass':
      return formatMass(quantity.g, reader)
    case 'mass-to-buy':
      return formatMassToBuy(quantity.g, reader)
    case 'mass-price':
      return formatMassPrice(quantity.perKg, quantity.currency, terms, reader)
    case 'length':
      return formatLength(quantity.mm, reader)
    case 'temperature':
      return formatTemperature(quantity.celsius, reader)
    case 'time':
      return fill(figures.minutes, { figure: round(quantity.minutes, 1) })
    case 'days':
      return fill(figures.days, { figure: quantity.days.toFixed(1) })
    case 'money':
      return formatMoney(quantity.amount, quantity.currency, reader)
    case 'share':
      return fill(figures.share, { figure: round(quantity.share * 100, 1) })
    case 'number':
      return round(quantity.value, quantity.digits)
    case 'trait':
      return formatTrait(quantity.ask as AskKey, quantity.value, terms, reader)
    case 'band':
      return formatBand(quantity.ask as AskKey, quantity.from, quantity.to, terms, reader)
    case 'bound':
      return formatBound(quantity.ask as AskKey, quantity.from, quantity.to, terms, reader)
  }
}
