import type { Range } from '@tender-gill/contract'
import { celsius, minutes, say, type Cook, type NormalisedBrief } from '../facts/index.ts'
import type { LaidStage } from '../cooking/index.ts'
import { TIME_ERROR } from '../tables/cookPlans.ts'
import { COOK_MEDIUM_TABLE } from '../tables/cookMedia.ts'
import { WITH_SKIN } from '../tables/formats.ts'
import { METHOD_TABLE } from '../tables/methods.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import type { Curve } from './drawCurve.ts'

type Sign = Cook['signs'][number]

/** A time with what it is good to. */
export const spread = (value: number): Range => ({ low: value * (1 - TIME_ERROR), typical: value, high: value * (1 + TIME_ERROR) })

/** Flakes part under a light press about here; albumen comes out white above this, degrees C. */
const FLAKES_C = 52
/** A finger feels it firm up, and juices no longer run cloudy, about here, degrees C. */
const SPRINGS_C = 50
const CLEAR_C = 57
const BEADS_C = 58
/** Below this on its scale the flesh does not flake. */
const LEAST_FLAKE = 3

/** What a cook sees of a piece, in the order in which it comes. */
export function listSigns(curve: Curve, stages: readonly LaidStage[], candidate: Candidate, brief: NormalisedBrief): readonly Sign[] {
  const pulledS = curve.run.cookedS
  const found: Sign[] = []
  const add = (kind: string, seconds: number | undefined, sentence: Sign['sentence']): void => {
    if (seconds !== undefined && seconds <= pulledS * 1.02) found.push({ kind, minutes: spread(seconds / 60), sentence })
  }
  const [first] = stages
  const oneSided = first !== undefined && COOK_MEDIUM_TABLE[first.medium].oneSided
  const side = oneSided ? 'one' : 'both'
  if (first && oneSided && stages.length > 1)
    add('turn', first.seconds, say('look.turn', { skin: brief.skin !== 'off' && WITH_SKIN.has(brief.format) ? 'yes' : 'no' }))
  if (METHOD_TABLE[brief.method].heat !== 'fat' && brief.format !== 'whole') {
    add('third', curve.opaqueAtS(1 / 3), say('look.third', { side }))
    add('two-thirds', curve.opaqueAtS(2 / 3), say('look.two-thirds', { side }))
  }
  add('through', curve.opaqueAtS(1), say('look.through'))
  const flakes = (readTrait('flake', candidate, brief)?.typical ?? 0) >= LEAST_FLAKE
  add('spring', curve.coreAtS(SPRINGS_C), say('look.springs'))
  if (flakes) add('flakes', curve.coreAtS(FLAKES_C), say('look.flakes'))
  add('juices', curve.coreAtS(CLEAR_C), say('look.juices'))
  add('beads', curve.coreAtS(BEADS_C), say('look.beads'))
  found.sort((a, b) => (a.minutes?.typical ?? 0) - (b.minutes?.typical ?? 0))
  const { pullC, offCoreC, peakS, cookedS } = curve.run
  return [
    ...found,
    {
      kind: 'take-out',
      minutes: spread(cookedS / 60),
      sentence: say('look.take-out', {
        from: celsius(Math.round(pullC)),
        to: celsius(Math.round(Math.max(pullC + 1, offCoreC))),
        place: brief.format === 'whole' ? 'back' : oneSided ? 'above' : 'middle',
      }),
    },
    ...(peakS - cookedS > 20
      ? [
          {
            kind: 'rest',
            minutes: spread(peakS / 60),
            sentence: say('look.rest', { minutes: minutes(Math.max(1, Math.round((peakS - cookedS) / 60))) }),
          },
        ]
      : []),
  ]
}
