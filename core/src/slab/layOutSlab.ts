import type { Fact, Brief, Form, Merchant, ResolvedOffer, SlabDish } from '@tender-gill/contract'
import { figure, say, share, type Slab, type SlabFish } from '../facts/index.ts'
import { computePortionCost, findPrice } from '../amounts/index.ts'
import { createMiss, desirabilityOfMiss } from '../axes/index.ts'
import { toDayNumber } from '../calendar/index.ts'
import type { KeptDishes } from '../kept/index.ts'
import { UNKNOWN_DESIRABILITY } from '../tables/constants.ts'
import { createBoard, type Board, type Entry } from '../lineUp/index.ts'
import { planOrder, type LocalMoment } from '../orders/index.ts'
import { describeFish } from '../rows/index.ts'
import { toTenth } from '../rounding/index.ts'

export interface SlabContext extends KeptDishes {
  readonly date: string
  readonly now: LocalMoment
  readonly merchants: readonly Merchant[]
  /** What a kilogram usually costs at this time of the year; null where too little is known. */
  readonly usualOf: (offer: ResolvedOffer, form: Form) => number | null
}

/** Portion whose cost is shown beside each fish: cooked in the oven, in the form that does it for least. */
const PORTION_G = 150
/** A list older than this is not today's. */
const FRESH_DAYS = 9
/** Weights of the three, and what counts as well. */
const WEIGHTS = { price: 3, condition: 2, stock: 3 } as const
/** At its usual price half the day is won; a tenth below it all of it. */
const CHEAP = -Math.log(0.9)
const LEAST_FIT = 70
const MOST_DISHES = 4
const conditionMiss = createMiss('condition', { from: 6, to: null })
const stockMiss = createMiss('stock', { from: 60, to: null })

/** 1 a tenth or more below the usual price, about 0.7 at it, near the floor half as dear again. */
function judgePrice(typical: number, usual: number): number {
  const above = Math.log(typical / usual) + CHEAP
  return desirabilityOfMiss(Math.max(0, above) / 0.4)
}

function describePrice(typical: number, usual: number): Fact {
  const percent = Math.round((typical / usual - 1) * 100)
  if (Math.abs(percent) < 3) return say('slab.price.usual')
  return say(percent < 0 ? 'slab.price.below' : 'slab.price.above', { share: share(Math.abs(percent) / 100) })
}

interface Judged {
  readonly good: number
  readonly because: Fact[]
  readonly unknown: SlabFish['unknown']
}

function judge({ candidate: { offer, form } }: Entry, usual: number | null): Judged {
  const price = findPrice(offer, form)
  const wild = offer.origin === 'wild' && offer.state === 'fresh'
  const condition = wild ? (offer.season?.condition ?? null) : null
  const parts: (readonly [weight: number, desirability: number, said: Fact])[] = []
  const unknown: SlabFish['unknown'] = []
  let unknownWeight = 0
  const leaveOpen = (what: SlabFish['unknown'][number]) => {
    unknown.push(what)
    unknownWeight += WEIGHTS[what]
  }
  if (price && usual !== null)
    parts.push([WEIGHTS.price, judgePrice(price.perKg.typical, usual), describePrice(price.perKg.typical, usual)])
  else leaveOpen('price')
  if (condition !== null)
    parts.push([
      WEIGHTS.condition,
      desirabilityOfMiss(conditionMiss(condition)),
      say(condition >= 6 ? 'slab.flesh.good' : condition < 3 ? 'slab.flesh.spent' : 'slab.flesh.thin'),
    ])
  else if (wild) leaveOpen('condition')
  if (offer.stock)
    parts.push([
      WEIGHTS.stock,
      desirabilityOfMiss(stockMiss(offer.stock.typical)),
      say('slab.stock', { standing: figure(offer.stock.typical) }),
    ])
  else leaveOpen('stock')
  const weight = parts.reduce((sum, [w]) => sum + w, unknownWeight)
  const logs = parts.reduce((sum, [w, desirability]) => sum + w * Math.log(desirability), unknownWeight * Math.log(UNKNOWN_DESIRABILITY))
  return { good: parts.length === 0 ? 0 : toTenth(100 * Math.exp(logs / weight)), because: parts.map(([, , said]) => said), unknown }
}

