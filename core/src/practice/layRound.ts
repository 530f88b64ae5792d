import type { Amounts, Brief, Form, Freshness, Method, OfferSheet, ResolvedOffer, Sign, StandIns } from '@tender-gill/contract'
import type { Untold } from '@tender-gill/contract'
import { hashDraw } from '../draws/index.ts'
import { answerFreshness, listSigns } from '../freshness/index.ts'
import { toAxis } from '../axes/index.ts'
import { AXES } from '../tables/constants.ts'
import { kindOf } from '../traits/index.ts'
import { answerAmounts } from '../purchase/index.ts'
import { findStandIns } from '../standIns/index.ts'
import { createPlainBrief, usualFormats } from '../tables/cuts.ts'
import { PRACTICE_KINDS, type Card } from './spaceCards.ts'

/** One of the answers that are offered; just one is right. */
export interface Choice {
  readonly key: string
  readonly right: boolean
}
interface Common {
  readonly card: Card
  readonly offer: ResolvedOffer
  readonly choices: readonly Choice[]
}
/** A question with what it shows, its choices, and the engine's answer as the reason. */
export type Round = Common &
  (
    | { readonly kind: 'stand-in'; readonly brief: Brief; readonly rows: Untold<StandIns>['order'] }
    | {
        readonly kind: 'freshness'
        readonly signs: readonly { readonly sign: Sign; readonly level: number }[]
        readonly waits: { readonly hours: number; readonly tempC: number }
        readonly answer: Untold<Freshness>
      }
    | { readonly kind: 'name'; readonly others: readonly ResolvedOffer[] }
    | { readonly kind: 'weight'; readonly brief: Brief; readonly form: Form; readonly answer: Untold<Amounts> }
  )

const METHODS: readonly Method[] = ['grill', 'pan-sear', 'deep-fry', 'roast', 'poach', 'stew', 'curry']
/** Places in the engine's order from which wrong stand-ins are taken, as shares of it; each must be at least this much worse. */
const WRONG_PLACES = [0.3, 0.55, 0.85]
const LEAST_WORSE = 6
const COVERS = [4, 6, 8, 12, 20, 30]
/** Weights that are offered, against the one that is right. */
const WEIGHTS = [0.6, 0.8, 1, 1.35]
const WEIGHT_STEP_G = 50
const SIGNS_SHOWN = 4
/** Fish that cooks know: what is asked about. */
const LEAST_FAMILIAR = 6
const MOST_SPECIES = 40

/** In shoulders of a trait. */
const LEAST_APART = 0.6

type Draw = (name: number) => number
const drawOf =
  (seed: number, round: number): Draw =>
  (name) =>
    hashDraw(seed, round, name) / 4_294_967_296

const pick = <T>(list: readonly T[], draw: Draw, name: number): T | undefined =>
  list[Math.min(list.length - 1, Math.floor(draw(name) * list.length))]

