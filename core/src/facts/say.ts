import type { BandKey, Fact, FactParam, Quantity, Term } from '@tender-gill/contract'
import type { FactCode, ParamsOf } from './codes/index.ts'

/** A fact of a code with exactly the parameters its sentence takes. */
export const say = <C extends FactCode>(
  code: C,
  ...[params]: ParamsOf<C> extends never ? [] : [params: Readonly<Record<ParamsOf<C>, FactParam>>]
): Fact => ({ code, params: params ?? {} })

/** A text of the tables or of the book. */
export const phrase = (text: string): Fact => say('phrase', { text })

/** A name, the same in every language. */
export const named = (text: string): Fact => say('name', { text })

/** @param g grams */
export const mass = (g: number): Quantity => ({ quantity: 'mass', g })
/** A mass that is bought. @param g grams */
export const massToBuy = (g: number): Quantity => ({ quantity: 'mass-to-buy', g })
/** @param perKg of a kilogram   @param currency ISO 4217 */
export const massPrice = (perKg: number, currency: string): Quantity => ({ quantity: 'mass-price', perKg, currency })
/** @param mm millimetres */
export const length = (mm: number): Quantity => ({ quantity: 'length', mm })
/** @param degrees Celsius */
export const celsius = (degrees: number): Quantity => ({ quantity: 'temperature', celsius: degrees })
export const minutes = (min: number): Quantity => ({ quantity: 'time', minutes: min })
/** @param n days, as on ice */
export const days = (n: number): Quantity => ({ quantity: 'days', days: n })
/** @param currency ISO 4217; null where it is not known */
export const money = (amount: number, currency: string | null): Quantity => ({ quantity: 'money', amount, currency })
/** @param of 1 0..1 is usual; more where something doubles */
export const share = (of1: number): Quantity => ({ quantity: 'share', share: of1 })
/** A plain number, to so many digits behind the point at most. */
export const figure = (value: number, digits = 0): Quantity => ({ quantity: 'number', value, digits })
/** A value of what is asked for, with the word for it. */
export const trait = (ask: string, value: number): Quantity => ({ quantity: 'trait', ask, value })
export const band = (ask: BandKey | string, from: number | null, to: number | null): Quantity => ({ quantity: 'band', ask, from, to })
/** A bound that no score buys back. */
export const bound = (ask: string, from: number | null, to: number | null): Quantity => ({ quantity: 'bound', ask, from, to })

export const term = (kind: Term['term'], key: string): Term => ({ term: kind, key })
