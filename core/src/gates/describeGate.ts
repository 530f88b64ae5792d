import type { AskKey, Gate, NormalisedBrief } from '@tender-gill/contract'
import { computeDaysLeft, computeIceDays } from '../cold/index.ts'
import { ASK_LABEL, describeBand, describeBound, describeDay, describeGrams, describeValue } from '../describe/index.ts'
import { findRawRefusal, isServedRaw } from '../safety/index.ts'
import { FORMAT_LABEL } from '../tables/formats.ts'
import { METHOD_TABLE } from '../tables/methods.ts'
import { readTrait, type Candidate } from '../traits/index.ts'

const RAW_WORDS = {
  'fresh-water': 'It comes from fresh water or its water is not known; such fish is never served raw, frozen or not.',
  bivalve: 'Shellfish of this kind is not offered raw here.',
  parasites: 'It may carry parasites, and is not known to have been frozen as published for raw fish.',
} as const

function describeMust(key: AskKey, candidate: Candidate, brief: NormalisedBrief): string {
  const must = brief.asks[key]?.must
  if (key === 'colour' || !must) return `${ASK_LABEL[key]}: not the colour this dish must have.`
  const value = readTrait(key, candidate, brief)
  if (!value) return `${ASK_LABEL[key]} is not known for this fish, and the dish must have it.`
  const shown = key === 'thickness' || key === 'weight' ? (must.from !== null ? value.high : value.low) : value.typical
  return `${ASK_LABEL[key]}: ${describeValue(key, shown)}; this dish takes ${describeBound(key, must)}.`
}

/** Why a gate is closed for this candidate, in one plain sentence. */
export function describeGate(gate: Gate, candidate: Candidate, brief: NormalisedBrief): string {
  const { offer } = candidate
  const method = METHOD_TABLE[brief.method].label.toLowerCase()
  switch (gate) {
    case 'unavailable':
      return offer.absent ? `The kitchen does without it until ${describeDay(offer.absent.until)}.` : 'You marked it as not to be had.'
    case 'origin':
      return `It is ${offer.origin}, and the brief asks otherwise.`
    case 'state':
      return `It is ${offer.state}, and the brief asks otherwise.`
    case 'allergy':
      return `It is ${offer.allergen === 'fish' ? 'a fish' : `a ${offer.allergen}`}, and a diner is allergic.`
    case 'raw-unsafe':
      return RAW_WORDS[findRawRefusal(offer, brief) ?? 'parasites']
    case 'vulnerable':
      return 'Nothing raw for small children, pregnant, elderly or immunocompromised diners, whatever was frozen.'
    case 'wax-ester':
      return 'Its oil is wax that the body cannot digest; it makes people ill.'
    case 'protected':
      return offer.listing?.sentence ?? 'It is commonly listed as protected.'
    case 'closed-season':
      return 'Its season is closed on this day in these waters.'
    case 'not-landed':
      return 'It is hardly landed at this time of year in these waters.'
    case 'form':
      return `It is not sold in a form that gives ${FORMAT_LABEL[brief.format]}.`
    case 'thickness':
      if (brief.asks.thickness?.must && brief.thicknessMm === null) return describeMust('thickness', candidate, brief)
      return brief.format === 'steak'
        ? `Even a big one (${describeGrams(offer.weightG.high)}) gives a steak too small for a portion.`
        : `Even a big one is only ${Math.round(offer.depthMm.high)} mm deep; the dish is cut ${brief.thicknessMm ?? 0} mm thick.`
    case 'size':
      return `Sold at ${describeGrams(offer.weightG.low)} to ${describeGrams(offer.weightG.high)}; the dish wants a whole fish of ${describeBand('weight', brief.asks.weight?.from ?? null, brief.asks.weight?.to ?? null)}.`
    case 'keeping': {
      const left = computeDaysLeft(offer, { servedRaw: isServedRaw(brief) }).typical
      return `The wait uses ${computeIceDays(brief.keep ?? { hours: 0, tempC: 0 }).toFixed(1)} days on ice; usually ${left.toFixed(1)} are left.`
    }
    case 'stock':
      if (offer.stock?.spent) return 'Its stock is far below its target; it is left alone.'
      if (offer.stock && offer.stock.typical < (brief.house.stockFloor ?? 0))
        return `Its stock stands at ${Math.round(offer.stock.typical)} of 100, below the ${brief.house.stockFloor ?? 0} this house buys from; weakest: ${offer.stock.weakest}.`
      return describeMust('stock', candidate, brief)
    case 'price-unknown':
      return 'Its price is not known, and the budget is a must.'
    case 'budget': {
      const cost = readTrait('portionCost', candidate, brief)
      return `A portion costs about ${(cost?.typical ?? 0).toFixed(2)} ${brief.budget?.currency ?? ''}; the budget is ${(brief.budget?.perPortion ?? 0).toFixed(2)}.`
    }
    case 'cohesion':
      return `It falls apart ${method}. ${describeMust(gate, candidate, brief)}`
    default:
      return describeMust(gate, candidate, brief)
  }
}
