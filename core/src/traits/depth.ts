import type { Body } from '@tender-gill/contract'
import { DEPTH_FACTOR, STEAK_FACTOR } from '../tables/constants.ts'

/** Depth of a fillet, mm, of a fish of this whole weight: k W^(1/3), W in kg. */
export const computeFilletDepthMm = (body: Body, weightG: number): number => DEPTH_FACTOR[body] * Math.cbrt(weightG / 1000)

/** Weight of one steak, g, cut this thick from a fish of this whole weight; grows as the cross-section, W^(2/3). */
export const computeSteakG = (body: Body, weightG: number, thicknessMm: number): number =>
  STEAK_FACTOR[body] * (weightG / 1000) ** (2 / 3) * thicknessMm
