import type { AskKey, Fact, BandKey, Brief, PortionCost, PotRequest, Result } from '@tender-gill/contract'
import {
  phrase,
  say,
  type NormalisedAsk,
  type NormalisedBrief,
  type Pot,
  type PotPlace,
  type PotPlan,
  type Problem,
} from '../facts/index.ts'
import { computePortionCost, computeWeightToBuyG } from '../amounts/index.ts'
import { cookFish } from '../cooking/index.ts'
import { computeFit, createScoring, explainPoints, type Scoring } from '../fit/index.ts'
import { createBoard, groupBySpecies, pickForSpecies, pickStanding, type Board, type Entry } from '../lineUp/index.ts'
import type { ChosenSheet } from '../market/index.ts'
import { computeKinship } from '../relatives/index.ts'
import { findCautions } from '../safety/index.ts'
import { assignPot, type PotChoice } from './assignPot.ts'
import { listRoles, type Role } from './roles.ts'
import { describeFish } from '../rows/index.ts'
import { toHundredth, toTenth, toThousandth } from '../rounding/index.ts'
import { ALL_KINDS, isMarketKey } from '../traits/index.ts'

/** Fish in a pot that does not say how many. */
const POT_PLACES = 3
/** A role below this fit makes the set infeasible. */
const LEAST_ROLE_FIT = 40

/** What the dish asks of every fish in the pot, whatever its place: what those who eat need, and price, stock and season as in a line-up. */
const asksOfAll = (brief: NormalisedBrief): NormalisedBrief['asks'] =>
  Object.fromEntries(
    Object.entries(brief.asks).filter(([key, ask]) => ask.because.includes('diner') || (key !== 'colour' && isMarketKey(key as AskKey))),
  )

/** A place of the pot with what is scored in it. */
interface Place {
  readonly role: Role
  readonly brief: NormalisedBrief
  readonly scoring: Scoring
}

function layPlace(role: Role, { brief, whole }: Board): Place {
  const own = { ...brief, asks: { ...asksOfAll(brief), ...roleAsks(role.asks, role.why, brief) } }
  return { role, brief: own, scoring: createScoring(own, whole) }
}

const roleAsks = (asks: Role['asks'], why: string, brief: NormalisedBrief): Record<string, NormalisedAsk> =>
  Object.fromEntries(
    Object.entries(asks).map(([key, { from, to, pull }]): [string, NormalisedAsk] => {
      const diners = brief.asks[key as BandKey]
      const own: NormalisedAsk = { from: from ?? null, to: to ?? null, pull, must: null, because: ['method'], reason: phrase(why) }
      // Whoever eats may be stricter than the place: few bones for the shy.
      if (!diners?.because.includes('diner')) return [key, own]
      return [
        key,
        {
          ...own,
          from: stricter(own.from, diners.from, Math.max),
          to: stricter(own.to, diners.to, Math.min),
          pull: Math.max(pull, diners.pull),
        },
      ]
    }),
  )

const stricter = (a: number | null, b: number | null, pick: (a: number, b: number) => number): number | null =>
  a === null ? b : b === null ? a : pick(a, b)

/** The offer that stands for each species that passes the dish's gates, by id, so that nothing hangs on the order of the book. */
function pickFish({ considered, brief, scoring }: Board): readonly Entry[] {
  const passing = considered.filter(({ gates }) => gates.length === 0)
  return [...groupBySpecies(pickStanding(passing, brief, scoring)).values()]
    .flatMap((group) => pickForSpecies(group, brief))
    .sort((a, b) => (a.candidate.offer.id < b.candidate.offer.id ? -1 : 1))
}

/** Choices looked at, so that enough of them are different dishes and not one fish changed for its twin. */
const CHOICES_LOOKED_AT = 24
const POTS_SHOWN = 3
/** Two fish of one genus closer than this, in shoulders, are one fish to the eater. */
const TWIN_SHOULDERS = 0.25

const genusOf = ({ candidate }: Entry): string => candidate.offer.species.split(' ')[0] ?? ''
const areTwins = (a: Entry, b: Entry): boolean => a === b || (genusOf(a) === genusOf(b) && distanceOf(a, b) < TWIN_SHOULDERS)

