import type { Brief, OfferSheet } from '@tender-gill/contract'

/** Some offers of a day. What is scored and which names are known is settled by all of them, so that a fish has one fit whoever stands beside it. */
export interface ChosenSheet extends OfferSheet {
  readonly chosenFrom?: OfferSheet
}

/** Sheets never change: what can be bought of one is found once. */
const kept = new WeakMap<OfferSheet, ChosenSheet>()

/**
 * What can be bought on a day: the offers that have a price, bought in the forms that have one. What can be cut from such a form still can.
 * @returns a sheet of its own; empty of offers where nothing has a price
 */
export function keepOffered(sheet: OfferSheet): ChosenSheet {
  const ready = kept.get(sheet)
  if (ready) return ready
  const offers = sheet.offers.flatMap((offer) => {
    const priced = new Set(offer.prices.map(({ form }) => form))
    if (!offer.forms.some(({ form }) => priced.has(form))) return []
    // A form nobody sells is no way to buy it, and still what is cut from the others.
    return [{ ...offer, forms: offer.forms.map((one) => (priced.has(one.form) ? one : { ...one, sold: false })) }]
  })
  const offered = { ...sheet, offers, chosenFrom: sheet }
  kept.set(sheet, offered)
  return offered
}

/**
 * The sheet that answers a dish where nothing else is said: what can be bought, or all of the book where nothing can, or where the dish brings a
 * market of its own.
 */
export function chooseOffered(sheet: OfferSheet, { market }: Pick<Brief, 'market'>): ChosenSheet {
  if (market) return sheet
  const offered = keepOffered(sheet)
  return offered.offers.length > 0 ? offered : sheet
}

/** Lets some fish in whoever offers them: those that a cook has word of. */
export function letIn(sheet: ChosenSheet, species: readonly string[]): ChosenSheet {
  const there = new Set(sheet.offers.map(({ id }) => id))
  const others = (sheet.chosenFrom ?? sheet).offers.filter((offer) => species.includes(offer.species) && !there.has(offer.id))
  return others.length > 0 ? { ...sheet, offers: [...sheet.offers, ...others] } : sheet
}
