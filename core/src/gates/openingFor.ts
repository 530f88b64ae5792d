import type { Fact, Gate, Opening, ResolvedOffer } from '@tender-gill/contract'
import { length, mass, money, say, term, type NormalisedBrief } from '../facts/index.ts'
import { computeDaysLeft } from '../cold/index.ts'
import { midMonth, monthsByNearness } from '../market/index.ts'
import { findRawRefusal, isServedRaw } from '../safety/index.ts'
import { usualFormats } from '../tables/cuts.ts'
import { FLAT_STEAK_DEPTHS } from '../tables/constants.ts'
import { CUTS_OF_PART } from '../tables/formats.ts'
import { findForms, kindOf, readTrait, type Candidate } from '../traits/index.ts'
import { largestSteakG, leastSteakG, seasonGate } from './findGates.ts'

/** One change to the brief that opens one gate, as data and as a fact. */
export interface GateOpening {
  readonly opens: readonly Opening[]
  readonly change: Fact
  /** How much of the dish it changes, as EFFORT weighs it. */
  readonly effort: number
}

/** An offer as the brief's own market has it on another day. */
export type OfferOn = (offer: ResolvedOffer, date: string) => ResolvedOffer

/** How much of a dish each kind of change takes away: another cut or form least, waiting and another way of cooking more, giving up what the dish needs most. */
export const EFFORT = { cut: 1, month: 2, method: 2, must: 3 } as const

const one = (path: string, value: unknown, change: Fact, effort: number = EFFORT.cut): GateOpening => ({
  opens: [{ path, value }],
  change,
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
  return {
    opens,
    change:
      field === 'origin'
        ? say('open.origin', { origin: term('origin', offer.origin) })
        : say('open.state', { state: term('state', offer.state) }),
    effort: EFFORT.cut,
  }
}

function openForm({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  if (brief.skin === 'crisp' && findForms(offer, { ...brief, skin: 'any' }).length > 0) return one('/skin', 'any', say('open.skin'))
  const format = usualFormats(brief.method).find((usual) => findForms(offer, { ...brief, format: usual }).length > 0)
  return format ? one('/format', format, say('open.format', { format: term('format', format) })) : undefined
}

function openThickness({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  if (brief.format === 'steak') {
    if (offer.body === 'flat' && (brief.thicknessMm ?? 0) > FLAT_STEAK_DEPTHS * offer.depthMm.high) return undefined
    const mm = Math.ceil(leastSteakG(brief) / largestSteakG(offer, { ...brief, thicknessMm: 1 }))
    return mm <= THICKEST_STEAK_MM ? one('/thicknessMm', mm, say('open.steak-thickness', { cut: length(mm) })) : undefined
  }
  const mm = Math.floor(offer.depthMm.high)
  const lifted: readonly Opening[] = brief.asks.thickness?.must ? [{ path: '/asks/thickness/must', value: false }] : []
  if (brief.thicknessMm === null) return { opens: lifted, change: say('open.depth'), effort: EFFORT.must }
  if (mm < 3) return undefined
  return { opens: [{ path: '/thicknessMm', value: mm }, ...lifted], change: say('open.thickness', { cut: length(mm) }), effort: EFFORT.cut }
}

function openSize({ offer }: Candidate, brief: NormalisedBrief): GateOpening {
  const { low: from, high: to } = offer.weightG
  const band = { from: Math.floor(from), to: Math.ceil(to) }
  const byHand = brief.asks.weight?.because.includes('brief') && brief.wholeWeightG === null
  const own: readonly Opening[] = byHand ? [{ path: '/asks/weight', value: band }] : []
  return {
    opens: [{ path: '/wholeWeightG', value: band }, ...own],
    change: say('open.size', { from: mass(band.from), to: mass(band.to) }),
    effort: EFFORT.cut,
  }
}

/** A part answers where it is asked for, in a cut that it gives. */
function openPart({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  const { part } = offer
  const cuts = CUTS_OF_PART[offer.part]
  // Heads and frames are asked for as a cut.
  if (part === 'head' || part === 'frame') return undefined
  const format = !cuts || cuts.includes(brief.format) ? brief.format : usualFormats(brief.method).find((usual) => cuts.includes(usual))
  if (!format) return undefined
  const opens: readonly Opening[] = [
    { path: '/part', value: part },
    ...(format === brief.format ? [] : [{ path: '/format', value: format }]),
  ]
  return { opens, change: say('open.part', { part }), effort: EFFORT.cut }
}

function openKeeping({ offer }: Candidate, brief: NormalisedBrief): GateOpening | undefined {
  const hours = Math.floor(computeDaysLeft(offer, { servedRaw: isServedRaw(brief) }).typical * 24)
  if (!brief.keep || hours <= 0) return undefined
  // On ice nothing is too warm, so that this opens the histamine rule too.
  const keep = { hours: Math.min(brief.keep.hours, hours), tempC: 0 }
  return one('/keep', keep, say('open.keeping', { hours: keep.hours }))
}

/** The nearest month in which the kitchen's own year has it landed and open; nothing where it keeps no year or no such month. */
function openMonth({ offer }: Candidate, brief: NormalisedBrief, offerOn: OfferOn): GateOpening | undefined {
  for (const month of monthsByNearness(brief.date)) {
    const date = midMonth(brief.date, month)
    if (seasonGate(offerOn(offer, date), brief) === undefined)
      return one('/date', date, say('open.month', { month: term('month', String(month)) }), EFFORT.month)
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
        say('open.unavailable'),
      )
    case 'origin':
    case 'state':
      return widen(gate, candidate, brief)
    case 'kind':
      return one('/kinds', [...brief.kinds, kindOf(offer)], say('open.kind', { kind: kindOf(offer) }), EFFORT.must)
    case 'habitat':
      return one('/habitat', 'any', say('open.habitat'))
    case 'part':
      return openPart(candidate, brief)
    case 'raw-unsafe':
      return findRawRefusal(offer, brief) === 'parasites' ? one('/rawTreatment', 'frozen', say('open.frozen')) : undefined
    case 'form':
      return openForm(candidate, brief)
    case 'thickness':
      return openThickness(candidate, brief)
    case 'size':
      return openSize(candidate, brief)
    case 'keeping':
      return openKeeping(candidate, brief)
    case 'price-unknown':
      return one('/budget/must', false, say('open.price-unknown'))
    case 'budget': {
      const cost = readTrait('portionCost', candidate, brief)
      const limit = Math.ceil((cost?.typical ?? 0) * 100) / 100
      return cost ? one('/budget/perPortion', limit, say('open.budget', { cost: money(limit, brief.budget?.currency ?? null) })) : undefined
    }
    case 'colour':
      return one('/colour/must', false, say('open.colour'), EFFORT.must)
    case 'spend':
      return one('/spendMust', false, say('open.spend'), EFFORT.must)
    case 'allergy':
    case 'fins-and-scales':
    case 'vulnerable':
    case 'wax-ester':
    case 'mercury':
    case 'protected':
      return undefined
    case 'closed-season':
    case 'not-landed':
      return openMonth(candidate, brief, offerOn)
    case 'stock':
      // The house's floor is the house's to lower, not one dish's.
      if (offer.stock && (offer.stock.spent || offer.stock.typical < (brief.house.stockFloor ?? 0))) return undefined
      return one('/asks/stock/must', false, say('open.stock'), EFFORT.must)
    default:
      return one(`/asks/${gate}/must`, false, say('open.must', { ask: term('ask', gate) }), EFFORT.must)
  }
}
