import { cookSlab, type Medium, type SlabCook } from './cookSlab.ts'
import type { ThermalProperties } from './properties.ts'
import { computeShapeNumber } from './shapeNumber.ts'

/** A whole fish as heat sees it. */
export interface WholeBody {
  /** Depth at the thickest, mm. */
  readonly depthMm: number
  /** The two other half axes over half the depth. */
  readonly ratios: readonly [number, number]
}

/**
 * Cooking of a whole fish, in closed form: the slab of its depth, faster by its shape number. Against simulation good to about a fifth.
 * @returns undefined where the medium is not hot enough ever to bring the middle there
 */
export function cookWhole(
  { depthMm, ratios }: WholeBody,
  flesh: ThermalProperties,
  medium: Medium,
  temperatures: { readonly startC: number; readonly targetC: number },
): SlabCook | undefined {
  const slab = cookSlab(depthMm, flesh, medium, temperatures)
  const biot = (medium.coefficient * depthMm) / 2000 / flesh.conductivity
  return slab && { ...slab, minutes: slab.minutes / computeShapeNumber(ratios, biot) }
}
