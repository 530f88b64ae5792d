import type { Fact } from '@tender-gill/contract'
import { celsius, figure, length, minutes, say, share, type NormalisedBrief } from '../../facts/index.ts'
import { composeFromFat, computeProperties, cookSlab, cookWhole, type SlabCook, type ThermalProperties } from '../../heat/index.ts'
import { WITHOUT_DEPTH } from '../../tables/formats.ts'
import { DONE_C, FRIDGE_C, MEDIA, WHOLE_DEPTH_MM, WHOLE_DEPTH_SHARE, WHOLE_MEDIA, WHOLE_RATIOS } from '../../tables/media.ts'
import { METHOD_TABLE, type Heat } from '../../tables/methods.ts'
import type { Candidate } from '../../traits/index.ts'
import { change, round, typicalOf, type FindChange, type Swap } from './swap.ts'

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
/** A difference in time below this share is within what a cook does not notice. */
const NOTICED_SHARE = 0.15

/** After this long a face on fierce heat burns before the middle is done, min. */
const LONGEST_ON_ONE_FACE: Record<Heat, number> = {
  contact: 14,
  fierce: 20,
  fat: 12,
  dry: Infinity,
  steam: Infinity,
  water: Infinity,
  none: Infinity,
}

/** How deep the flesh lies in the cut: none where the brief or the knife fixes it. */
const depthTells = (brief: NormalisedBrief): boolean =>
  brief.thicknessMm === null && (!WITHOUT_DEPTH.has(brief.format) || brief.format === 'whole')

/** What one fish of the kind would weigh for this dish, g. */
function wholeWeightG({ offer }: Candidate, brief: NormalisedBrief): number {
  const { from, to } = brief.asks.weight ?? { from: null, to: null }
  return Math.min(to ?? Infinity, Math.max(from ?? 0, offer.weightG.typical))
}

const wholeDepthMm = (candidate: Candidate, brief: NormalisedBrief): number =>
  WHOLE_DEPTH_MM[candidate.offer.body] * Math.cbrt(wholeWeightG(candidate, brief) / 1000) * (WHOLE_DEPTH_SHARE[brief.method] ?? 1)

function cookWholeOf(candidate: Candidate, brief: NormalisedBrief, flesh: ThermalProperties): SlabCook | undefined {
  const medium = WHOLE_MEDIA[brief.method]
  const body = { depthMm: wholeDepthMm(candidate, brief), ratios: WHOLE_RATIOS[candidate.offer.body] }
  const cook = medium && cookWhole(body, flesh, medium, { startC: FRIDGE_C, targetC: DONE_C[brief.doneness] })
  return cook && { ...cook, minutes: cook.minutes + medium.lagMinutes }
}

/** How one fish cooks in the medium of the dish; undefined where no medium tells it. */
function cookOf(candidate: Candidate, brief: NormalisedBrief): SlabCook | undefined {
  if (!depthTells(brief)) return undefined
  const flesh = computeProperties(composeFromFat(typicalOf('fat', candidate, brief)), 40)
  if (brief.format === 'whole') return cookWholeOf(candidate, brief, flesh)
  const targetC = DONE_C[brief.doneness]
  const medium = MEDIA[brief.method]?.(targetC)
  const cook = medium && cookSlab(candidate.offer.depthMm.typical * medium.depthFactor, flesh, medium, { startC: FRIDGE_C, targetC })
  return cook && { ...cook, minutes: cook.minutes + medium.lagMinutes }
}

const toMinutes = (minutes: number): number => (minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes))

/** Depths as they are compared: of a fillet, or of the whole fish at its thickest. */
function describeDepths({ missing, candidate, brief }: Swap): Fact {
  const depth = (fish: Candidate) => length(brief.format === 'whole' ? wholeDepthMm(fish, brief) : fish.offer.depthMm.typical)
  return say(brief.format === 'whole' ? 'depths.whole' : 'depths.fillet', { now: depth(candidate), was: depth(missing) })
}

/** How much longer or shorter by depth alone, where no minutes can be told. */
const findRelativeTime: FindChange = (swap) => {
  const { missing, candidate, brief } = swap
  const exponent = DEPTH_EXPONENT[METHOD_TABLE[brief.method].heat]
  if (exponent === null || !depthTells(brief)) return undefined
  const ratio = (candidate.offer.depthMm.typical / missing.offer.depthMm.typical) ** exponent
  const percent = Math.round((100 * ratio - 100) / 5) * 5
  if (Math.abs(percent) < 100 * NOTICED_SHARE) return undefined
  const depths = describeDepths(swap)
  const far = share(Math.abs(percent) / 100)
  const told =
    percent > 100
      ? say('change.time.twice', { depths })
      : say(percent > 0 ? 'change.time.longer' : 'change.time.shorter', { share: far, depths })
  return change('cook-time', told, percent, '%')
}

/** Minutes where they can be worked out, else how much longer or shorter; nothing when the brief fixes the thickness. */
export const findTimeChange: FindChange = (swap) => {
  const now = cookOf(swap.candidate, swap.brief)
  const before = cookOf(swap.missing, swap.brief)
  if (!now || !before) return findRelativeTime(swap)
  if (Math.abs(now.minutes / before.minutes - 1) < NOTICED_SHARE) return undefined
  const [told, was] = [toMinutes(now.minutes), toMinutes(before.minutes)]
  const rather = LONGEST_ON_ONE_FACE[METHOD_TABLE[swap.brief.method].heat] < told ? 'yes' : 'no'
  return change(
    'cook-time',
    say('change.time', { minutes: minutes(told), was: figure(was, 1), depths: describeDepths(swap), rather }),
    round(told - was),
    'min',
  )
}

/** A probe a few millimetres off the coldest plane reads this much more, K. */
const PROBE_MISS_K = 4

/** Thin pieces go on cooking for longer out of the heat, thick ones for less: where that differs, when to take it out. */
export const findPullChange: FindChange = ({ missing, candidate, brief }) => {
  const now = cookOf(candidate, brief)
  const before = cookOf(missing, brief)
  if (!now || !before) return undefined
  const delta = Math.round(now.pullC) - Math.round(before.pullC)
  if (Math.abs(delta) < 2) return undefined
  return change(
    'pull-temp',
    say('change.pull', {
      ...{ from: celsius(Math.round(now.pullC)), to: celsius(Math.round(now.pullC) + PROBE_MISS_K) },
      ...{ wasFrom: celsius(Math.round(before.pullC)), wasTo: celsius(Math.round(before.pullC) + PROBE_MISS_K) },
      done: celsius(DONE_C[brief.doneness]),
    }),
    delta,
    '°C',
  )
}
