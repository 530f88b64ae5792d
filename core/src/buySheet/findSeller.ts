import type { Merchant, OrderDay, Price, ResolvedOffer, Form } from '@tender-gill/contract'
import { findPrice } from '../amounts/index.ts'
import type { BuyOrder, PurchaseRecord } from '../facts/index.ts'
import { findDeadline, planOrder, type LocalMoment } from '../orders/index.ts'
import { findQuotes } from './findQuotes.ts'

/** Who is asked for a fish, and whether it can still come in time. */
export interface Seller {
  readonly name: string | null
  readonly merchant: Merchant | null
  readonly order: OrderDay | null
  readonly state: BuyOrder['state']
}

/** What can be ordered from whom, and what time it is. */
export interface Trade {
  readonly now: LocalMoment
  readonly merchants: readonly Merchant[]
  /** Quotes that stand: the latest list of each merchant, and prices typed in. */
  readonly quotes: readonly Price[]
}

export interface Found {
  readonly seller: Seller
  readonly quote: Price | null
  /** What a kilogram was asked for last. */
  readonly perKg: number | null
}

/** From whom something was ordered: hours that pass and other quotes move it to nobody else. */
export function keepSeller(
  { merchant: name, date, form }: PurchaseRecord['purchase'],
  offer: ResolvedOffer,
  { merchants, quotes }: Trade,
): Found {
  const merchant = merchants.find((one) => one.name === name) ?? null
  const own = findQuotes(quotes, offer, form).find(({ price }) => (price.merchant ?? null) === name)
  const order = merchant && { merchant: merchant.name, delivery: date, orderBy: findDeadline(merchant, date) }
  return { quote: own?.price ?? null, perKg: own?.perKg ?? null, seller: { name, merchant, order, state: order ? 'open' : 'no-days' } }
}

/**
 * Who is asked for an offer in a form: the cheapest of those that can still bring it by the day, else the cheapest that could have, else
 * whoever named a price. Nobody, where it has no price.
 * @param date the day it is served; null where it waits for one
 */
export function findSeller(offer: ResolvedOffer, form: Form, date: string | null, { now, merchants, quotes }: Trade): Found {
  const known = new Map(merchants.map((merchant) => [merchant.name, merchant]))
  const price = findPrice(offer, form)
  const speaking = findQuotes(quotes, offer, form).map(({ price: quote, perKg }) => ({ quote, perKg, name: quote.merchant ?? null }))
  // A price whose list is no more the merchant's latest still says who had it.
  const named = speaking.length > 0 || !price ? speaking : [{ quote: null, perKg: null, name: price.merchant }]
  const sellers = named.map(({ quote, perKg, name }): Found => {
    const merchant = (name === null ? undefined : known.get(name)) ?? null
    const order = merchant && planOrder(merchant, now, date)
    return { quote, perKg, seller: { name, merchant, order, state: order ? 'open' : merchant ? 'late' : 'no-days' } }
  })
  const first = (state: Seller['state']) => sellers.find(({ seller }) => seller.state === state)
  return (
    first('open') ??
    first('late') ??
    first('no-days') ?? { seller: { name: null, merchant: null, order: null, state: 'nobody' }, quote: null, perKg: null }
  )
}
