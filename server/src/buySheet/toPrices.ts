import type { Price, PurchaseRecord, ResolvedOffer } from '@tender-gill/contract'

/** What came and what was paid for it, as prices of the days it came; what has no price yet, or is of no offer of the book, is none. */
export function toPrices(purchases: readonly PurchaseRecord[], offers: readonly ResolvedOffer[]): readonly Price[] {
  if (purchases.length === 0) return []
  const byId = new Map(offers.map((offer) => [offer.id, offer]))
  return purchases.flatMap(({ id, purchase: { state, date: due, paidOn, merchant, offerId, form, perKg, currency } }): readonly Price[] => {
    const offer = byId.get(offerId)
    if (!offer || perKg === null || currency === null || (state !== 'bought' && state !== 'short')) return []
    const { species, origin, state: sold, part } = offer
    const date = paidOn ?? due
    return [
      {
        id,
        date,
        species,
        origin,
        state: sold,
        part,
        form,
        price: perKg,
        currency,
        unit: 'kg',
        ...(merchant === null ? {} : { merchant }),
      },
    ]
  })
}
