import type { BandKey, HouseLeanings } from '@tender-gill/contract'

type Asks = NonNullable<HouseLeanings['asks']>

/** The leanings with one ask's weight set, or left to the method again. */
export function setAskLeaning(leanings: HouseLeanings, key: BandKey, pull: number | null): HouseLeanings {
  const { [key]: before, ...others } = leanings.asks ?? {}
  const { pull: _pull, ...rest } = before ?? {}
  const ask = pull === null ? rest : { ...rest, pull }
  const asks: Asks = Object.keys(ask).length > 0 ? { ...others, [key]: ask } : others
  return setLeaning(leanings, 'asks', Object.keys(asks).length > 0 ? asks : undefined)
}

/** The leanings with one of them set, or with nothing said of it. */
export function setLeaning<K extends keyof HouseLeanings>(
  leanings: HouseLeanings,
  key: K,
  value: HouseLeanings[K] | undefined,
): HouseLeanings {
  const { [key]: _before, ...rest } = leanings
  return (value === undefined ? rest : { ...rest, [key]: value }) as HouseLeanings
}

/** An amount of money as people type it: nothing, a number from 0, or not a number. */
export type TypedMoney = { readonly kind: 'none' } | { readonly kind: 'amount'; readonly amount: number } | { readonly kind: 'wrong' }

export function readMoney(typed: string): TypedMoney {
  const text = typed.trim().replace(',', '.')
  if (text === '') return { kind: 'none' }
  const amount = Number(text)
  return /^\d*\.?\d+$|^\d+\.$/.test(text) && Number.isFinite(amount) && amount > 0 ? { kind: 'amount', amount } : { kind: 'wrong' }
}
