import type { Body } from '@tender-gill/contract'
import { computeFilletDepthMm } from '@tender-gill/core'

const round = (mm: number) => Math.round(mm * 10) / 10

/** Depth of a fillet over the market weights of a species, mm, where the file gives none of its own. */
export const measureDepth = (body: Body, [low, typical, high]: readonly [number, number, number]): [number, number, number] => [
  round(computeFilletDepthMm(body, low)),
  round(computeFilletDepthMm(body, typical)),
  round(computeFilletDepthMm(body, high)),
]
