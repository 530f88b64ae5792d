import { celsius, minutes, say, type Caution, type NormalisedBrief } from '../facts/index.ts'
import { isServedRaw } from '../safety/index.ts'
import { DONE_C, LONGEST_ON_ONE_FACE_MIN } from '../tables/cookPlans.ts'
import type { LaidStage } from '../cooking/index.ts'

/** Fat this hot burns at a splash. */
const FAT_MEDIA: ReadonlySet<string> = new Set(['shallow-fat', 'deep-fat', 'deep-fat-battered', 'pan', 'lidded-pan'])
const STEAM_MEDIA: ReadonlySet<string> = new Set(['steam', 'wrapped-steam', 'covered-sauce'])
/** What is kept hot or cooled passes through the warmth that germs like; commonly given limits. */
const HOT_HOLDING_C = 63
const COLD_C = 5
const COOLING_MIN = 90

/** What can hurt at the stove, and after it, in the usual words. */
export function listCookCautions(stages: readonly LaidStage[], brief: NormalisedBrief): readonly Caution[] {
  const found: Caution[] = []
  const burns = stages.find(({ medium, seconds }) => seconds / 60 > (LONGEST_ON_ONE_FACE_MIN[medium] ?? Infinity))
  if (burns) found.push({ kind: 'burns', sentence: say('caution.cook.burns', { minutes: minutes(Math.round(burns.seconds / 60)) }) })
  const uses = (media: ReadonlySet<string>) => stages.some(({ medium }) => media.has(medium))
  if (uses(FAT_MEDIA)) found.push({ kind: 'hot-oil', sentence: say('caution.cook.oil') })
  if (uses(STEAM_MEDIA)) found.push({ kind: 'steam', sentence: say('caution.cook.steam') })
  if (uses(new Set(['charcoal', 'broiler', 'pan']))) found.push({ kind: 'flame', sentence: say('caution.cook.flame') })
  if (!isServedRaw(brief))
    found.push({
      kind: 'holding',
      sentence: say('caution.cook.holding', {
        hot: celsius(HOT_HOLDING_C),
        cold: celsius(COLD_C),
        within: minutes(COOLING_MIN),
        reheat: celsius(DONE_C.set),
      }),
    })
  return found
}
