import type { Range } from '@tender-gill/contract'
import { desirabilityOfMiss, toAxis } from '../axes/index.ts'
import { failsMust } from '../gates/index.ts'
import { AXES } from '../tables/constants.ts'
import { lacksOnly, moveBand, shareOf, type Field, type Move, type Runner, type Standing } from './runners.ts'

type MoveOf<K extends Move['kind']> = Extract<Move, { kind: K }>

function startInPlace({ standing, moved }: Field): Standing {
  moved.logD.set(standing.logD)
  moved.miss.set(standing.miss)
  moved.rangeMiss.set(standing.rangeMiss)
  moved.passes.set(standing.passes)
  return moved
}

function movePull(field: Field, { at, to }: MoveOf<'pull'>): Standing {
  const moved = startInPlace(field)
  const shares = field.columns[at]?.shares
  if (!shares) return moved
  const by = to - (field.asks[at]?.ask.pull ?? 0)
  for (const part of ['logD', 'miss', 'rangeMiss'] as const) {
    const sum = moved[part]
    const share = shares[part]
    for (let i = 0; i < sum.length; i += 1) sum[i] = (sum[i] as number) + by * (share[i] as number)
  }
  return moved
}

function moveEdge(field: Field, { at, end, to }: MoveOf<'edge'>): Standing {
  const moved = startInPlace(field)
  const scored = field.asks[at]
  const column = field.columns[at]
  if (!scored || !column || scored.key === 'colour') return moved
  const { key, ask } = scored
  const { band, must } = moveBand(ask, end, to)
  const { shoulder } = AXES[key]
  const from = band.from === null ? -Infinity : toAxis(key, band.from)
  const upTo = band.to === null ? Infinity : toAxis(key, band.to)
  const missOf = (g: number) => Math.max(0, from - g, g - upTo) / shoulder
  const { shares, low, typical, high } = column
  for (let i = 0; i < typical.length; i += 1) {
    const g = typical[i] as number
    if (Number.isNaN(g)) continue
    const miss = missOf(g)
    const logD = miss === 0 ? 0 : Math.log(desirabilityOfMiss(miss))
    const rangeMiss = missOf(low[i] as number) + missOf(high[i] as number)
    moved.logD[i] = (moved.logD[i] as number) + ask.pull * (logD - (shares.logD[i] as number))
    moved.miss[i] = (moved.miss[i] as number) + ask.pull * (miss - (shares.miss[i] as number))
    moved.rangeMiss[i] = (moved.rangeMiss[i] as number) + ask.pull * (rangeMiss - (shares.rangeMiss[i] as number))
  }
  if (must === null) return moved
  for (const [i, runner] of field.runners.entries()) {
    const value = runner.values[at]
    if (value) moved.passes[i] = Number(!failsMust(key, value, must) && lacksOnly(runner, key))
  }
  return moved
}

const scale = ({ low, typical, high }: Range, by: number): Range => ({ low: low * by, typical: typical * by, high: high * by })

function movePrice(field: Field, { species, factor }: MoveOf<'price'>): Standing {
  const moved = startInPlace(field)
  const { brief, asks } = field
  const at = asks.findIndex(({ key }) => key === 'portionCost')
  const ask = asks[at]?.ask
  const must = brief.asks.portionCost?.must ?? null
  for (const i of field.bySpecies.get(species) ?? []) {
    const runner = field.runners[i]
    if (!runner?.cost) continue
    const cost = scale(runner.cost, factor)
    const before = runner.shares[at]
    const overBudget = brief.budget?.must === true && cost.typical > brief.budget.perPortion
    moved.passes[i] = Number(!overBudget && !(must !== null && failsMust('portionCost', cost, must)) && lacksOnly(runner, 'portionCost'))
    if (!ask || !before) continue
    const after = shareOf('portionCost', cost, ask)
    for (const part of ['logD', 'miss', 'rangeMiss'] as const) moved[part][i] = runner.total[part] + ask.pull * (after[part] - before[part])
  }
  return moved
}

function applyMove(field: Field, move: Move): Standing {
  switch (move.kind) {
    case 'pull':
      return movePull(field, move)
    case 'edge':
      return moveEdge(field, move)
    case 'price':
      return movePrice(field, move)
  }
}

/** The same fit to a hair: sums are added up in another order than by the ranking, so their last bits may differ. */
const SAME = 1e-12

/** The higher sum, then the smaller miss, then the better known, then the smaller miss of the ranges, then the id, by which they are in order. */
function goesBefore({ known }: Field, { logD, miss, rangeMiss }: Standing, a: number, b: number): boolean {
  const byFit = (logD[a] as number) - (logD[b] as number)
  if (Math.abs(byFit) > SAME) return byFit > 0
  const byMiss = (miss[a] as number) - (miss[b] as number)
  if (Math.abs(byMiss) > SAME) return byMiss < 0
  const byName = (known[a] as number) - (known[b] as number)
  if (byName !== 0) return byName > 0
  const byRange = (rangeMiss[a] as number) - (rangeMiss[b] as number)
  return Math.abs(byRange) > SAME ? byRange < 0 : a < b
}

/** Who stands first, as the field is or after a move. Of a species only what has the highest precedence among those that pass may stand. */
export function findFirst(field: Field, move?: Move): Runner | undefined {
  const standing = move ? applyMove(field, move) : field.standing
  const { runners, species, precedence, highest } = field
  highest.fill(-1)
  for (let i = 0; i < runners.length; i += 1) {
    const own = species[i] as number
    if (standing.passes[i] && (precedence[i] as number) > (highest[own] as number)) highest[own] = precedence[i] as number
  }
  let best = -1
  for (let i = 0; i < runners.length; i += 1) {
    if (!standing.passes[i] || precedence[i] !== highest[species[i] as number]) continue
    if (best < 0 || goesBefore(field, standing, i, best)) best = i
  }
  return runners[best]
}
