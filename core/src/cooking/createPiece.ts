import type { CookMedium } from '@tender-gill/contract'
import { computeCookingYield, computeRawPortionG } from '../amounts/index.ts'
import { tabulateFlesh, type Across, type FleshTable } from '../conduction/index.ts'
import type { NormalisedBrief } from '../facts/index.ts'
import { composeFromFat, computeShapeNumber, type Composition } from '../heat/index.ts'
import { COOK_MEDIUM_TABLE } from '../tables/cookMedia.ts'
import { ACROSS, CHUNK_HALF_MM, FRIDGE_C, PORTION_DEPTH_MM, WIDE_OVER_DEPTH } from '../tables/cookPlans.ts'
import { isMinced, WITH_SKIN, WITHOUT_DEPTH } from '../tables/formats.ts'
import { USUAL_DEPTH_SHARE, WHOLE_DEPTH_MM, WHOLE_DEPTH_SHARE, WHOLE_RATIOS } from '../tables/wholeFish.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import type { Piece } from './runCook.ts'

/** Raw flesh, g/cm3. */
const DENSITY = 1.04
/** Bi of a whole fish in an oven or in steam is such that its shape number hardly hangs on it. */
const WHOLE_BIOT = 5

/** What is known of the piece besides the fish and the brief. */
export interface PieceAsked {
  readonly thicknessMm?: number | undefined
  /** Of one whole fish, or of one piece, g. */
  readonly weightG?: number | undefined
  readonly startC?: number | undefined
}

/** What one fish of the kind would weigh for this dish, g. */
function wholeWeightG({ offer }: Candidate, brief: NormalisedBrief): number {
  const { from, to } = brief.asks.weight ?? { from: null, to: null }
  return Math.min(to ?? Infinity, Math.max(from ?? 0, offer.weightG.typical))
}

/** How deep the fish lies in the dish, mm: a whole one at its thickest, a piece as it is cut, or as deep as its flesh. */
export function computeDepthMm(candidate: Candidate, brief: NormalisedBrief, { thicknessMm, weightG }: PieceAsked = {}): number {
  const { offer } = candidate
  if (thicknessMm !== undefined) return thicknessMm
  if (brief.format === 'whole') {
    const kg = (weightG ?? wholeWeightG(candidate, brief)) / 1000
    return WHOLE_DEPTH_MM[offer.body] * Math.cbrt(kg) * (WHOLE_DEPTH_SHARE[brief.method] ?? USUAL_DEPTH_SHARE)
  }
  return Math.min(brief.thicknessMm ?? Infinity, offer.depthMm.typical)
}

/** Whether one fish cooks longer than another for its depth: not where the brief or the knife fixes it. */
export const depthTells = (brief: NormalisedBrief): boolean =>
  !isMinced(brief) && brief.thicknessMm === null && (!WITHOUT_DEPTH.has(brief.format) || brief.format === 'whole')

/** Half the width of a piece of that weight and depth; null where its edge is too far from its middle to matter. */
function findAcross(brief: NormalisedBrief, depthMm: number, weightG: number | undefined): Across | null {
  const shape = ACROSS[brief.format]
  if (!shape) return null
  const pieceG = weightG ?? computeRawPortionG(brief, computeCookingYield(brief).typical)
  // A deeper fish is cut as wide: it is the heavier for it, and never the quicker.
  const areaMm2 = (pieceG * 1000) / DENSITY / (weightG === undefined ? PORTION_DEPTH_MM : depthMm)
  const widthOfPiece = shape.exponent === 2 ? Math.sqrt(areaMm2 / Math.PI) : Math.sqrt(areaMm2 / shape.lengthOverWidth) / 2
  const halfMm = brief.format === 'chunk' && weightG === undefined ? CHUNK_HALF_MM : widthOfPiece
  return halfMm > WIDE_OVER_DEPTH * depthMm ? null : { halfM: halfMm / 1000, exponent: shape.exponent }
}

const tables = new Map<number, FleshTable>()
/** Flesh of a fat content, g in 100 g, to the tenth; the same table for all that have it. */
export function fleshOfFat(fatG: number): FleshTable {
  const key = Math.round(fatG * 10)
  const ready = tables.get(key) ?? tabulateFlesh(composeFromFat(key / 10))
  tables.set(key, ready)
  return ready
}

/** What the flesh of a fish is made of. */
export const composeFish = (candidate: Candidate, brief: NormalisedBrief): Composition =>
  composeFromFat(readTrait('fat', candidate, brief)?.typical ?? 0)

/**
 * A fish of a dish as heat sees it.
 * @param media what it goes into: what heats one face at a time takes a whole fish for a flat piece of the same speed
 */
export function createPiece(candidate: Candidate, brief: NormalisedBrief, media: readonly CookMedium[], asked: PieceAsked = {}): Piece {
  const depthMm = computeDepthMm(candidate, brief, asked)
  const skin = WITH_SKIN.has(brief.format) && brief.skin !== 'off'
  const common = { flesh: fleshOfFat(readTrait('fat', candidate, brief)?.typical ?? 0), startC: asked.startC ?? FRIDGE_C, skin }
  if (brief.format !== 'whole') return { ...common, depthMm, shapeNumber: null, across: findAcross(brief, depthMm, asked.weightG) }
  const shapeNumber = computeShapeNumber(WHOLE_RATIOS[candidate.offer.body], WHOLE_BIOT)
  if (media.some((medium) => COOK_MEDIUM_TABLE[medium].oneSided))
    return { ...common, depthMm: depthMm / Math.sqrt(shapeNumber), shapeNumber: null, across: null }
  return { ...common, depthMm, shapeNumber, across: null }
}
