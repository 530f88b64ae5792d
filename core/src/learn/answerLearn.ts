import type { Learnt, LearnEvent, LearnRequest, OfferSheet, ResolvedOffer, Result } from '@tender-gill/contract'
import { createFindSpecies } from '../brief/index.ts'
import { say, type Problem } from '../facts/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { foldEvents, ofKind } from './foldEvents.ts'
import { layChoice } from './layChoice.ts'
import { learnPulls } from './learnPulls.ts'
import { learnSwaps } from './learnSwaps.ts'
import { readShare } from './learnYields.ts'

/** What is wrong with one event, at its place. */
function findProblem(
  event: LearnEvent,
  offers: ReadonlyMap<string, ResolvedOffer>,
  isFish: (name: string) => boolean,
): Problem | undefined {
  if (event.kind === 'swap') {
    const name = [event.missing, event.standIn].find((one) => !isFish(one))
    return name === undefined
      ? undefined
      : { path: name === event.missing ? '/missing' : '/standIn', message: say('problem.no-fish', { name }) }
  }
  if (event.kind !== 'cooked' && event.kind !== 'yield') return undefined
  const offer = offers.get(event.offerId)
  if (!offer) return { path: '/offerId', message: say('problem.no-offer-named', { offer: event.offerId }) }
  if (event.kind !== 'yield') return undefined
  if (event.edibleG >= event.boughtG) return { path: '/edibleG', message: say('problem.more-than-bought') }
  const share = readShare(offer, event)
  if (share === undefined) return { path: '/boughtAs', message: say('problem.form-not-sold') }
  if (!offer.forms.some(({ form }) => form === event.form)) return { path: '/form', message: say('problem.form-not-sold') }
  return undefined
}

/**
 * What a house learns from what happened: the book as prior, entries as observations. The order of entries does not matter; nothing learnt
 * opens a gate of safety, since none is learnt.
 * @param request already valid by its schema   @returns the posteriors unrounded, or every problem with its place
 */
export function answerLearn(
  { events }: LearnRequest,
  sheet: OfferSheet,
  { today }: { readonly today: string },
): Result<Learnt, readonly Problem[]> {
  const offers = new Map(sheet.offers.map((offer) => [offer.id, offer]))
  const findSpecies = createFindSpecies(sheet.offers)
  const problems = events.flatMap((event, i) => {
    const problem = findProblem(event, offers, (name) => findSpecies(name) !== undefined)
    return problem ? [{ ...problem, path: `/events/${i}${problem.path}` }] : []
  })
  if (problems.length > 0) return { ok: false, error: problems }
  const choices = events.map((event, i) => (event.kind === 'chose' ? layChoice(event, sheet, today, `/events/${i}`) : undefined))
  const mistaken = choices.flatMap((choice) => (choice && !choice.ok ? choice.error : []))
  if (mistaken.length > 0) return { ok: false, error: mistaken }
  const accepted = ofKind(events, 'swap').map((event) => ({
    ...event,
    missing: findSpecies(event.missing) ?? event.missing,
    standIn: findSpecies(event.standIn) ?? event.standIn,
  }))
  const { traits, yields, merchants, swaps } = foldEvents([...events.filter(({ kind }) => kind !== 'swap'), ...accepted], sheet.offers)
  return {
    ok: true,
    value: {
      traits,
      yields,
      merchants,
      swaps: learnSwaps(swaps, sheet, today),
      pulls: learnPulls(choices.flatMap((choice) => (choice?.ok ? [choice.value] : []))),
      engineVersion: ENGINE_VERSION,
    },
  }
}
