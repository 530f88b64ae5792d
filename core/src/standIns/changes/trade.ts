import { computePortionCost, computeWeightToBuyG } from '../../amounts/index.ts'
import { findCautions } from '../../safety/index.ts'
import type { Candidate } from '../../traits/index.ts'
import { change, round, type FindChange } from './swap.ts'
import { figure, mass, money, say, term } from '../../facts/index.ts'

export const findWeightChange: FindChange = ({ missing, candidate, brief }) => {
  const now = computeWeightToBuyG(candidate.offer, candidate.form, brief).typical
  const before = computeWeightToBuyG(missing.offer, missing.form, brief).typical
  if (Math.abs(now - before) < 0.03 * before) return undefined
  return change('weight', say('change.weight', { now: mass(now), was: mass(before) }), Math.round(now - before), 'g')
}

export const findPriceChange: FindChange = ({ missing, candidate, brief }) => {
  const now = computePortionCost(candidate.offer, candidate.form, brief)
  const before = computePortionCost(missing.offer, missing.form, brief)
  if (!now || !before || now.currency !== before.currency) return undefined
  const delta = round(now.typical - before.typical, 2)
  if (delta === 0) return change('price', say('change.price.same'), 0, now.currency)
  return change(
    'price',
    say(delta > 0 ? 'change.price.more' : 'change.price.less', {
      now: money(now.typical, now.currency),
      by: money(Math.abs(delta), now.currency),
    }),
    delta,
    now.currency,
  )
}

export const findFormatChange: FindChange = ({ missing, candidate }) =>
  missing.form === candidate.form
    ? undefined
    : change('format', say('change.form', { now: term('form', candidate.form), was: term('form', missing.form) }))

export const findOriginChange: FindChange = ({ missing, candidate }) => {
  const { origin, state } = candidate.offer
  if (state !== missing.offer.state) return change('origin', say(state === 'fresh' ? 'change.state.fresh' : 'change.state.frozen'))
  return origin === missing.offer.origin
    ? undefined
    : change('origin', say(origin === 'farmed' ? 'change.origin.farmed' : 'change.origin.wild'))
}

/** Kinds of caution that come with the fish; the whole sentence stands in the rung's cautions. */
const FISH_CAUTIONS: ReadonlySet<string> = new Set([
  ...['raw', 'mercury', 'histamine', 'keeping', 'ciguatera'],
  ...['spines', 'listing', 'doneness', 'bones'],
])

/** Another allergen class, where the brief lets other animals in: the floor must know before anything else. */
export const findAllergenChange: FindChange = ({ missing, candidate }) =>
  missing.offer.allergen === candidate.offer.allergen
    ? undefined
    : change(
        'safety',
        say('change.allergen', { allergen: term('allergen', candidate.offer.allergen), was: term('allergen', missing.offer.allergen) }),
      )

export const findSafetyChange: FindChange = ({ missing, candidate, brief }) => {
  const kindsOf = ({ offer }: Candidate) =>
    [...new Set(findCautions(offer, brief).map(({ kind }) => kind))].filter((kind) => FISH_CAUTIONS.has(kind))
  const before = kindsOf(missing)
  const now = kindsOf(candidate)
  const name = (kinds: readonly string[]) => ({ cautions: kinds.map((kind) => term('caution', kind)) })
  const incoming = now.filter((kind) => !before.includes(kind))
  if (incoming.length > 0) return change('safety', say('change.safety.in', name(incoming)))
  const outgoing = before.filter((kind) => !now.includes(kind))
  return outgoing.length > 0 ? change('safety', say('change.safety.out', name(outgoing))) : undefined
}

/** A difference in condition of flesh that a cook would taste, of 10. */
const CONDITION_STEP = 2

/** In better or worse flesh on this day, where the kitchen keeps the year of both; at the edge of its season, where it is landed least. */
export const findSeasonChange: FindChange = ({ missing, candidate }) => {
  const now = candidate.offer.season
  const before = missing.offer.season
  if (!now || !before || now.condition === null || before.condition === null) return undefined
  const delta = now.condition - before.condition
  if (Math.abs(delta) < CONDITION_STEP) return undefined
  return change(
    'season',
    say(delta > 0 ? 'change.season.better' : 'change.season.poorer', { now: figure(now.condition, 1), was: figure(before.condition, 1) }),
    round(delta),
    'of 10',
  )
}

export const findStockChange: FindChange = ({ missing, candidate }) => {
  const now = candidate.offer.stock?.typical
  const before = missing.offer.stock?.typical
  if (now === undefined || before === undefined || Math.abs(now - before) < 10) return undefined
  return change(
    'stock',
    say(now > before ? 'change.stock.better' : 'change.stock.worse', { now: figure(now), was: figure(before) }),
    Math.round(now - before),
    'of 100',
  )
}
