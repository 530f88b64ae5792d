import type { BandKey } from '@tender-gill/contract'
import { fromAxis, toAxis } from '../axes/index.ts'
import { AXES } from '../tables/constants.ts'
import { HAIR, STEP, findNearest, pairs, type Turn, type Wanted } from './nearest.ts'
import { edgeRoots, sideOf, toEdgeRunner } from './roots.ts'
import { lacksOnly, moveBand, withoutShare, type Field, type Runner } from './runners.ts'

/** The smallest change of one edge of one ask's band by which first place passes. */
export function turnByEdge(field: Field, wanted: Wanted, at: number, end: 'from' | 'to'): Turn | undefined {
  const scored = field.asks[at]
  // Of the sizes sold a buyer takes the nearest to what is wanted: another wish moves the value with it.
  if (!scored || scored.key === 'colour' || scored.key === 'weight') return undefined
  const { ask } = scored
  const key: BandKey = scored.key
  const nowValue = ask[end]
  if (nowValue === null) return undefined
  const now = toAxis(key, nowValue)
  const isBound = moveBand(ask, end, nowValue).must !== ask.must
  const seen = new Map<Runner, EdgeView | undefined>()
  // The miss on the other side of the band does not move with this edge: it is part of the rest of those it concerns.
  const look = (runner: Runner): EdgeView | undefined => {
    const value = runner.values[at]
    const share = runner.shares[at]
    const view = value && share ? toEdgeRunner(key, value, withoutShare(runner.total, ask.pull, share)) : undefined
    return view && withOtherSide(view, runner, at, field, end)
  }
  const view = (runner: Runner): EdgeView | undefined => {
    if (!seen.has(runner)) seen.set(runner, look(runner))
    return seen.get(runner)
  }
  const places: number[] = []
  for (const [a, b] of pairs(field, wanted, (runner) => (isBound ? lacksOnly(runner, key) : runner.gates.length === 0))) {
    const left = view(a)
    const right = view(b)
    if (left && right) places.push(...edgeRoots(left, right, key, end, ask.pull))
    else if (left ?? right) places.push(...looseRoots(left ?? right, left ? b : a, at, key, end, ask.pull))
  }
  const least = toAxis(key, Math.max(AXES[key].min, AXES[key].scale === 'ln' ? 1e-3 : 0))
  const most = toAxis(key, AXES[key].max)
  const other = end === 'from' ? ask.to : ask.from
  const stop = other === null ? undefined : toAxis(key, other)
  const inRange = (place: number) =>
    place >= least && place <= most && (stop === undefined || (end === 'from' ? place < stop - HAIR : place > stop + HAIR))
  return findNearest(
    field,
    wanted,
    places.filter(inRange),
    now,
    (place) => ({ kind: 'edge', at, end, to: fromAxis(key, place) }),
    (place) => Math.abs(place - now) / (STEP.edgeShoulders * AXES[key].shoulder),
  )
}

type EdgeView = NonNullable<ReturnType<typeof toEdgeRunner>>

/** A value that lies beyond the edge that stays has a miss no move of this edge undoes. */
function withOtherSide(view: EdgeView, runner: Runner, at: number, field: Field, end: 'from' | 'to'): EdgeView {
  const scored = field.asks[at]
  const value = runner.values[at]
  if (!scored || scored.key === 'colour' || !value) return view
  const { key, ask } = scored
  const stays = end === 'from' ? ask.to : ask.from
  if (stays === null) return view
  const edge = toAxis(key, stays)
  const side = sideOf(end === 'from' ? 'to' : 'from')
  const { shoulder } = AXES[key]
  const missOf = (g: number) => Math.max(0, (side * (edge - g)) / shoulder)
  const miss = missOf(view.typical)
  return {
    ...view,
    rest: {
      logD: view.rest.logD + ask.pull * Math.log(Math.max(0.01, 1 - miss)),
      miss: view.rest.miss + ask.pull * miss,
      rangeMiss: view.rest.rangeMiss + ask.pull * (missOf(view.low) + missOf(view.high)),
    },
  }
}

/** Against a runner whose value is not known, and so does not move: the places where the other meets its standing. */
function looseRoots(
  view: EdgeView | undefined,
  still: Runner,
  at: number,
  key: BandKey,
  end: 'from' | 'to',
  pull: number,
): readonly number[] {
  if (!view) return []
  const share = still.shares[at] ?? { logD: 0, miss: 0, rangeMiss: 0 }
  const { shoulder } = AXES[key]
  const side = sideOf(end)
  const gone = Math.exp((still.total.logD - view.rest.logD) / pull)
  const byMiss = (still.total.miss - view.rest.miss) / pull
  return [1 - gone, byMiss, share.miss].map((miss) => view.typical + side * miss * shoulder).concat([view.low, view.typical, view.high])
}
