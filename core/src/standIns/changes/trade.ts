import { computePortionCost, computeWeightToBuyG } from '../../amounts/index.ts'
import { FORM_LABEL, describeGrams } from '../../describe/index.ts'
import { findCautions } from '../../safety/index.ts'
import type { Candidate } from '../../traits/index.ts'
import { change, round, type FindChange } from './swap.ts'

export const findWeightChange: FindChange = ({ missing, candidate, brief }) => {
  const now = computeWeightToBuyG(candidate.offer, candidate.form, brief).typical
  const before = computeWeightToBuyG(missing.offer, missing.form, brief).typical
  if (Math.abs(now - before) < 0.03 * before) return undefined
  return change('weight', `Buy ${describeGrams(now)} instead of ${describeGrams(before)}.`, Math.round(now - before), 'g')
}

export const findPriceChange: FindChange = ({ missing, candidate, brief }) => {
  const now = computePortionCost(candidate.offer, candidate.form, brief)
  const before = computePortionCost(missing.offer, missing.form, brief)
  if (!now || !before || now.currency !== before.currency) return undefined
  const delta = round(now.typical - before.typical, 2)
  if (delta === 0) return change('price', 'Costs the same a portion.', 0, now.currency)
  return change(
    'price',
    `${now.typical.toFixed(2)} ${now.currency} a portion, ${Math.abs(delta).toFixed(2)} ${delta > 0 ? 'more' : 'less'}.`,
    delta,
    now.currency,
  )
}

export const findFormatChange: FindChange = ({ missing, candidate }) =>
  missing.form === candidate.form ? undefined : change('format', `Ask for ${FORM_LABEL[candidate.form]}, not ${FORM_LABEL[missing.form]}.`)

export const findOriginChange: FindChange = ({ missing, candidate }) => {
  const { origin, state } = candidate.offer
  if (state !== missing.offer.state)
    return change('origin', state === 'fresh' ? 'Fresh instead of frozen.' : 'Frozen: thaw it overnight in the fridge, on a rack.')
  return origin === missing.offer.origin
    ? undefined
    : change('origin', `${origin === 'farmed' ? 'Farmed' : 'Wild'} instead of ${missing.offer.origin}.`)
}

/** Kinds of caution that come with the fish, as they are named in passing; the whole sentence stands in the rung's cautions. */
const FISH_CAUTIONS: Readonly<Record<string, string>> = {
  raw: 'serving raw',
  mercury: 'mercury',
  histamine: 'histamine',
  keeping: 'how long it keeps',
  ciguatera: 'ciguatera',
  spines: 'spines',
  listing: 'its stock or trade',
  doneness: 'cooking it through',
  bones: 'bones',
}

export const findSafetyChange: FindChange = ({ missing, candidate, brief }) => {
  const kindsOf = ({ offer }: Candidate) =>
    [...new Set(findCautions(offer, brief).map(({ kind }) => kind))].filter((kind) => kind in FISH_CAUTIONS)
  const before = kindsOf(missing)
  const now = kindsOf(candidate)
  const name = (kinds: readonly string[]) => kinds.map((kind) => FISH_CAUTIONS[kind]).join(', ')
  const incoming = now.filter((kind) => !before.includes(kind))
  if (incoming.length > 0) return change('safety', `Brings a caution: ${name(incoming)}.`)
  const outgoing = before.filter((kind) => !now.includes(kind))
  return outgoing.length > 0 ? change('safety', `No caution any more: ${name(outgoing)}.`) : undefined
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
    `In ${delta > 0 ? 'better' : 'poorer'} flesh at this time of year: ${round(now.condition)} of 10 against ${round(before.condition)}.`,
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
    `Its stock stands ${now > before ? 'better' : 'worse'}: ${Math.round(now)} of 100 against ${Math.round(before)}.`,
    Math.round(now - before),
    'of 100',
  )
}
