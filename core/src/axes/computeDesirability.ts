import type { BandKey } from '@tender-gill/contract'
import { AXES, DESIRABILITY_FLOOR } from '../tables/constants.ts'
import { toAxis } from './axis.ts'

export interface Band {
  readonly from: number | null
  readonly to: number | null
}

/**
 * How far a value lies outside a band, in shoulders of its axis: 0 inside, 1 where desirability is gone.
 * @param x value in the trait's unit   @param band ends in the trait's unit, null for an open end
 */
export function computeMiss(key: BandKey, x: number, { from, to }: Band): number {
  const g = toAxis(key, x)
  const below = from === null ? 0 : toAxis(key, from) - g
  const above = to === null ? 0 : g - toAxis(key, to)
  return Math.max(0, below, above) / AXES[key].shoulder
}

/**
 * `computeMiss` for one band and many values: the band's ends are set on the axis once.
 * @returns miss in shoulders of a value in the trait's unit
 */
export function createMiss(key: BandKey, { from, to }: Band): (x: number) => number {
  const { scale, shoulder } = AXES[key]
  const gFrom = from === null ? -Infinity : toAxis(key, from)
  const gTo = to === null ? Infinity : toAxis(key, to)
  const linear = scale === 'linear'
  return (x) => {
    const g = linear ? x : toAxis(key, x)
    return (g < gFrom ? gFrom - g : g > gTo ? g - gTo : 0) / shoulder
  }
}

/** Desirability for a miss given in shoulders: 1 inside, falling in a line to the floor. After Derringer and Suich (1980). */
export const desirabilityOfMiss = (miss: number): number => Math.max(DESIRABILITY_FLOOR, 1 - miss)

/**
 * Desirability of a value for a band, DESIRABILITY_FLOOR..1. After Derringer and Suich (1980), one-sided and two-sided.
 */
export const computeDesirability = (key: BandKey, x: number, band: Band): number => desirabilityOfMiss(computeMiss(key, x, band))
