import type { Fact, Form, ResolvedOffer, ResolvedPrice, Result, SeenFish } from '@tender-gill/contract'
import { say, type Problem } from '../facts/index.ts'
import type { FindSpecies } from '../brief/index.ts'
import { computePerKg } from '../prices/index.ts'
import { SEEN_DEPTH_SPREAD } from '../tables/constants.ts'

/** A fish that was seen, as the engine judges it: the book's offers it may be, with what was read off the counter laid over them. */
export interface Seen {
  readonly species: string
  readonly common: string
  /** The book's offers it may be, as the sheet has them. */
  readonly matches: readonly ResolvedOffer[]
  /** What was read off the counter laid over one of them, under a name of its own: over the sheet's, or over the same with a dish's day on it. */
  readonly dress: (offer: ResolvedOffer) => ResolvedOffer
  /** How it lies there; null where that was not said. */
  readonly form: Form | null
  /** What lies there in all, g; null where it was not weighed. */
  readonly totalG: number | null
}

type Answer<T> = Result<T, readonly Problem[]>
const refuse = (path: string, message: Fact): Answer<never> => ({ ok: false, error: [{ path, message }] })

/** The offers of a species that are what was said of the fish; refuses, at its place, what the book does not have. */
function findOffers(seen: SeenFish, own: readonly ResolvedOffer[], at: string): Answer<readonly ResolvedOffer[]> {
  const common = own[0]?.common ?? seen.species
  for (const key of ['origin', 'state', 'part'] as const)
    if (seen[key] !== undefined && !own.some((offer) => offer[key] === seen[key]))
      return refuse(`${at}/${key}`, say('problem.seen.kind', { kind: seen[key], fish: common }))
  const { origin, state, part, form } = seen
  const found = own.filter(
    (offer) => (origin ?? offer.origin) === offer.origin && (state ?? offer.state) === offer.state && (part ?? offer.part) === offer.part,
  )
  if (found.length === 0)
    return refuse(at, say('problem.seen.kinds', { fish: common, kinds: [origin, state, part].filter((kind) => kind !== undefined) }))
  if (form === undefined) return { ok: true, value: found }
  const known = [...new Set(found.flatMap(({ forms }) => forms.map((one) => one.form)))]
  if (!known.includes(form)) return refuse(`${at}/form`, say('problem.seen.form', { fish: common, forms: known }))
  return { ok: true, value: found.filter(({ forms }) => forms.some((one) => one.form === form)) }
}

/** What a ticket says of one form, for a kilogram; exact, since it is this fish and no other. */
function readTicket({ price, eachG }: SeenFish, form: Form, at: string): Answer<ResolvedPrice | null> {
  if (!price) return { ok: true, value: null }
  const { amount, currency, unit } = price
  const perKg = computePerKg({ price: amount, unit, ...(eachG ? { eachG } : {}) })
  if (perKg === undefined) return refuse(`${at}/eachG`, say('problem.seen.piece-weight'))
  const range = { low: perKg, typical: perKg, high: perKg }
  return { ok: true, value: { form, perKg: range, currency, quotes: 1, latestDate: null, quoteId: null, merchant: null, glaze: 0 } }
}

/** Size as it lies there: a weighed whole fish is of that weight, and its depth of flesh grows with the cube root of it. */
function resize(offer: ResolvedOffer, form: Form, eachG: number | undefined): ResolvedOffer {
  if (eachG === undefined || (form !== 'whole' && form !== 'gutted')) return offer
  const wholeG = eachG / (offer.forms.find((sold) => sold.form === form)?.yieldOfWhole.typical ?? 1)
  const depth = offer.depthMm.typical * Math.cbrt(wholeG / offer.weightG.typical)
  return {
    ...offer,
    weightG: { low: wholeG, typical: wholeG, high: wholeG, basis: 'house' },
    depthMm: { low: depth * (1 - SEEN_DEPTH_SPREAD), typical: depth, high: depth * (1 + SEEN_DEPTH_SPREAD), basis: 'house' },
  }
}

/**
 * Reads one fish that was seen: which offers of the book it may be, and what its ticket and its weight make of them. What is not said stays
 * open, and each dish takes what suits it.
 * @param index which of the fish, for the places of problems and for ids of its own
 */
export function readSeen(seen: SeenFish, index: number, offers: readonly ResolvedOffer[], findSpecies: FindSpecies): Answer<Seen> {
  const at = `/seen/${index}`
  const species = findSpecies(seen.species)
  const own = offers.filter((offer) => offer.species === species)
  const [first] = own
  if (!first) return refuse(`${at}/species`, say('problem.no-fish', { name: seen.species }))
  const found = findOffers(seen, own, at)
  if (!found.ok) return found
  const { form, eachG, pieces = 1 } = seen
  const totalG = eachG === undefined ? null : eachG * pieces
  const mark = (offer: ResolvedOffer): ResolvedOffer => ({ ...offer, id: `${offer.id}.seen-${index}` })
  if (form === undefined) {
    if (seen.price || eachG !== undefined) return refuse(`${at}/form`, say('problem.seen.price-form'))
    return { ok: true, value: { species: first.species, common: first.common, matches: found.value, dress: mark, form: null, totalG } }
  }
  const ticket = readTicket(seen, form, at)
  if (!ticket.ok) return ticket
  const dress = (offer: ResolvedOffer): ResolvedOffer => ({
    ...resize(mark(offer), form, eachG),
    prices: ticket.value ? [ticket.value] : offer.prices.filter((price) => price.form === form),
  })
  return { ok: true, value: { species: first.species, common: first.common, matches: found.value, dress, form, totalG } }
}