/** Choices in an order that says nothing. */
const shuffle = <T>(list: readonly T[], draw: Draw): readonly T[] =>
  list
    .map((one, i) => ({ one, at: draw(100 + i) }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one)

/** One offer for each species that cooks know: the body of a fish, fresh where it is sold so. */
function listKnown({ offers }: Pick<OfferSheet, 'offers'>): readonly ResolvedOffer[] {
  const known = new Map<string, ResolvedOffer>()
  for (const offer of offers)
    if (
      offer.part === 'body' &&
      offer.state === 'fresh' &&
      offer.familiarity >= LEAST_FAMILIAR &&
      !offer.hidden &&
      !known.has(offer.species)
    )
      known.set(offer.species, offer)
  return [...known.values()].sort((a, b) => b.familiarity - a.familiarity || (a.species < b.species ? -1 : 1)).slice(0, MOST_SPECIES)
}

/** Everything that can be asked of a sheet, the best known fish first. */
export const listCards = (sheet: Pick<OfferSheet, 'offers'>): readonly Card[] =>
  listKnown(sheet).flatMap(({ species }) => PRACTICE_KINDS.map((kind) => ({ kind, species })))

function layStandIn(card: Card, offer: ResolvedOffer, sheet: OfferSheet, today: string, draw: Draw): Round | undefined {
  const method = pick(METHODS, draw, 1) ?? 'grill'
  const brief: Brief = { ...createPlainBrief(method, usualFormats(method)[0] ?? 'portion'), kinds: ['fish'] }
  const found = findStandIns({ ...brief, missing: offer.species, missingOffer: offer.id }, sheet, { today })
  const order = found.ok ? found.value.order.filter(({ species }) => species !== offer.species) : []
  const [best] = order
  if (!best) return undefined
  const wrong = WRONG_PLACES.flatMap((share) => order[Math.floor(share * (order.length - 1))] ?? []).filter(
    ({ standIn }, i, all) => standIn <= best.standIn - LEAST_WORSE && all.findIndex((one) => one.standIn === standIn) === i,
  )
  if (wrong.length < 2) return undefined
  const rows = shuffle([best, ...wrong], draw)
  return {
    kind: 'stand-in',
    card,
    offer,
    brief,
    rows: [...rows],
    choices: rows.map(({ species }) => ({ key: species, right: species === best.species })),
  }
}

function layFreshness(card: Card, offer: ResolvedOffer, sheet: OfferSheet, draw: Draw): Round | undefined {
  const has = listSigns(offer, 'whole')
  const shown = shuffle(has, draw).slice(0, SIGNS_SHOWN)
  // An age that nobody sees, and signs that go with it, one of them a little off.
  const age = draw(2) ** 1.5 * 3.4
  const signs = shown.map((sign, i) => ({ sign, level: Math.max(0, Math.min(3, Math.round(age + (draw(20 + i) - 0.5)))) }))
  const waits = { hours: pick([2, 8, 24, 48], draw, 3) ?? 24, tempC: 3 }
  const answer = answerFreshness(
    {
      fish: offer.species,
      offer: offer.id,
      view: 'whole',
      signs: Object.fromEntries(signs.map(({ sign, level }) => [sign, level])),
      keep: waits,
    },
    sheet,
  )
  if (!answer.ok) return undefined
  const { outcome } = answer.value
  const choices = (['buy', 'today', 'ask-for-less', 'walk-away'] as const).map((key) => ({ key, right: key === outcome }))
  return { kind: 'freshness', card, offer, signs, waits, answer: answer.value, choices }
}

/** Differences that a print shows: another colour, or flesh that is plainly softer, finer or fatter. */
const looksApart = (a: ResolvedOffer, b: ResolvedOffer): boolean => {
  const apart = (trait: 'firmness' | 'flake' | 'fat') =>
    Math.abs(toAxis(trait, a.traits[trait].typical) - toAxis(trait, b.traits[trait].typical)) / AXES[trait].shoulder
  return a.rawColour !== b.rawColour || Math.max(apart('firmness'), apart('flake'), apart('fat')) >= LEAST_APART
}

function layName(card: Card, offer: ResolvedOffer, sheet: OfferSheet, draw: Draw): Round | undefined {
  const others = shuffle(
    listKnown(sheet).filter((other) => kindOf(other) === kindOf(offer) && looksApart(other, offer)),
    draw,
  ).slice(0, 3)
  if (others.length < 3) return undefined
  const all = shuffle([offer, ...others], (name) => draw(name + 300))
  return { kind: 'name', card, offer, others: all, choices: all.map(({ species }) => ({ key: species, right: species === offer.species })) }
}

function layWeight(card: Card, offer: ResolvedOffer, sheet: OfferSheet, today: string, draw: Draw): Round | undefined {
  const forms = offer.forms.filter(({ form }) => form === 'whole' || form === 'fillet-skin-on' || form === 'fillet-skinless')
  const form = pick(forms, draw, 4)?.form
  if (!form) return undefined
  const brief: Brief = {
    ...createPlainBrief('pan-sear', form === 'fillet-skinless' ? 'fillet-skinless' : 'fillet-skin-on'),
    covers: pick(COVERS, draw, 5) ?? 6,
    portionG: 150,
  }
  const answer = answerAmounts({ ...brief, fish: offer.species, offer: offer.id, form }, sheet, { today })
  if (!answer.ok) return undefined
  const right = answer.value.buy.g
  const choices = WEIGHTS.map((times) => ({
    key: String(times === 1 ? right : Math.max(WEIGHT_STEP_G, Math.round((right * times) / WEIGHT_STEP_G) * WEIGHT_STEP_G)),
    right: times === 1,
  }))
  return { kind: 'weight', card, offer, brief, form, answer: answer.value, choices }
}

/**
 * The question of a card: the same for the same seed and round, answered by the engine. Made up out of a sheet of offers, which it only reads.
 * @returns undefined where the engine has no clear answer for this one
 */
export function layRound(
  card: Card,
  sheet: OfferSheet,
  { seed, round, today }: { readonly seed: number; readonly round: number; readonly today: string },
): Round | undefined {
  const offer = listKnown(sheet).find(({ species }) => species === card.species)
  if (!offer) return undefined
  const draw = drawOf(seed, round)
  switch (card.kind) {
    case 'stand-in':
      return layStandIn(card, offer, sheet, today, draw)
    case 'freshness':
      return layFreshness(card, offer, sheet, draw)
    case 'name':
      return layName(card, offer, sheet, draw)
    case 'weight':
      return layWeight(card, offer, sheet, today, draw)
  }
}
