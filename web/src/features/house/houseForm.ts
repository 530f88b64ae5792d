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
