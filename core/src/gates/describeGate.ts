import type { AskKey, Fact, Gate } from '@tender-gill/contract'
import { band, bound, celsius, days, figure, length, mass, money, phrase, say, term, trait, type NormalisedBrief } from '../facts/index.ts'
import { computeDaysLeft, computeIceDays } from '../cold/index.ts'
import { findRawRefusal, isServedRaw } from '../safety/index.ts'
import { kindOf, readTrait, type Candidate } from '../traits/index.ts'
import { wasTooWarm } from './findGates.ts'

function describeMust(key: AskKey, candidate: Candidate, brief: NormalisedBrief): Fact {
  const must = brief.asks[key]?.must
  const ask = term('ask', key)
  if (key === 'colour' || !must) return say('must.colour', { ask })
  const value = readTrait(key, candidate, brief)
  if (!value) return say('must.unknown', { ask })
  const shown = key === 'thickness' || key === 'weight' ? (must.from !== null ? value.high : value.low) : value.typical
  return say('must.missed', { ask, value: trait(key, shown), bound: bound(key, must.from, must.to) })
}

/** Why a gate is closed for this candidate. */
export function describeGate(gate: Gate, candidate: Candidate, brief: NormalisedBrief): Fact {
  const { offer } = candidate
  switch (gate) {
    case 'unavailable':
      return offer.absent ? say('gate.absent', { day: term('day', offer.absent.until) }) : say('gate.marked')
    case 'kind':
      return say('gate.kind', { kind: kindOf(offer) })
    case 'habitat':
      return say('gate.habitat', { water: offer.water })
    case 'part':
      return say('gate.part', { part: offer.part })
    case 'fins-and-scales':
      return say('gate.fins-and-scales')
    case 'mercury':
      return offer.mercury === 'very-high' ? say('gate.mercury') : describeMust('mercury', candidate, brief)
    case 'spend':
      return say('gate.spend')
    case 'origin':
      return say('gate.origin', { origin: term('origin', offer.origin) })
    case 'state':
      return say('gate.state', { state: term('state', offer.state) })
    case 'allergy':
      return offer.allergen === 'fish'
        ? say('gate.allergy.fish')
        : say('gate.allergy.shellfish', { allergen: term('allergen', offer.allergen) })
    case 'raw-unsafe':
      return say(`gate.raw.${findRawRefusal(offer, brief) ?? 'parasites'}`)
    case 'vulnerable':
      return say('gate.vulnerable')
    case 'wax-ester':
      return say('gate.wax-ester')
    case 'protected':
      return offer.listing ? phrase(offer.listing.sentence) : say('gate.protected')
    case 'closed-season':
      return say('gate.closed-season')
    case 'not-landed':
      return say('gate.not-landed')
    case 'form':
      return say('gate.form', { format: term('format', brief.format) })
    case 'thickness':
      if (brief.asks.thickness?.must && brief.thicknessMm === null) return describeMust('thickness', candidate, brief)
      return brief.format === 'steak'
        ? say('gate.steak-too-small', { weight: mass(offer.weightG.high) })
        : // Rounded down: what is a hair too thin must not read as just as thick.
          say('gate.too-thin', { depth: length(Math.floor(offer.depthMm.high)), cut: length(brief.thicknessMm ?? 0) })
    case 'size':
      return say('gate.size', {
        from: mass(offer.weightG.low),
        to: mass(offer.weightG.high),
        wanted: band('weight', brief.asks.weight?.from ?? null, brief.asks.weight?.to ?? null),
      })
    case 'keeping': {
      if (wasTooWarm(offer, brief)) return say('gate.keeping.warm', { temperature: celsius(brief.keep?.tempC ?? 0) })
      const left = computeDaysLeft(offer, { servedRaw: isServedRaw(brief) }).typical
      return say('gate.keeping', { needed: days(computeIceDays(brief.keep ?? { hours: 0, tempC: 0 })), left: days(left) })
    }
    case 'stock':
      if (offer.stock?.spent) return say('gate.stock.spent')
      if (offer.stock && offer.stock.typical < (brief.house.stockFloor ?? 0))
        return say('gate.stock.floor', {
          standing: figure(offer.stock.typical),
          floor: figure(brief.house.stockFloor ?? 0),
          weakest: phrase(offer.stock.weakest),
        })
      return describeMust('stock', candidate, brief)
    case 'price-unknown':
      return say('gate.price-unknown')
    case 'budget': {
      const cost = readTrait('portionCost', candidate, brief)
      const currency = brief.budget?.currency ?? null
      return say('gate.budget', { cost: money(cost?.typical ?? 0, currency), budget: money(brief.budget?.perPortion ?? 0, currency) })
    }
    case 'cohesion':
      return say('gate.cohesion', { method: term('method', brief.method), must: describeMust(gate, candidate, brief) })
    default:
      return describeMust(gate, candidate, brief)
  }
}
