import type { HouseSwap, LearntMerchant, OfferSheet, ResolvedOffer } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'
import type { Folded } from './foldEvents.ts'

const plain = ({ low, typical, high }: { readonly low: number; readonly typical: number; readonly high: number }) => ({
  low,
  typical,
  high,
})

type OfOffer = { readonly [K in 'traits' | 'yields']: readonly Folded[K][number][] }

function layOffer(offer: ResolvedOffer, { traits, yields }: OfOffer, swapped: readonly HouseSwap[]): ResolvedOffer {
  const learnt = Object.fromEntries(
    traits.flatMap(({ trait, n, ...range }) => {
      const book = offer.traits[trait]
      // What somebody of the house set by hand stands above what is learnt.
      return book.basis === 'house' ? [] : [[trait, { ...plain(range), basis: 'house' as const, learnt: { n, book: plain(book) } }]]
    }),
  )
  return {
    ...offer,
    traits: { ...offer.traits, ...learnt },
    forms: offer.forms.map((sold) => {
      const own = yields.find(({ form }) => form === sold.form)
      return own ? { ...sold, yieldOfWhole: plain(own), learnt: { n: own.n, book: plain(sold.yieldOfWhole) } } : sold
    }),
    ...(swapped.length > 0 && { swapped: [...swapped] }),
  }
}

/**
 * What a house has learnt of fish laid over the offers of a day, each value with the book's beside it. Nothing that safety rests on is
 * learnt, so that nothing laid here opens one of its gates. What a species learnt as a stand-in stands with each of its offers.
 */
export function layLearnt(sheet: OfferSheet, { traits, yields, merchants, swaps }: Folded): OfferSheet {
  const traitsOf = groupBy(traits, ({ offerId }) => offerId)
  const yieldsOf = groupBy(yields, ({ offerId }) => offerId)
  const swapsOf = groupBy(swaps, ({ standIn }) => standIn)
  return {
    ...sheet,
    offers: sheet.offers.map((offer) => {
      const own = { traits: traitsOf.get(offer.id) ?? [], yields: yieldsOf.get(offer.id) ?? [] }
      const swapped = (swapsOf.get(offer.species) ?? []).map(({ standIn: _self, ...swap }) => swap)
      return own.traits.length + own.yields.length + swapped.length > 0 ? layOffer(offer, own, swapped) : offer
    }),
    ...(merchants.length > 0 && { merchants: [...merchants] }),
  }
}

/** How surely each merchant delivers, laid beside its prices. */
export function layMerchants(sheet: OfferSheet, merchants: readonly LearntMerchant[]): OfferSheet {
  const known = new Map(merchants.flatMap(({ merchant, failChance, n }) => (n > 0 ? [[merchant, { chance: failChance, n }] as const] : [])))
  return {
    ...sheet,
    offers: sheet.offers.map((offer) =>
      offer.prices.some(({ merchant }) => known.has(merchant ?? ''))
        ? {
            ...offer,
            prices: offer.prices.map((price) => {
              const fails = known.get(price.merchant ?? '')
              return fails ? { ...price, fails } : price
            }),
          }
        : offer,
    ),
  }
}
