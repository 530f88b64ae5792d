import type { Form, Learnt, LearnEvent, ResolvedOffer } from '@tender-gill/contract'
import { layPrior, learnRange, type Axis } from './posterior.ts'

type Weighed = Extract<LearnEvent, { kind: 'yield' }>

/** Shares on the axis of their odds. */
const SHARE: Axis = { to: (share) => Math.log(share / (1 - share)), from: (g) => 1 / (1 + Math.exp(-g)) }

/** Share of the whole fish that a form is as it is bought; a whole one all of it. */
const shareOf = (offer: ResolvedOffer, form: Form): number | undefined =>
  form === 'whole' ? 1 : offer.forms.find((sold) => sold.form === form)?.yieldOfWhole.typical

/** What came out, as a share of the whole fish; undefined where the book does not know what it was bought as. */
export function readShare(offer: ResolvedOffer, { boughtAs = 'whole', boughtG, edibleG }: Weighed): number | undefined {
  const bought = shareOf(offer, boughtAs)
  return bought === undefined ? undefined : (edibleG / boughtG) * bought
}

/** What weighing makes of the yields of an offer: a measurement, without noise of its own. */
export function learnYields(offer: ResolvedOffer, events: readonly Weighed[]): Learnt['yields'] {
  return offer.forms.flatMap(({ form, yieldOfWhole }) => {
    const shares = events.filter((event) => event.form === form).flatMap((event) => readShare(offer, event) ?? [])
    const prior = layPrior(yieldOfWhole, SHARE)
    if (shares.length === 0 || !prior) return []
    return [{ offerId: offer.id, form, ...learnRange(prior, shares.map(SHARE.to), 0), n: shares.length }]
  })
}
