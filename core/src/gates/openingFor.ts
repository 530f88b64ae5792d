import type { Gate, NormalisedBrief, Opening, ResolvedOffer } from '@tender-gill/contract'
import { computeDaysLeft } from '../cold/index.ts'
import { ASK_LABEL, nameMonth } from '../describe/index.ts'
import { midMonth, monthsByNearness } from '../market/index.ts'
import { findRawRefusal, isServedRaw } from '../safety/index.ts'
import { FORMAT_LABEL } from '../tables/formats.ts'
import { usualFormats } from '../tables/methods.ts'
import { computeSteakG, findForms, readTrait, type Candidate } from '../traits/index.ts'
import { leastSteakG, seasonGate } from './findGates.ts'

/** One change to the brief that opens one gate, as data and in words. */
export interface GateOpening {
  readonly opens: readonly Opening[]
  readonly words: string
  /** How much of the dish it changes, as EFFORT weighs it. */
  readonly effort: number
}

/** An offer as the brief's own market has it on another day. */
export type OfferOn = (offer: ResolvedOffer, date: string) => ResolvedOffer

/** How much of a dish each kind of change takes away: another cut or form least, waiting and another way of cooking more, giving up what the dish needs most. */
export const EFFORT = { cut: 1, month: 2, method: 2, must: 3 } as const

const one = (path: string, value: unknown, words: string, effort: number = EFFORT.cut): GateOpening => ({
  opens: [{ path, value }],
  words,
  effort,
})
const THICKEST_STEAK_MM = 60

const pointer = (token: string) => token.replaceAll('~', '~0').replaceAll('/', '~1')

/** Widens what the brief and the fish's own line in it allow, for origin or state. */
function widen(field: 'origin' | 'state', { offer }: Candidate, brief: NormalisedBrief): GateOpening {
  const choice = brief.offers[offer.species]
  const opens: Opening[] = []
  if (brief[field] !== 'any') opens.push({ path: `/${field}`, value: 'any' })
  if (choice?.[field] && choice[field] !== 'any')
    opens.push({ path: `/offers/${pointer(brief.askedAs[offer.species] ?? offer.species)}`, value: { ...choice, [field]: 'any' } })
  return { opens, words: `${offer[field]} fish is allowed`, effort: EFFORT.cut }
}

function openForm({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  if (brief.skin === 'crisp' && findForms(offer, { ...brief, skin: 'any' }).length > 0)
    return one('/skin', 'any', 'the skin need not be eaten')
  const format = usualFormats(brief.method).find((usual) => findForms(offer, { ...brief, format: usual }).length > 0)
  return format ? one('/format', format, `the dish takes ${FORMAT_LABEL[format]}`) : undefined
}

function openThickness({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  if (brief.format === 'steak') {
    const mm = Math.ceil(leastSteakG(brief) / computeSteakG(offer.body, offer.weightG.high, 1))
    return mm <= THICKEST_STEAK_MM ? one('/thicknessMm', mm, `the steak is cut ${mm} mm thick`) : undefined
  }
  const mm = Math.floor(offer.depthMm.high)
  const lifted: readonly Opening[] = brief.asks.thickness?.must ? [{ path: '/asks/thickness/must', value: false }] : []
  if (brief.thicknessMm === null) return { opens: lifted, words: 'depth of flesh is no must', effort: EFFORT.must }
  if (mm < 3) return undefined
  return { opens: [{ path: '/thicknessMm', value: mm }, ...lifted], words: `the cut is ${mm} mm or thinner`, effort: EFFORT.cut }
}

function openSize({ offer }: Candidate, brief: NormalisedBrief): GateOpening {
  const { low: from, high: to } = offer.weightG
  const band = { from: Math.floor(from), to: Math.ceil(to) }
  const byHand = brief.asks.weight?.because.includes('brief') && brief.wholeWeightG === null
  const own: readonly Opening[] = byHand ? [{ path: '/asks/weight', value: band }] : []
  return {
    opens: [{ path: '/wholeWeightG', value: band }, ...own],
    words: `a whole fish may weigh ${band.from} to ${band.to} g`,
    effort: EFFORT.cut,
  }
}

function openKeeping({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  const hours = Math.floor(computeDaysLeft(offer, { servedRaw: isServedRaw(brief) }).typical * 24)
  if (!brief.keep || hours <= 0) return undefined
  const keep = { hours: Math.min(brief.keep.hours, hours), tempC: 0 }
  return one('/keep', keep, `it waits ${keep.hours} hours at most, in melting ice`)
}

/** The nearest month in which the kitchen's own year has it landed and open; nothing where it keeps no year or no such month. */
function openMonth({ offer }: Candidate, brief: NormalisedBrief, offerOn: OfferOn): GateOpening | undefined {
  for (const month of monthsByNearness(brief.date)) {
    const date = midMonth(brief.date, month)
    if (seasonGate(offerOn(offer, date), brief) === undefined)
      return one('/date', date, `it is bought in ${nameMonth(month)}`, EFFORT.month)
  }
  return undefined
}

/**
 * The smallest change to the brief that opens one gate for this candidate; undefined where only another fish would do. No opening ever
 * lifts a safety gate: freezing before serving raw changes the fish, not the rule.
 */
export function openingFor(gate: Gate, candidate: Candidate, brief: NormalisedBrief, offerOn: OfferOn): GateOpening | undefined {
  const { offer } = candidate
  switch (gate) {
    case 'unavailable':
      // What the whole kitchen does without is not opened by one dish.
      if (offer.absent) return undefined
      return one(
        '/unavailable',
        brief.unavailable.filter((name) => name !== offer.species),
        'it can be had after all',
      )
    case 'origin':
    case 'state':
      return widen(gate, candidate, brief)
    case 'raw-unsafe':
      return findRawRefusal(offer, brief) === 'parasites'
        ? one('/rawTreatment', 'frozen', 'it is frozen by the published rule before serving')
        : undefined
    case 'form':
      return openForm(candidate, brief)
    case 'thickness':
      return openThickness(candidate, brief)
    case 'size':
      return openSize(candidate, brief)
    case 'keeping':
      return openKeeping(candidate, brief)
    case 'price-unknown':
      return one('/budget/must', false, 'the budget is a wish, or its price is typed in')
    case 'budget': {
      const cost = readTrait('portionCost', candidate, brief)
      const limit = Math.ceil((cost?.typical ?? 0) * 100) / 100
      return cost ? one('/budget/perPortion', limit, `a portion may cost ${limit.toFixed(2)}`) : undefined
    }
    case 'colour':
      return one('/colour/must', false, 'its colour is no must', EFFORT.must)
    case 'allergy':
    case 'vulnerable':
    case 'wax-ester':
    case 'protected':
      return undefined
    case 'closed-season':
    case 'not-landed':
      return openMonth(candidate, brief, offerOn)
    case 'stock':
      // The house's floor is the house's to lower, not one dish's.
      if (offer.stock && (offer.stock.spent || offer.stock.typical < (brief.house.stockFloor ?? 0))) return undefined
      return one('/asks/stock/must', false, 'the stock is a wish', EFFORT.must)
    default:
      return one(`/asks/${gate}/must`, false, `${ASK_LABEL[gate].toLowerCase()} is no must`, EFFORT.must)
  }
}
