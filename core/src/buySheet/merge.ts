import type { Fact } from '@tender-gill/contract'
import { say, type BuyLine, type BuyOrder } from '../facts/index.ts'
import { groupBy } from '../lists/index.ts'
import { countSteps, piecesOf, USUAL_STEP_G, type GradeRange } from '../purchase/index.ts'
import type { Wanted } from './wanted.ts'

/**
 * What is bought for several servings together: their unrounded weights are added and rounded once, up, to fish of a grade, packs or steps.
 * Fish that are cut up are never fewer than any of the servings would take alone.
 */
function roundUp(wanted: readonly Wanted[], grade: GradeRange | null, packG: number | null): BuyLine['buy'] {
  const needG = wanted.reduce((sum, one) => sum + one.needG, 0)
  if (packG !== null) {
    const packs = countSteps(needG, packG)
    return { g: packs * packG, count: null, packs, packG, roundedUpG: packs * packG - needG }
  }
  if (grade !== null) {
    const { eachG } = piecesOf(grade)
    const count = Math.max(1, countSteps(needG, eachG), ...wanted.map((one) => one.alone ?? 0))
    return { g: count * eachG, count, packs: null, packG: null, roundedUpG: count * eachG - needG }
  }
  const g = countSteps(needG, USUAL_STEP_G) * USUAL_STEP_G
  return { g, count: null, packs: null, packG: null, roundedUpG: g - needG }
}

const uniqueBy = <T>(items: readonly T[], keyOf: (item: T) => string): T[] => [
  ...new Map(items.map((item) => [keyOf(item), item])).values(),
]

/** What is asked of the merchant: for all of it, or for the part of one dish. */
function mergeAsks(wanted: readonly Wanted[]): Fact[] {
  const keyed = wanted.map((one) => ({ dish: one.serving.dish, asks: one.asks.map((ask) => ({ ask, key: JSON.stringify(ask) })) }))
  const inAll = (key: string) => keyed.every(({ asks }) => asks.some((ask) => ask.key === key))
  const told = keyed.flatMap(({ dish, asks }) => asks.map(({ ask, key }) => (inAll(key) ? ask : say('buy.ask.for-dish', { dish, ask }))))
  return uniqueBy(told, (ask) => JSON.stringify(ask))
}

/** One line out of all servings that use one quote in one delivery. */
function mergeLine(key: string, wanted: readonly [Wanted, ...Wanted[]]): BuyLine {
  const [{ offer, form, grade, packG, price, asked, limit, quote }] = wanted
  const buy = roundUp(wanted, grade, packG)
  const least = quote?.minimumKg
  return {
    ...{ key, species: offer.species, common: offer.common, offerId: offer.id, offer: offer.label, form, grade },
    needG: wanted.reduce((sum, { needG }) => sum + needG, 0),
    buy,
    ...{ perKg: price?.perKg ?? null, currency: price?.currency ?? null, asked },
    goods: price ? (buy.g / 1000) * price.perKg.typical : null,
    limit: wanted.reduce((lowest, one) => (one.limit && lowest && one.limit.perKg < lowest.perKg ? one.limit : lowest), limit),
    leastKg: least !== undefined && least * 1000 > buy.g ? least : null,
    asks: mergeAsks(wanted),
    servings: wanted.map(({ serving, needG }) => ({ ...serving, needG })),
    standIns: wanted.flatMap(({ standIns }) => standIns),
    cautions: uniqueBy(
      wanted.flatMap(({ cautions }) => cautions),
      (caution) => JSON.stringify(caution),
    ),
    purchase: null,
  }
}

/** Money, a currency each. */
export function sumMoney(lines: readonly BuyLine[]): { amount: number; currency: string }[] {
  const sums = new Map<string, number>()
  for (const { goods, currency } of lines) if (goods !== null && currency !== null) sums.set(currency, (sums.get(currency) ?? 0) + goods)
  return [...sums].map(([currency, amount]) => ({ amount, currency }))
}

const PLACE: Readonly<Record<BuyOrder['state'], number>> = { open: 0, late: 1, 'no-days': 2, nobody: 3 }
/** What must be ordered soonest first; then what is too late, what nobody delivers on a known day, what nobody offers. */
const placeOf = ({ state, orderBy, merchant }: BuyOrder): string =>
  `${PLACE[state]} ${orderBy?.date ?? ''} ${orderBy?.time ?? ''} ${merchant ?? ''}`

/** What one merchant brings in one delivery. */
function mergeOrder(wanted: readonly [Wanted, ...Wanted[]]): BuyOrder {
  const [{ seller }] = wanted
  const lines = [...groupBy(wanted, ({ key }) => key)]
    .map(([key, own]) => mergeLine(key, own as readonly Wanted[] as readonly [Wanted, ...Wanted[]]))
    .sort((a, b) => a.common.localeCompare(b.common) || (a.key < b.key ? -1 : 1))
  const goods = sumMoney(lines)
  const least = seller.merchant?.minimumOrder ?? null
  const there = goods.find(({ currency }) => currency === least?.currency)?.amount ?? 0
  return {
    ...{ merchant: seller.name, state: seller.state, delivery: seller.order?.delivery ?? null, orderBy: seller.order?.orderBy ?? null },
    note: seller.merchant?.note ?? null,
    lines,
    goods,
    minimum: least && { ...least, missing: Math.max(0, least.amount - there) },
  }
}

/** Everything that is wanted as orders, the soonest first. */
export const mergeOrders = (wanted: readonly Wanted[]): BuyOrder[] =>
  [...groupBy(wanted, ({ seller: { name, state, order } }) => `${state}|${name ?? ''}|${order?.delivery ?? ''}`).values()]
    .map((own) => mergeOrder(own as readonly Wanted[] as readonly [Wanted, ...Wanted[]]))
    .sort((a, b) => (placeOf(a) < placeOf(b) ? -1 : 1))
