import { DESIRABILITY_FLOOR, UNKNOWN_DRAW, type AxisScale } from '../tables/constants.ts'
import { fatFromFirmness, fatFromOwn, priceFromMarket, priceFromOwn } from './drawTrait.ts'
import { hashDraw } from './hash.ts'
import { Z_OF_BYTE, Z_PLACES, placeOfZ, uniformFromBits, zOfPlace } from './normal.ts'
import type { DrawPlan, EntrantPlan } from './planEntrant.ts'
import type { DrawWeather } from './simulateRanks.ts'

const ON_AXIS: Record<AxisScale, (x: number) => number> = { linear: (x) => x, sqrt: Math.sqrt, ln: Math.log }
const Z_OF_PLACE = Float64Array.from({ length: Z_PLACES }, (_, place) => zOfPlace(place))

/**
 * Ln of the desirability for each z of a list, 0 inside the band and -Infinity where the value breaks the must.
 * Fields of the plan stand in locals: this loop and those below are where the time goes.
 */
function fillPenaltiesInPlace(out: Float64Array, zs: Readonly<Float64Array>, plan: DrawPlan): void {
  const { typical, stepDown, stepUp, min, max, mustFrom, mustTo, gFrom, gTo, perShoulder } = plan
  const price = plan.kind === 'price'
  const linear = plan.scale === 'linear'
  const onAxis = ON_AXIS[plan.scale]
  for (let i = 0; i < zs.length; i += 1) {
    const z = zs[i] as number
    const step = z < 0 ? z * stepDown : z * stepUp
    const free = price ? typical * Math.exp(step) : typical + step
    const x = free < min ? min : free > max ? max : free
    if (x < mustFrom || x > mustTo) {
      out[i] = -Infinity
      continue
    }
    const g = linear ? x : onAxis(x)
    const outside = g < gFrom ? gFrom - g : g > gTo ? g - gTo : 0
    const d = 1 - outside * perShoulder
    out[i] = outside === 0 ? 0 : Math.log(d > DESIRABILITY_FLOOR ? d : DESIRABILITY_FLOOR)
  }
}

const overBytes = (part: (z: number) => number) => Float64Array.from(Z_OF_BYTE, (z) => part(z) * (placeOfZ(1) - placeOfZ(0)))
const FIRMNESS_STEPS = overBytes(fatFromFirmness)
const FAT_STEPS = overBytes(fatFromOwn)
const MARKET_STEPS = overBytes(priceFromMarket)
const PRICE_STEPS = overBytes(priceFromOwn)
const MIDDLE = placeOfZ(0)

/** Room the loops work in, made once for all entrants so that memory grows with draws alone. */
export interface Scratch {
  readonly logs: Float64Array
  /** Penalty by level of a plain draw. */
  readonly byByte: Float64Array
  /** Penalty by place on the grid of z, for correlated draws. */
  readonly byPlace: Float64Array
}
export const createScratch = (draws: number): Scratch => ({
  logs: new Float64Array(draws),
  byByte: new Float64Array(256),
  byPlace: new Float64Array(Z_PLACES),
})

/** Plain draws: one look-up each, one hash for four. */
function addPlainInPlace(logs: Float64Array, pull: Float64Array, { name }: DrawPlan, seed: number, table: Float64Array): void {
  let bits = 0
  for (let d = 0; d < logs.length; d += 1) {
    bits = (d & 3) === 0 ? hashDraw(seed, d >>> 2, name) : bits >>> 8
    logs[d] = (logs[d] as number) + (pull[d] as number) * (table[bits & 255] as number)
  }
}

/** Draws of fat, which lean on the same fish's firmness. */
function addFatInPlace(logs: Float64Array, pull: Float64Array, { name, leansOn }: DrawPlan, seed: number, table: Float64Array): void {
  let own = 0
  let firm = 0
  for (let d = 0; d < logs.length; d += 1) {
    const fresh = (d & 3) === 0
    own = fresh ? hashDraw(seed, d >>> 2, name) : own >>> 8
    firm = fresh ? hashDraw(seed, d >>> 2, leansOn) : firm >>> 8
    const place = Math.round((FIRMNESS_STEPS[firm & 255] as number) + (FAT_STEPS[own & 255] as number)) + MIDDLE
    logs[d] = (logs[d] as number) + (pull[d] as number) * (table[place] as number)
  }
}

/** Draws of a price, which lean on the day's market. */
function addPriceInPlace(
  logs: Float64Array,
  pull: Float64Array,
  { name }: DrawPlan,
  { seed, market }: DrawWeather,
  table: Float64Array,
): void {
  let own = 0
  for (let d = 0; d < logs.length; d += 1) {
    own = (d & 3) === 0 ? hashDraw(seed, d >>> 2, name) : own >>> 8
    const place = Math.round((MARKET_STEPS[market[d] as number] as number) + (PRICE_STEPS[own & 255] as number)) + MIDDLE
    logs[d] = (logs[d] as number) + (pull[d] as number) * (table[place] as number)
  }
}

/** An unknown counts anywhere between a poor and a perfect desirability. */
function addUnknownInPlace(logs: Float64Array, pull: Float64Array, { name }: DrawPlan, seed: number): void {
  const span = UNKNOWN_DRAW.to - UNKNOWN_DRAW.from
  for (let d = 0; d < logs.length; d += 1)
    logs[d] = (logs[d] as number) + (pull[d] as number) * Math.log(UNKNOWN_DRAW.from + uniformFromBits(hashDraw(seed, d, name)) * span)
}

/**
 * Sum of pull x ln d of one entrant in every draw, -Infinity where it fails a must, whatever the pull. Each trait's penalty is worked out
 * once for every value a draw can take; the draws then only look it up. The answer is the scratch's own `logs`.
 */
export function addPenalties({ plans, fixed }: EntrantPlan, weather: DrawWeather, scratch: Scratch): Float64Array {
  const { logs, byByte, byPlace } = scratch
  const { seed, pulls, ones } = weather
  logs.fill(0)
  for (const { scored, logD } of fixed) {
    const pull = pulls[scored] ?? ones
    for (let d = 0; d < logs.length; d += 1) logs[d] = (logs[d] as number) + (pull[d] as number) * logD
  }
  for (const plan of plans) {
    const pull = pulls[plan.scored] ?? ones
    if (plan.kind === 'unknown') addUnknownInPlace(logs, pull, plan, seed)
    else if (plan.kind === 'normal') {
      fillPenaltiesInPlace(byByte, Z_OF_BYTE, plan)
      addPlainInPlace(logs, pull, plan, seed, byByte)
    } else {
      fillPenaltiesInPlace(byPlace, Z_OF_PLACE, plan)
      if (plan.kind === 'fat') addFatInPlace(logs, pull, plan, seed, byPlace)
      else addPriceInPlace(logs, pull, plan, weather, byPlace)
    }
  }
  return logs
}
