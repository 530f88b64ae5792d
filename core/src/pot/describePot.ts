import type { PortionCost } from '@tender-gill/contract'
import { computePortionCost, computeWeightToBuyG } from '../amounts/index.ts'
import { cookFish } from '../cooking/index.ts'
import { phrase, type Pot, type PotPlace } from '../facts/index.ts'
import { computeFit, explainPoints } from '../fit/index.ts'
import type { Board, Entry } from '../lineUp/index.ts'
import { toHundredth, toTenth, toThousandth } from '../rounding/index.ts'
import { describeFish } from '../rows/index.ts'
import { findCautions } from '../safety/index.ts'
import { distanceOf, type Group } from './groupTwins.ts'
import type { Place } from './layPlace.ts'

/** What a share of a portion costs, its ends and all. */
const shareCost = (cost: PortionCost | null, share: number): PortionCost | null =>
  cost && { ...cost, low: cost.low / share, typical: cost.typical / share, high: cost.high / share }

/** Costs of one currency added up, to the cent; null where one of them is not known. */
function addCosts(costs: readonly (PortionCost | null)[]): PortionCost | null {
  const known = costs.flatMap((cost) => cost ?? [])
  const [first] = known
  if (!first || known.length < costs.length || known.some(({ currency }) => currency !== first.currency)) return null
  const sum = (end: 'low' | 'typical' | 'high') => toHundredth(known.reduce((total, cost) => total + cost[end], 0))
  return { low: sum('low'), typical: sum('typical'), high: sum('high'), currency: first.currency }
}

/** A pot in the order in which its fish go in, longest first. */
export function describePot(
  { choice: { fish, value }, twins }: Group,
  entries: readonly Entry[],
  laid: readonly Place[],
  board: Board,
): Pot {
  const { brief } = board
  const share = fish.length
  const costs = fish.map((at) => {
    const { offer, form } = (entries[at] as Entry).candidate
    return shareCost(computePortionCost(offer, form, brief), share)
  })
  const places = laid.map(({ role, brief: own, scoring }, i): PotPlace => {
    const entry = entries[fish[i] ?? 0] as Entry
    const { offer, form } = entry.candidate
    const fit = computeFit(entry.candidate, own, scoring)
    return {
      role: phrase(role.name),
      why: phrase(role.why),
      ...describeFish(entry.candidate),
      fit: toTenth(fit.fit),
      pointsLost: [...explainPoints(fit, own)],
      minutes: Math.round(cookFish(entry.candidate, brief)?.minutes ?? 0),
      buyG: Math.round(computeWeightToBuyG(offer, form, brief).typical / share),
      portionCost: addCosts([costs[i] ?? null]),
      cautions: [...findCautions(offer, brief)],
      or: (twins[i] ?? []).map((twin) => (entries[twin] as Entry).candidate.offer.common),
    }
  })
  // Of two that take as long, the one that forgives overcooking goes in first.
  const forgives = ({ offerId }: PotPlace) =>
    entries.find(({ candidate }) => candidate.offer.id === offerId)?.candidate.offer.traits.tolerance.typical ?? 0
  const pairs = fish.flatMap((a, i) => fish.slice(i + 1).map((b) => distanceOf(entries[a] as Entry, entries[b] as Entry)))
  return {
    places: [...places].sort((a, b) => b.minutes - a.minutes || forgives(b) - forgives(a) || (a.species < b.species ? -1 : 1)),
    score: toTenth(100 * Math.exp(value - 0.5)),
    portionCost: addCosts(costs),
    apart: toThousandth(Math.min(1, ...pairs)),
  }
}
