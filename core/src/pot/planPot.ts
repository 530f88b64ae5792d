import type { Brief, Fact, PotRequest, Result } from '@tender-gill/contract'
import { phrase, say, type PotPlan, type Problem } from '../facts/index.ts'
import { computeFit } from '../fit/index.ts'
import { createBoard, groupBySpecies, listLeftOut, pickForSpecies, pickStanding, type Board, type Entry } from '../lineUp/index.ts'
import { letIn, type ChosenSheet } from '../market/index.ts'
import { ALL_KINDS } from '../traits/index.ts'
import { assignPot } from './assignPot.ts'
import { describePot } from './describePot.ts'
import { distanceOf, groupTwins } from './groupTwins.ts'
import { layPlace } from './layPlace.ts'
import { listRoles, type Role } from './roles.ts'

/** Fish in a pot that does not say how many. */
const POT_PLACES = 3
/** A role below this fit makes the set infeasible. */
const LEAST_ROLE_FIT = 40
/** What a hand put in counts as at least this: it is the cook's word, and a logarithm has no 0. */
const LEAST_HELD_FIT = 1

const speciesOf = ({ candidate }: Entry): string => candidate.offer.species

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
function whyEmpty(considered: number, k: number, roles: readonly Role[], logFit: readonly (readonly number[])[]): Fact {
  if (considered < k) return say('pot.too-few', { fish: considered, wanted: k })
  const unfilled = roles.filter((_, role) => logFit.every((row) => row[role] === -Infinity))
  return unfilled.length > 0 ? say('pot.unfilled', { roles: unfilled.map(({ name }) => phrase(name)) }) : say('pot.none')
}

/** Why the first fish that a hand put in cannot go in, with what would let it. */
function whyHeldOut(holds: readonly string[], board: Board): Fact | null {
  const [first] = holds.flatMap((species) =>
    listLeftOut(
      board,
      board.considered.filter((entry) => speciesOf(entry) === species),
    ),
  )
  if (!first) return null
  const { common: fish, sentence: gate, opensIf } = first
  return opensIf ? say('pot.held-out.opens', { fish, gate, open: opensIf }) : say('pot.held-out', { fish, gate })
}

export interface PotOptions {
  readonly today: string
  /** How many fish go in, 2..5. */
  readonly k: number
  /** Species that a hand put in: in every pot, in the place that they fill best, however well that is and whoever offers them; what must be holds for all. */
  readonly holds?: readonly string[]
  /** Species that a hand took out. */
  readonly without?: readonly string[]
}

/**
 * A pot of several: which k fish fill the roles of a stew, a mixed fry or a board and differ from one another, exactly the best and its
 * runners-up, in the order in which they go in. The dish's gates hold for each: one allergen closes the pot; price, stock and season count in
 * every place as the dish asks them. Each fish is bought for an even share of the portions.
 * @param brief already valid by its schema   @throws RangeError for k outside 2..5
 */
export function planPot(
  brief: Brief,
  sheet: ChosenSheet,
  { today, k, holds = [], without = [] }: PotOptions,
): Result<PotPlan, readonly Problem[]> {
  // A pot of several is of every kind that is not ruled out.
  const laid = createBoard(brief.kinds ? brief : { ...brief, kinds: [...ALL_KINDS] }, letIn(sheet, holds), today)
  if (!laid.ok) return laid
  const board = laid.value
  const roles = listRoles(board.brief.method, k)
  const known = new Set(board.considered.map(speciesOf))
  const entries = pickFish(board).filter((entry) => !without.includes(speciesOf(entry)))
  const held = holds.filter((species) => known.has(species)).map((species) => entries.findIndex((entry) => speciesOf(entry) === species))
  const laidPlaces = roles.map((role) => layPlace(role, board))
  const logFit = entries.map(({ candidate }, at) =>
    laidPlaces.map(({ brief: own, scoring }) => {
      const { fit } = computeFit(candidate, own, scoring)
      if (held.includes(at)) return Math.log(Math.max(LEAST_HELD_FIT, fit) / 100)
      return fit < LEAST_ROLE_FIT ? -Infinity : Math.log(fit / 100)
    }),
  )
  const distance: number[][] = []
  entries.forEach((a, i) => distance.push(entries.map((b, j) => (i === j ? 0 : j < i ? (distance[j]?.[i] ?? 0) : distanceOf(a, b)))))
  const possible = entries.length >= k && held.length <= k && !held.includes(-1)
  const choices = possible ? assignPot({ logFit, distance }, { most: CHOICES_LOOKED_AT, holds: held }) : []
  return {
    ok: true,
    value: {
      pots: groupTwins(choices, entries)
        .slice(0, POTS_SHOWN)
        .map((group) => describePot(group, entries, laidPlaces, board)),
      considered: entries.length,
      emptyBecause: choices.length > 0 ? null : (whyHeldOut(holds, board) ?? whyEmpty(entries.length, k, roles, logFit)),
    },
  }
}

/** `planPot` for a request as it comes in from outside. */
export const answerPot = (
  { places = POT_PLACES, ...brief }: PotRequest,
  sheet: ChosenSheet,
  { today }: { readonly today: string },
): Result<PotPlan, readonly Problem[]> => planPot(brief, sheet, { today, k: places })
