import type { Entry, EntryLine, LookBack, ResolvedOffer } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'

type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>

export interface LookBackContext {
  /** The book as it is shipped, before anything learnt is laid over it. */
  readonly offers: readonly ResolvedOffer[]
  /** What the rest of the fish that went into something else weighed, and what it would have cost, by the day it was used. */
  readonly rest: readonly {
    readonly day: string
    readonly g: number
    readonly worth: { readonly currency: string; readonly amount: number } | null
  }[]
}

const byKey = <T>([a]: readonly [string, T], [b]: readonly [string, T]): number => (a < b ? -1 : 1)
const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length

/**
 * What was expected and what came, between two days, both counted: prices, yields, minutes, merchants, swaps, fish used and thrown away,
 * what the rest of the fish saved. Lines set aside are left out; they were odd.
 */
export function lookBack(
  lines: readonly EntryLine[],
  { from, to }: { readonly from: string; readonly to: string },
  { offers, rest }: LookBackContext,
): LookBack {
  const entries = lines
    .filter(({ setAside, entry: { day } }) => !setAside && from <= day && day <= to)
    .map(({ entry }) => entry)
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))
  const of = <K extends Entry['kind']>(kind: K): readonly Of<K>[] => entries.filter((entry): entry is Of<K> => entry.kind === kind)
  const byId = new Map(offers.map((offer) => [offer.id, offer]))
  const names = new Map(offers.map(({ species, common }) => [species, common]))
  const nameOf = (species: string | null): string => names.get(species ?? '') ?? species ?? ''
  const bought = of('bought')
  const came = bought.filter(({ state }) => state !== 'ordered')
  const prices = came.flatMap(({ day, species, merchant, perKg, expectedPerKg, currency }) =>
    perKg !== null && expectedPerKg !== null && currency !== null
      ? [{ day, common: nameOf(species), merchant, perKg, expectedPerKg, currency }]
      : [],
  )
  const looks = of('looked')
  const merchants = new Set([...came, ...looks].flatMap(({ merchant }) => merchant ?? []))
  const ends = of('kept')
  const within = rest.filter(({ day }) => from <= day && day <= to)
  const months = new Set([...ends, ...within].map(({ day }) => day.slice(0, 7)))
  const sum = (values: readonly number[]): number => values.reduce((all, value) => all + value, 0)
  const served = of('served')
  return {
    ...{ from, to, prices },
    yields: of('weighed').flatMap(({ day, species, offerId, form, boughtAs, boughtG, edibleG }) => {
      const forms = byId.get(offerId ?? '')?.forms ?? []
      const book = forms.find((sold) => sold.form === form)?.yieldOfWhole
      const whole = boughtAs === 'whole' ? 1 : forms.find((sold) => sold.form === boughtAs)?.yieldOfWhole.typical
      if (!book || !form || whole === undefined) return []
      const { low, typical, high } = book
      return [{ day, common: nameOf(species), form, share: (edibleG / boughtG) * whole, book: { low, typical, high } }]
    }),
    minutes: of('cooked').flatMap(({ day, dish, species, minutes, sheetMinutes }) =>
      minutes !== null && sheetMinutes && dish !== null ? [{ day, dish, common: nameOf(species), minutes, sheet: sheetMinutes }] : [],
    ),
    merchants: [...merchants].sort().map((merchant) => {
      const lines = came.filter((one) => one.merchant === merchant)
      const seen = looks.filter((one) => one.merchant === merchant)
      const paid = prices.filter((one) => one.merchant === merchant)
      return {
        ...{ merchant, lines: lines.length, failed: lines.filter(({ state }) => state !== 'bought').length, looks: seen.length },
        iceDays: mean(seen.flatMap(({ iceDays }) => iceDays?.typical ?? [])),
        priceShare: mean(paid.map(({ perKg, expectedPerKg }) => perKg / expectedPerKg)),
      }
    }),
    swaps: [
      ...groupBy(
        of('swapped').filter(({ worked }) => worked !== null),
        ({ missing, standIn }) => `${nameOf(missing)}|${nameOf(standIn)}`,
      ),
    ]
      .sort(byKey)
      .map(([, own]) => ({
        ...{ missing: nameOf(own[0]?.missing ?? null), standIn: nameOf(own[0]?.standIn ?? null) },
        ...{ worked: own.filter(({ worked }) => worked).length, n: own.length },
      })),
    fish: [...months].sort().map((month) => {
      const g = (end: 'used' | 'thrown') => sum(ends.filter((one) => one.end === end && one.day.startsWith(month)).map((one) => one.g))
      return {
        month,
        usedG: g('used'),
        thrownG: g('thrown'),
        restG: sum(within.filter(({ day }) => day.startsWith(month)).map((one) => one.g)),
      }
    }),
    saved: [
      ...groupBy(
        within.flatMap(({ worth }) => worth ?? []),
        ({ currency }) => currency,
      ),
    ]
      .sort(byKey)
      .map(([currency, own]) => ({ currency, amount: sum(own.map(({ amount }) => amount)) })),
    services: {
      dishes: served.length,
      again: served.filter(({ again }) => again === true).length,
      notAgain: served.filter(({ again }) => again === false).length,
      portionsBack: sum(of('came-back').map(({ portions }) => portions)),
    },
  }
}
