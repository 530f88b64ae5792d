import type { Fact } from '@tender-gill/contract'
import { burnsWithin, compareByDepth, computeDepthMm, cookFish, depthTells, findTargetC } from '../../cooking/index.ts'
import { celsius, figure, length, minutes, say, share } from '../../facts/index.ts'
import type { Candidate } from '../../traits/index.ts'
import { change, round, type FindChange, type Swap } from './swap.ts'

/** A difference in time below this share is within what a cook does not notice. */
const NOTICED_SHARE = 0.15

/** Both fish in the medium of the dish; neither where their depth makes no difference. */
const cookBoth = ({ missing, candidate, brief }: Swap) =>
  depthTells(brief) ? ([cookFish(candidate, brief), cookFish(missing, brief)] as const) : ([undefined, undefined] as const)

const toMinutes = (minutes: number): number => (minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes))

/** Depths as they are compared: of a fillet, or of the whole fish at its thickest. */
function describeDepths({ missing, candidate, brief }: Swap): Fact {
  const depth = (fish: Candidate) => length(computeDepthMm(fish, brief))
  return say(brief.format === 'whole' ? 'depths.whole' : 'depths.fillet', { now: depth(candidate), was: depth(missing) })
}

/** How much longer or shorter by depth alone, where no minutes can be told. */
const findRelativeTime: FindChange = (swap) => {
  const { missing, candidate, brief } = swap
  const ratio = depthTells(brief) ? compareByDepth(candidate, missing, brief) : undefined
  if (ratio === undefined) return undefined
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
  const [now, before] = cookBoth(swap)
  if (!now || !before) return findRelativeTime(swap)
  if (Math.abs(now.minutes / before.minutes - 1) < NOTICED_SHARE) return undefined
  const [told, was] = [toMinutes(now.minutes), toMinutes(before.minutes)]
  const rather = burnsWithin(swap.brief, told) ? 'yes' : 'no'
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
export const findPullChange: FindChange = (swap) => {
  const { brief } = swap
  const [now, before] = cookBoth(swap)
  if (!now || !before) return undefined
  const delta = Math.round(now.pullC) - Math.round(before.pullC)
  if (Math.abs(delta) < 2) return undefined
  return change(
    'pull-temp',
    say('change.pull', {
      ...{ from: celsius(Math.round(now.pullC)), to: celsius(Math.round(now.pullC) + PROBE_MISS_K) },
      ...{ wasFrom: celsius(Math.round(before.pullC)), wasTo: celsius(Math.round(before.pullC) + PROBE_MISS_K) },
      done: celsius(findTargetC(brief)),
    }),
    delta,
    '°C',
  )
}
