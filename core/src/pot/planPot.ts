import type { Fact, BandKey, Brief, OfferSheet, PotRequest, Result } from '@tender-gill/contract'
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
import { computeWeightToBuyG } from '../amounts/index.ts'
import { cookFish } from '../cooking/index.ts'
import { computeFit, createScoring, explainPoints } from '../fit/index.ts'
import { createBoard, groupBySpecies, pickForSpecies, pickStanding, type Board, type Entry } from '../lineUp/index.ts'
import { computeKinship } from '../relatives/index.ts'
import { findCautions } from '../safety/index.ts'
import { assignPot, type PotChoice } from './assignPot.ts'
import { listRoles, type Role } from './roles.ts'
import { describeFish } from '../rows/index.ts'
import { toTenth, toThousandth } from '../rounding/index.ts'
import { ALL_KINDS } from '../traits/index.ts'

/** Fish in a pot that does not say how many. */
const POT_PLACES = 3
/** A role below this fit makes the set infeasible. */
const LEAST_ROLE_FIT = 40

/** A place of the pot as a brief: what it asks, and what those who eat ask of every fish in it. */
const roleBrief = (brief: NormalisedBrief, { asks, why }: Role): NormalisedBrief => ({
  ...brief,
  asks: {
    ...Object.fromEntries(Object.entries(brief.asks).filter(([, ask]) => ask.because.includes('diner'))),
    ...roleAsks(asks, why, brief),
  },
})

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

/** Puts choices that differ only by twins together under the best of them. */
function groupTwins(choices: readonly PotChoice[], entries: readonly Entry[]): readonly Group[] {
  const groups: { choice: PotChoice; twins: number[][] }[] = []
  const at = (fish: number) => entries[fish] as Entry
  for (const choice of choices) {
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

function describePot({ choice: { fish, value }, twins }: Group, entries: readonly Entry[], roles: readonly Role[], board: Board): Pot {
  const { brief } = board
  const share = fish.length
  const places = roles.map((role, i): PotPlace => {
    const entry = entries[fish[i] ?? 0] as Entry
    const { offer, form } = entry.candidate
    const own = roleBrief(brief, role)
    const fit = computeFit(entry.candidate, own, createScoring(own, [offer]))
    return {
      role: phrase(role.name),
      why: phrase(role.why),
      ...describeFish(entry.candidate),
      fit: toTenth(fit.fit),
      pointsLost: [...explainPoints(fit, own)],
      minutes: Math.round(cookFish(entry.candidate, brief)?.minutes ?? 0),
      buyG: Math.round(computeWeightToBuyG(offer, form, brief).typical / share),
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
 * runners-up, in the order in which they go in. The dish's gates hold for each: one allergen closes the pot.
 * @param brief already valid by its schema   @throws RangeError for k outside 2..5
 */
export function planPot(brief: Brief, sheet: OfferSheet, { today, k }: PotOptions): Result<PotPlan, readonly Problem[]> {
  // A pot of several is of every kind that is not ruled out.
  const laid = createBoard(brief.kinds ? brief : { ...brief, kinds: [...ALL_KINDS] }, sheet, today)
  if (!laid.ok) return laid
  const board = laid.value
  const roles = listRoles(board.brief.method, k)
  const entries = pickFish(board)
  const logFit = entries.map(({ candidate }) =>
    roles.map((role) => {
      const own = roleBrief(board.brief, role)
      const { fit } = computeFit(candidate, own, createScoring(own, [candidate.offer]))
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
        .map((group) => describePot(group, entries, roles, board)),
      considered: entries.length,
      emptyBecause: choices.length > 0 ? null : whyEmpty(entries.length, k, roles, logFit),
    },
  }
}

/** `planPot` for a request as it comes in from outside. */
export const answerPot = (
  { places = POT_PLACES, ...brief }: PotRequest,
  sheet: OfferSheet,
  { today }: { readonly today: string },
): Result<PotPlan, readonly Problem[]> => planPot(brief, sheet, { today, k: places })
