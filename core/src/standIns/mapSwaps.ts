import type { Brief, OfferSheet, Result, SwapLink } from '@tender-gill/contract'
import type { Problem, SwapFish, SwapMap } from '../facts/index.ts'
import { computeFit, withAsks } from '../fit/index.ts'
import { describeGate } from '../gates/index.ts'
import { finish } from '../draws/index.ts'
import { findSwap, learnAlike } from '../swaps/index.ts'
import { byFit, createBoard, groupBySpecies, pickForSpecies, pickStanding, type Board, type Entry } from '../lineUp/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { ALL_KINDS, kindOf } from '../traits/index.ts'
import { computeStandInScore } from './computeAlike.ts'
import {
  compareLooks,
  computeLikeness,
  createLikenessScale,
  measureGap,
  placeOnAxes,
  type AxisPlaces,
  type LikenessScale,
} from './likeness.ts'
import { widenAsks } from './widenAsks.ts'
import { toTenth, toHundredth } from '../rounding/index.ts'

/** Neighbours kept for each fish: as many as a drawing round it can hold. */
export const MOST_NEIGHBOURS = 8
/** A difference a cook would notice, in weighted shoulders. */
const NOTICED = 0.1

interface Placed {
  readonly entry: Entry
  readonly places: AxisPlaces
}

/** One entry a species: the one that stands for it, or, where none passes, the one that came nearest. */
function pickOnePerSpecies(board: Board): readonly Entry[] {
  const passing = pickStanding(
    board.considered.filter(({ gates }) => gates.length === 0),
    board.brief,
    board.scoring,
  )
  const standing = new Map([...groupBySpecies(passing)].map(([species, group]) => [species, pickForSpecies(group, board.brief)[0]]))
  return [...groupBySpecies(board.considered)].flatMap(
    ([species, group]) => standing.get(species) ?? [...group].sort((a, b) => a.gates.length - b.gates.length || byFit(a, b))[0] ?? [],
  )
}

/** Where the stand-in parts from the fish it stands in for, what weighs most first, and to which side. */
function listDifferences(scale: LikenessScale, c: AxisPlaces, m: AxisPlaces): SwapLink['differs'] {
  return scale
    .map(({ key, pull }, i) => {
      const gap = measureGap(scale, i, c, m)
      const more = (c[i * 3 + 1] ?? 0) > (m[i * 3 + 1] ?? 0)
      return { key, gap, weight: pull * gap, step: more ? gap : -gap }
    })
    .filter(({ key, gap }, i, all) => gap >= NOTICED && all.findIndex((other) => other.key === key) === i)
    .sort((a, b) => b.weight - a.weight)
    .map(({ key, step }) => ({ trait: key, step: toHundredth(step) }))
}

/** Where no kinds are named, an animal is swapped for one of its kind. */
const ofItsKind = ({ entry }: Placed, all: readonly Placed[]): readonly Placed[] =>
  all.filter((other) => kindOf(other.entry.candidate.offer) === kindOf(entry.candidate.offer))

interface Scored {
  readonly to: number
  readonly alike: number
  readonly standIn: number
}
const byScore = (a: Scored, b: Scored) => b.standIn - a.standIn || a.to - b.to

/**
 * The best stand-ins, the best first. No fit is worked out for those that are so little alike that even a fit of 100 would not bring them among
 * the best.
 * @param likest the most alike first
 */
function pickNearest(likest: readonly Pick<Scored, 'to' | 'alike'>[], fitOf: (to: number) => number): readonly Scored[] {
  let nearest: readonly Scored[] = []
  for (const { to, alike } of likest) {
    const last = nearest.length < MOST_NEIGHBOURS ? undefined : nearest[MOST_NEIGHBOURS - 1]
    if (last && computeStandInScore(alike, 100) < last.standIn) break
    nearest = [...nearest, { to, alike, standIn: computeStandInScore(alike, fitOf(to)) }].sort(byScore).slice(0, MOST_NEIGHBOURS)
  }
  return nearest
}

