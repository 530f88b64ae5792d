import type { BandKey, Range } from '@tender-gill/contract'
import { toAxis } from '../axes/index.ts'
import { AXES, DESIRABILITY_FLOOR } from '../tables/constants.ts'
import type { Share } from './runners.ts'

/** Where a line a + b x is zero; nothing for a level one. */
export const lineRoot = (a: number, b: number): readonly number[] => (b === 0 || !Number.isFinite(a / b) ? [] : [-a / b])

/** Two scores this near are level, and the tie-breakers decide. */
const LEVEL = 1e-9

/**
 * Pull of one ask at which two runners stand level: w* = -sum_{i != j} w_i (ln a_i - ln b_i) / (ln a_j - ln b_j); and
 * where they are level all along, the pull at which what breaks their tie does.
 */
export function pullRoots(a: { total: Share; share: Share }, b: { total: Share; share: Share }, pull: number): readonly number[] {
  const gap = (part: keyof Share) => a.total[part] - b.total[part]
  const slope = (part: keyof Share) => a.share[part] - b.share[part]
  const rootOf = (part: keyof Share) => lineRoot(gap(part) - pull * slope(part), slope(part))
  const isLevel = (root: number) => Math.abs(gap('logD') + (root - pull) * slope('logD')) < LEVEL
  return [...rootOf('logD'), ...[...rootOf('miss'), ...rootOf('rangeMiss')].filter(isLevel)]
}

/** One runner as an edge of one ask moves: its value on the axis, and the sums of all its other asks. */
export interface EdgeRunner {
  readonly low: number
  readonly typical: number
  readonly high: number
  /** Sums of pull x share over the other asks. */
  readonly rest: Share
}

export function toEdgeRunner(key: BandKey, { low, typical, high }: Range, rest: Share): EdgeRunner {
  return { low: toAxis(key, low), typical: toAxis(key, typical), high: toAxis(key, high), rest }
}

/** Sign by which a value lies outside as the edge moves up: a lower edge leaves values below it behind, an upper edge lets them in. */
type Side = 1 | -1
export const sideOf = (end: 'from' | 'to'): Side => (end === 'from' ? 1 : -1)

/** Miss at an edge, in shoulders, for the side that this edge guards. */
const missAt = (g: number, edge: number, side: Side, shoulder: number) => Math.max(0, (side * (edge - g)) / shoulder)

/** Places on the axis where a runner's share changes its shape: its three values, and where desirability meets its floor. */
const breakpoints = ({ low, typical, high }: EdgeRunner, side: Side, shoulder: number): readonly number[] => [
  low,
  typical,
  high,
  typical + side * (1 - DESIRABILITY_FLOOR) * shoulder,
]

/**
 * Root inside one piece, where each desirability is level or a line in the edge: w ln(d_a / d_b) = K is linear once both sides are taken to
 * the exponential.
 */
function logRoot(a: EdgeRunner, b: EdgeRunner, middle: number, { side, shoulder, pull }: EdgeSolve): readonly number[] {
  const line = (g: number): readonly [number, number] => {
    const miss = missAt(g, middle, side, shoulder)
    if (miss === 0) return [1, 0]
    if (1 - miss <= DESIRABILITY_FLOOR) return [DESIRABILITY_FLOOR, 0]
    return [1 + (side * g) / shoulder, -side / shoulder]
  }
  const [a0, a1] = line(a.typical)
  const [b0, b1] = line(b.typical)
  const ratio = Math.exp((b.rest.logD - a.rest.logD) / pull)
  return lineRoot(a0 - ratio * b0, a1 - ratio * b1)
}

/** Root of a sum of misses inside one piece, where each is level or a line. */
function missRoot(
  aValues: readonly number[],
  bValues: readonly number[],
  restGap: number,
  middle: number,
  { side, shoulder, pull }: EdgeSolve,
) {
  const sum = (values: readonly number[]) =>
    values.reduce<readonly [number, number]>(
      ([c0, c1], g) => (missAt(g, middle, side, shoulder) > 0 ? [c0 - (side * g) / shoulder, c1 + side / shoulder] : [c0, c1]),
      [0, 0],
    )
  const [a0, a1] = sum(aValues)
  const [b0, b1] = sum(bValues)
  return lineRoot(restGap + pull * (a0 - b0), pull * (a1 - b1))
}

interface EdgeSolve {
  readonly side: Side
  readonly shoulder: number
  readonly pull: number
}

/** How far one runner's score stands above another's with the edge at a place. */
function scoreGap(a: EdgeRunner, b: EdgeRunner, edge: number, { side, shoulder, pull }: EdgeSolve): number {
  const logD = (g: number) => Math.log(Math.max(DESIRABILITY_FLOOR, 1 - missAt(g, edge, side, shoulder)))
  return a.rest.logD - b.rest.logD + pull * (logD(a.typical) - logD(b.typical))
}

/**
 * Every place on the axis where two runners may change their order as one edge moves, found piece by piece between breakpoints, each
 * exactly. Where their scores are level, the places at which a tie-breaker turns or a level stretch ends count too.
 */
export function edgeRoots(a: EdgeRunner, b: EdgeRunner, key: BandKey, end: 'from' | 'to', pull: number): readonly number[] {
  const solve: EdgeSolve = { side: sideOf(end), shoulder: AXES[key].shoulder, pull }
  const breaks = [...breakpoints(a, solve.side, solve.shoulder), ...breakpoints(b, solve.side, solve.shoulder)].sort((x, y) => x - y)
  const pieces = [-Infinity, ...breaks, Infinity]
  const roots: number[] = []
  const ties: number[] = [...breaks]
  for (let i = 0; i + 1 < pieces.length; i += 1) {
    const from = pieces[i] as number
    const to = pieces[i + 1] as number
    if (!(to > from)) continue
    const middle = from === -Infinity ? to - 1 : to === Infinity ? from + 1 : (from + to) / 2
    const inPiece = (root: number) => root >= from && root <= to
    roots.push(...logRoot(a, b, middle, solve).filter(inPiece))
    if (Math.abs(scoreGap(a, b, middle, solve)) > LEVEL) continue
    ties.push(
      ...missRoot([a.typical], [b.typical], a.rest.miss - b.rest.miss, middle, solve).filter(inPiece),
      ...missRoot([a.low, a.high], [b.low, b.high], a.rest.rangeMiss - b.rest.rangeMiss, middle, solve).filter(inPiece),
    )
  }
  return [...roots, ...ties.filter((place) => Math.abs(scoreGap(a, b, place, solve)) < LEVEL)]
}
