import { computeProperties, type Composition } from '../heat/index.ts'

/** Range over which properties are tabulated, a value for each degree C. */
const FROM_C = -40
const TO_C = 150
const LENGTH = TO_C - FROM_C + 1

/** What conducts and stores heat, by temperature: looked up, since a step asks for it in every cell. */
export interface FleshTable {
  /** Conductivity, W/(m K), one value for each degree from -40. */
  readonly k: Float64Array
  /** Density times heat capacity, J/(m3 K), likewise. */
  readonly volumetric: Float64Array
}

/** Flesh of one composition, after Choi and Okos. */
export function tabulateFlesh(composition: Composition): FleshTable {
  const table = { k: new Float64Array(LENGTH), volumetric: new Float64Array(LENGTH) }
  for (let i = 0; i < LENGTH; i += 1) {
    const { conductivity, density, heatCapacity } = computeProperties(composition, FROM_C + i)
    table.k[i] = conductivity
    table.volumetric[i] = density * heatCapacity
  }
  return table
}

/** A body whose properties do not change. @param k W/(m K)   @param alpha diffusivity, m2/s */
export const constantFlesh = (k: number, alpha: number): FleshTable => ({
  k: new Float64Array(LENGTH).fill(k),
  volumetric: new Float64Array(LENGTH).fill(k / alpha),
})

/** Place of a temperature in the tables; beyond them that of their end. */
export const placeInTable = (tempC: number): number => Math.min(LENGTH - 1.000001, Math.max(0, tempC - FROM_C))

/** Value at a place in a table, straight between whole degrees. @param at of `placeInTable`: both tables are read at the same one */
export function readTable(values: Float64Array, at: number): number {
  const below = Math.floor(at)
  const first = values[below] ?? 0
  return first + ((values[below + 1] ?? first) - first) * (at - below)
}