/** The nearest stand-ins of one fish among those that can do the dish. */
function findNeighbours(missing: Placed, able: ReadonlySet<Placed>, all: readonly Placed[], board: Board): SwapLink[] {
  // The dish as it is served works with this fish: so its neighbours are judged.
  const brief = { ...board.brief, asks: widenAsks(board.brief, missing.entry.candidate) }
  const scoring = withAsks(board.scoring, brief.asks)
  const scale = createLikenessScale(brief, scoring)
  const likest: { readonly to: number; readonly alike: number }[] = []
  for (const [to, other] of all.entries()) {
    if (other === missing || other.entry.gates.length > 0 || !able.has(other)) continue
    const look = compareLooks(other.entry.candidate.offer, missing.entry.candidate.offer, brief)
    const alikeWas = look * computeLikeness(scale, other.places, missing.places)
    const swap = findSwap(other.entry.candidate.offer, missing.entry.candidate.offer.species, brief.method)
    const alike = swap ? learnAlike(alikeWas, swap.worked, swap.n) : alikeWas
    likest.push({ to, alike })
  }
  likest.sort((a, b) => b.alike - a.alike)
  const fitOf = (to: number) => (all[to] ? computeFit(all[to].entry.candidate, brief, scoring).fit : 0)
  return pickNearest(likest, fitOf).map(({ to, alike, standIn }) => ({
    to,
    alike: toTenth(alike),
    standIn: toTenth(standIn),
    differs: listDifferences(scale, all[to]?.places ?? missing.places, missing.places),
  }))
}

function describeFish({ entry }: Placed, board: Board, neighbours: SwapLink[]): SwapFish {
  const { candidate, fit, gates } = entry
  const [gate] = gates
  return {
    species: candidate.offer.species,
    common: candidate.offer.common,
    offerId: candidate.offer.id,
    offer: candidate.offer.label,
    fit: toTenth(fit.fit),
    sentence: gate ? describeGate(gate, candidate, board.brief) : null,
    neighbours,
  }
}

interface SwapOptions {
  readonly today: string
  /** The neighbours of this species alone, and those of its neighbours, are worked out; of the fittest one where it is null. */
  readonly around?: string | null
}

/** A fish and its neighbours, each with neighbours of its own: what is drawn round one. */
function* stepAround(around: string | null, all: readonly Placed[], neighboursOf: (placed: Placed) => SwapLink[]) {
  const able = all.filter(({ entry }) => entry.gates.length === 0)
  const fittest = able.reduce<Placed | undefined>((best, one) => (best && best.entry.fit.fit >= one.entry.fit.fit ? best : one), undefined)
  const centre = all.find(({ entry }) => entry.candidate.offer.species === around) ?? fittest
  const found = new Map<Placed, SwapLink[]>()
  if (!centre) return found
  const near = neighboursOf(centre)
  found.set(centre, near)
  for (const { to } of near) {
    const other = all[to]
    if (other) found.set(other, neighboursOf(other))
    yield found.size / (near.length + 1)
  }
  return found
}

/** `mapSwaps` in steps: yields the share of the fish that is done. */
export function* stepSwaps(
  brief: Brief,
  sheet: OfferSheet,
  { today, around }: SwapOptions,
): Generator<number, Result<SwapMap, readonly Problem[]>> {
  const laid = createBoard(brief.kinds ? brief : { ...brief, kinds: [...ALL_KINDS] }, sheet, today)
  if (!laid.ok) return laid
  const board = laid.value
  const scale = createLikenessScale(board.brief, board.scoring)
  const all = [...pickOnePerSpecies(board)]
    .sort((a, b) => (a.candidate.offer.species < b.candidate.offer.species ? -1 : 1))
    .map((entry): Placed => ({ entry, places: placeOnAxes(entry.candidate, scale, board.brief) }))
  const neighboursOf = (placed: Placed) => findNeighbours(placed, new Set(brief.kinds ? all : ofItsKind(placed, all)), all, board)
  const found = around === undefined ? new Map<Placed, SwapLink[]>() : yield* stepAround(around, all, neighboursOf)
  if (around === undefined)
    for (const placed of all) {
      found.set(placed, neighboursOf(placed))
      yield found.size / all.length
    }
  return {
    ok: true,
    value: {
      brief: board.brief,
      fish: all.map((placed) => describeFish(placed, board, found.get(placed) ?? [])),
      snapshot: sheet.snapshot,
      engineVersion: ENGINE_VERSION,
    },
  }
}

/**
 * Which species stand in for which in one dish, over the whole sheet: every pair compared, the nearest eight of each kept. A fish that cannot
 * do the dish itself has neighbours all the same, and is nobody's.
 * @returns fish in the order of their scientific names, or every problem of the brief with its place
 */
export const mapSwaps = (brief: Brief, sheet: OfferSheet, options: SwapOptions): Result<SwapMap, readonly Problem[]> =>
  finish(stepSwaps(brief, sheet, options))