interface LaidDish {
  readonly id: string
  readonly dish: string
  readonly fits: ReadonlyMap<string, number>
}

/** What each passing offer does in a dish of the house. */
function layDish({ id, brief }: KeptDishes['dishes'][number], { sheetOf, today }: KeptDishes): LaidDish | null {
  const board = createBoard(brief, sheetOf(brief), today)
  if (!board.ok) return null
  const passing = board.value.considered.filter(({ gates }) => gates.length === 0)
  return { id, dish: brief.dish, fits: new Map(passing.map(({ candidate, fit }) => [candidate.offer.id, fit.fit])) }
}

function dishesFor(offerId: string, laid: readonly LaidDish[]): SlabDish[] {
  return laid
    .flatMap(({ id, dish, fits }) => {
      const fit = fits.get(offerId) ?? 0
      return fit >= LEAST_FIT ? [{ servingId: id, dish, fit: toTenth(fit) }] : []
    })
    .sort((a, b) => b.fit - a.fit || (a.servingId < b.servingId ? -1 : 1))
    .slice(0, MOST_DISHES)
}

/** Parts of one fish go by one price: the body stands for them, else the loin. */
const PART_ORDER = ['body', 'loin', 'tail', 'belly', 'collar', 'head', 'frame']
function pickParts(entries: readonly Entry[]): readonly Entry[] {
  const best = new Map<string, Entry>()
  for (const entry of entries) {
    const { species, origin, state, part } = entry.candidate.offer
    const key = `${species}|${origin}|${state}`
    const there = best.get(key)?.candidate.offer.part
    if (there === undefined || PART_ORDER.indexOf(part) < PART_ORDER.indexOf(there)) best.set(key, entry)
  }
  return [...best.values()]
}

const canBeSold = ({ candidate: { offer, form } }: Entry, date: string): boolean => {
  const price = findPrice(offer, form)
  if (!price || offer.absent || offer.season?.closed || offer.stock?.spent || offer.listing?.status === 'prohibited') return false
  return price.latestDate === null || toDayNumber(date) - toDayNumber(price.latestDate) <= FRESH_DAYS
}

function toFish(entry: Entry, board: Board, context: SlabContext, laid: readonly LaidDish[]): SlabFish[] {
  const { offer, form } = entry.candidate
  const price = findPrice(offer, form)
  if (!price) return []
  const usualPerKg = context.usualOf(offer, form)
  const merchant = context.merchants.find(({ name }) => name === price.merchant)
  return [
    {
      ...describeFish(entry.candidate),
      ...{ perKg: price.perKg, currency: price.currency, merchant: price.merchant, quotes: price.quotes, latestDate: price.latestDate },
      ...{ portionCost: computePortionCost(offer, form, board.brief), usualPerKg, season: offer.season, stock: offer.stock },
      ...judge(entry, usualPerKg),
      dishes: dishesFor(offer.id, laid),
      order: merchant ? planOrder(merchant, context.now) : null,
    },
  ]
}

/**
 * What is good today: every fish with a price on a recent list, by its price against its own month, its condition and its stock (weighted
 * geometric mean, what is not known counted as middling, as in a line-up, and said), each with the dishes of the house it would do well. Runs a dish at a time; yields
 * how many are done.
 */
export function* stepSlab(context: SlabContext): Generator<number, Slab> {
  const brief: Brief = { dish: 'Today', method: 'roast', format: 'portion', portionG: PORTION_G, covers: 1, date: context.date }
  const laid: LaidDish[] = []
  for (const [i, kept] of context.dishes.entries()) {
    yield i
    const dish = layDish(kept, context)
    if (dish) laid.push(dish)
  }
  const sheet = context.sheetOf(brief)
  const waters = [...new Set((sheet.seasons ?? []).map(({ water }) => water))]
  const board = createBoard(waters.length > 0 ? { ...brief, waters } : brief, sheet, context.today)
  if (!board.ok) throw new RangeError('the slab’s own brief is wrong')
  const sold = board.value.considered.filter((entry) => canBeSold(entry, context.date))
  const fish = pickParts(sold)
    .flatMap((entry) => toFish(entry, board.value, context, laid))
    .sort((a, b) => a.unknown.length - b.unknown.length || b.good - a.good || (a.offerId < b.offerId ? -1 : 1))
  return { date: context.date, portionG: PORTION_G, fish }
}
