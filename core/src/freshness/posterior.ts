import type { FreshnessRequest, Range } from '@tender-gill/contract'
import { AGE_GRID, LEVEL_SPREAD, USUAL_PRIOR } from '../tables/signs.ts'

/** How a sign is read here: its levels, the days on ice until the last, and how far it is believed. */
export interface Reading {
  readonly levels: number
  readonly spanDays: number
  readonly trust: number
}

/** Ages on ice that are told apart, days. */
export const AGES: readonly number[] = Array.from({ length: AGE_GRID.steps }, (_, i) => AGE_GRID.stepDays * (i + 1))
/** A weight for each age of the grid; they sum to 1. */
export type Ages = readonly number[]

const normalise = (weights: readonly number[]): Ages => {
  const sum = weights.reduce((a, b) => a + b, 0)
  return weights.map((weight) => weight / sum)
}

/** Age before anything is seen: log-normal, by its density in days. */
export const layPrior = ({ medianIceDays, lnSd }: NonNullable<FreshnessRequest['prior']> = USUAL_PRIOR): Ages =>
  normalise(AGES.map((t) => Math.exp(-((Math.log(t / medianIceDays) / lnSd) ** 2) / 2) / t))

/** Chance of a level at each age, as far as the sign is believed: around where the age has brought it, made to sum to 1 over the levels. */
export function likelihoodOf({ levels, spanDays, trust }: Reading, level: number): readonly number[] {
  return AGES.map((t) => {
    const middle = (levels - 1) * Math.min(1, t / spanDays)
    const weigh = (l: number) => Math.exp(-((l - middle) ** 2) / LEVEL_SPREAD)
    let sum = 0
    for (let l = 0; l < levels; l++) sum += weigh(l)
    return (weigh(level) / sum) ** trust
  })
}

/** Ages after a level of a sign was seen. */
export const seeLevel = (ages: Ages, reading: Reading, level: number): Ages => {
  const chances = likelihoodOf(reading, level)
  return normalise(ages.map((weight, i) => weight * (chances[i] ?? 0)))
}

/** The age at which the sum first reaches a share, days. */
function quantile(ages: Ages, share: number): number {
  let sum = 0
  for (const [i, weight] of ages.entries()) {
    sum += weight
    if (sum >= share) return AGES[i] ?? 0
  }
  return AGES.at(-1) ?? 0
}

/** 5 %, median and 95 % of the age on ice, days. */
export const rangeOf = (ages: Ages): Range => ({ low: quantile(ages, 0.05), typical: quantile(ages, 0.5), high: quantile(ages, 0.95) })

/** Chance that at least so many days are left of what it keeps. A hair is allowed for, so that just enough is enough. */
export const chanceLeft = (ages: Ages, keepingDays: number, neededDays: number): number =>
  ages.reduce((sum, weight, i) => (keepingDays - (AGES[i] ?? 0) >= neededDays - 1e-9 ? sum + weight : sum), 0)

function varianceOf(ages: Ages): number {
  const mean = ages.reduce((sum, weight, i) => sum + weight * (AGES[i] ?? 0), 0)
  return ages.reduce((sum, weight, i) => sum + weight * ((AGES[i] ?? 0) - mean) ** 2, 0)
}

/** By how much the variance of the age is expected to fall once a sign is looked at, days². */
export function expectFall(ages: Ages, reading: Reading): number {
  let total = 0
  let left = 0
  for (let level = 0; level < reading.levels; level++) {
    const chances = likelihoodOf(reading, level)
    const weights = ages.map((weight, i) => weight * (chances[i] ?? 0))
    const sum = weights.reduce((a, b) => a + b, 0)
    total += sum
    left += sum * varianceOf(normalise(weights))
  }
  return varianceOf(ages) - left / total
}
