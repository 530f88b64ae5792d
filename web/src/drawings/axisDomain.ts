import type { BandKey } from '@tender-gill/contract'
import { AXES, fromAxis, toAxis } from '@tender-gill/core'

/** The stretch of a trait's axis that is drawn, on the axis, and the smallest step a person moves by. */
export interface AxisDomain {
  readonly from: number
  readonly to: number
  readonly step: number
}

/** Values a drawn axis runs between, where the whole scale would squeeze what matters into a corner. */
const DRAWN: Partial<Record<BandKey, readonly [number, number]>> = {
  fat: [0, 30],
  thickness: [6, 90],
  weight: [8, 20_000],
  portionCost: [0.5, 20],
  mercury: [0.05, 10],
}
const STEP: Partial<Record<BandKey, number>> = {
  fat: 0.1,
  thickness: 0.05,
  weight: 0.05,
  portionCost: 0.02,
  landings: 0.05,
  stock: 5,
  mercury: 0.05,
  offFlavour: 0.1,
  marketClass: 0.1,
}

/** The drawn axis of a trait: strips, bands and docket share it. */
export function getAxisDomain(key: BandKey): AxisDomain {
  const [from, to] = DRAWN[key] ?? [AXES[key].min, AXES[key].max]
  return { from: toAxis(key, from), to: toAxis(key, to), step: STEP[key] ?? 0.5 }
}

/** Place of a value on the drawn axis, 0..1, held to its ends. */
export function placeOnAxis(key: BandKey, value: number): number {
  const { from, to } = getAxisDomain(key)
  return Math.min(1, Math.max(0, (toAxis(key, value) - from) / (to - from)))
}

const DIGITS: Partial<Record<BandKey, number>> = { portionCost: 2, landings: 2, thickness: 0, weight: 0, stock: 0 }

/** The value at a place on the axis, rounded as a person would say it. */
export function valueAt(key: BandKey, g: number): number {
  const value = fromAxis(key, g)
  if (key === 'weight' && value > 100) return Math.round(value / 10) * 10
  const digits = 10 ** (DIGITS[key] ?? 1)
  return Math.round(value * digits) / digits
}
