import { composeFromFat, computeProperties, cookSlab, cookWhole, type SlabCook, type ThermalProperties } from '../heat/index.ts'
import type { NormalisedBrief } from '../facts/index.ts'
import { isMinced, WITHOUT_DEPTH } from '../tables/formats.ts'
import { DONE_C, FRIDGE_C, MEDIA, WHOLE_DEPTH_MM, WHOLE_DEPTH_SHARE, WHOLE_MEDIA, WHOLE_RATIOS } from '../tables/media.ts'
import { METHOD_TABLE, type Heat } from '../tables/methods.ts'
import { readTrait, type Candidate } from '../traits/index.ts'

/** Temperature at which the flesh's properties are taken, between fridge and done, °C. */
const PROPERTIES_AT_C = 40

/** Time grows as depth to this power where no medium tells the minutes: the thickness exponents of transient conduction, 20 to 30 mm. */
const DEPTH_EXPONENT: Record<Heat, number | null> = {
  steam: 1.93,
  water: 1.85,
  fat: 1.85,
  contact: 1.7,
  fierce: 1.7,
  dry: 1.59,
  none: null,
}

/** What one fish of the kind would weigh for this dish, g. */
function wholeWeightG({ offer }: Candidate, brief: NormalisedBrief): number {
  const { from, to } = brief.asks.weight ?? { from: null, to: null }
  return Math.min(to ?? Infinity, Math.max(from ?? 0, offer.weightG.typical))
}

/** How deep the fish lies in the dish, mm: a whole one at its thickest, a piece as it is cut, or as deep as its flesh. */
export function computeDepthMm(candidate: Candidate, brief: NormalisedBrief): number {
  const { offer } = candidate
  if (brief.format === 'whole')
    return WHOLE_DEPTH_MM[offer.body] * Math.cbrt(wholeWeightG(candidate, brief) / 1000) * (WHOLE_DEPTH_SHARE[brief.method] ?? 1)
  return Math.min(brief.thicknessMm ?? Infinity, offer.depthMm.typical)
}

/** Whether one fish cooks longer than another for its depth: not where the brief or the knife fixes it. */
export const depthTells = (brief: NormalisedBrief): boolean =>
  !isMinced(brief) && brief.thicknessMm === null && (!WITHOUT_DEPTH.has(brief.format) || brief.format === 'whole')

function cookBody(candidate: Candidate, brief: NormalisedBrief, flesh: ThermalProperties): SlabCook | undefined {
  const medium = WHOLE_MEDIA[brief.method]
  const body = { depthMm: computeDepthMm(candidate, brief), ratios: WHOLE_RATIOS[candidate.offer.body] }
  const cook = medium && cookWhole(body, flesh, medium, { startC: FRIDGE_C, targetC: DONE_C[brief.doneness] })
  return cook && { ...cook, minutes: cook.minutes + medium.lagMinutes }
}

/**
 * How one fish cooks in the medium of the dish, from the fridge to done: the one model of minutes there is, whoever asks (transient
 * conduction in closed form, see `heat`). Within a fifth.
 * @returns minutes until it is taken out, and at what temperature in the middle; undefined where no medium tells them
 */
export function cookFish(candidate: Candidate, brief: NormalisedBrief): SlabCook | undefined {
  const flesh = computeProperties(composeFromFat(readTrait('fat', candidate, brief)?.typical ?? 0), PROPERTIES_AT_C)
  if (brief.format === 'whole') return cookBody(candidate, brief, flesh)
  const targetC = DONE_C[brief.doneness]
  const medium = MEDIA[brief.method]?.(targetC)
  const cook = medium && cookSlab(computeDepthMm(candidate, brief) * medium.depthFactor, flesh, medium, { startC: FRIDGE_C, targetC })
  return cook && { ...cook, minutes: cook.minutes + medium.lagMinutes }
}

/** How many times as long one fish takes as another by depth alone, where no minutes can be told; undefined without heat. */
export function compareByDepth(candidate: Candidate, other: Candidate, brief: NormalisedBrief): number | undefined {
  const exponent = DEPTH_EXPONENT[METHOD_TABLE[brief.method].heat]
  return exponent === null ? undefined : (candidate.offer.depthMm.typical / other.offer.depthMm.typical) ** exponent
}
