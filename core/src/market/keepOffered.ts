import type { OfferSheet } from '@tender-gill/contract'

/**
 * What can be bought on a day: the offers that have a price, in the forms that have one. What can be cut from such a form still can.
 * @returns a sheet of its own; empty of offers where nothing has a price
 */
export function keepOffered(sheet: OfferSheet): OfferSheet {
  const offers = sheet.offers.flatMap((offer) => {
    const priced = new Set(offer.prices.map(({ form }) => form))
    const forms = offer.forms.filter(({ form }) => priced.has(form))
    return forms.length > 0 ? [{ ...offer, forms }] : []
  })
  return { ...sheet, offers }
}