/** One pot with, for each place, the twins that would fill it as well. */
interface Group {
  readonly choice: PotChoice
  readonly twins: readonly (readonly number[])[]
}

/** Puts choices that differ only by twins together under the best of them; the same fish in other places are no other pot. */
function groupTwins(choices: readonly PotChoice[], entries: readonly Entry[]): readonly Group[] {
  const groups: { choice: PotChoice; twins: number[][] }[] = []
  const at = (fish: number) => entries[fish] as Entry
  const nameFish = ({ fish }: PotChoice): string => [...fish].sort((a, b) => a - b).join()
  for (const choice of choices) {
    if (groups.some((group) => nameFish(group.choice) === nameFish(choice))) continue
    const same = groups.find((group) => group.choice.fish.every((fish, role) => areTwins(at(fish), at(choice.fish[role] ?? fish))))
    if (!same) groups.push({ choice, twins: choice.fish.map(() => []) })
    else
      choice.fish.forEach((fish, role) => {
        const known = same.twins[role]
        if (known && fish !== same.choice.fish[role] && !known.includes(fish) && !same.choice.fish.includes(fish)) known.push(fish)
      })
  }
  return groups
}

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

function describePot({ choice: { fish, value }, twins }: Group, entries: readonly Entry[], laid: readonly Place[], board: Board): Pot {
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

/** Texture distance between two fish, in shoulders, capped at 1. */
const distanceOf = (a: Entry, b: Entry): number => Math.min(1, computeKinship(a.candidate.offer, b.candidate.offer).distance)

function whyEmpty(considered: number, k: number, roles: readonly Role[], logFit: readonly (readonly number[])[]): Fact {
  if (considered < k) return say('pot.too-few', { fish: considered, wanted: k })
  const unfilled = roles.filter((_, role) => logFit.every((row) => row[role] === -Infinity))
  return unfilled.length > 0 ? say('pot.unfilled', { roles: unfilled.map(({ name }) => phrase(name)) }) : say('pot.none')
}

export interface PotOptions {
  readonly today: string
  /** How many fish go in, 2..5. */
  readonly k: number
}

/**
 * A pot of several: which k fish fill the roles of a stew, a mixed fry or a board and differ from one another, exactly the best and its
 * runners-up, in the order in which they go in. The dish's gates hold for each: one allergen closes the pot; price, stock and season count in
 * every place as the dish asks them. Each fish is bought for an even share of the portions.
 * @param brief already valid by its schema   @throws RangeError for k outside 2..5
 */
export function planPot(brief: Brief, sheet: ChosenSheet, { today, k }: PotOptions): Result<PotPlan, readonly Problem[]> {
  // A pot of several is of every kind that is not ruled out.
  const laid = createBoard(brief.kinds ? brief : { ...brief, kinds: [...ALL_KINDS] }, sheet, today)
  if (!laid.ok) return laid
  const board = laid.value
  const roles = listRoles(board.brief.method, k)
  const entries = pickFish(board)
  const laidPlaces = roles.map((role) => layPlace(role, board))
  const logFit = entries.map(({ candidate }) =>
    laidPlaces.map(({ brief: own, scoring }) => {
      const { fit } = computeFit(candidate, own, scoring)
      return fit < LEAST_ROLE_FIT ? -Infinity : Math.log(fit / 100)
    }),
  )
  const distance = entries.map((a) => entries.map((b) => (a === b ? 0 : distanceOf(a, b))))
  const choices = entries.length < k ? [] : assignPot({ logFit, distance }, { most: CHOICES_LOOKED_AT })
  return {
    ok: true,
    value: {
      pots: groupTwins(choices, entries)
        .slice(0, POTS_SHOWN)
        .map((group) => describePot(group, entries, laidPlaces, board)),
      considered: entries.length,
      emptyBecause: choices.length > 0 ? null : whyEmpty(entries.length, k, roles, logFit),
    },
  }
}

/** `planPot` for a request as it comes in from outside. */
export const answerPot = (
  { places = POT_PLACES, ...brief }: PotRequest,
  sheet: ChosenSheet,
  { today }: { readonly today: string },
): Result<PotPlan, readonly Problem[]> => planPot(brief, sheet, { today, k: places })
