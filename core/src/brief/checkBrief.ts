import type { BandKey, Brief } from '@tender-gill/contract'
import { say, term, type NormalisedAsks, type Problem } from '../facts/index.ts'
import { AXES } from '../tables/constants.ts'
import { gridCell } from '../tables/cuts.ts'
import { listStyles } from '../tables/styles.ts'

const heads = (brief: Brief) => {
  const { children = 0, pregnant = 0, elderly = 0, immunocompromised = 0 } = brief.diners ?? {}
  return { children, pregnant, elderly, immunocompromised }
}

/** Diners who must not eat raw or barely cooked fish. */
export const countVulnerable = (brief: Brief): number => Object.values(heads(brief)).reduce((sum, n) => sum + n, 0)

function checkDiners(brief: Brief): readonly Problem[] {
  const named = countVulnerable(brief)
  const covers = brief.covers ?? 1
  return named > covers ? [{ path: '/diners', message: say('problem.diners', { named, covers }) }] : []
}

function checkBand(key: BandKey, asks: NormalisedAsks, brief: Brief): readonly Problem[] {
  const input = brief.asks?.[key]
  const axis = AXES[key]
  const problems: Problem[] = []
  for (const end of ['from', 'to'] as const) {
    const value = input?.[end]
    if (typeof value === 'number' && ((value < axis.min && value !== 0) || value > axis.max || value < 0))
      problems.push({ path: `/asks/${key}/${end}`, message: say('problem.range', { from: axis.min, to: axis.max, unit: axis.unit }) })
  }
  const ask = asks[key]
  if (problems.length === 0 && ask && ask.from !== null && ask.to !== null && ask.from > ask.to)
    problems.push({ path: `/asks/${key}/from`, message: say('problem.above-upper', { value: ask.from, upper: ask.to }) })
  return problems
}

/** Everything the schema cannot see: contradictions inside the brief, each with its place. */
export function checkBrief(brief: Brief, asks: NormalisedAsks): readonly Problem[] {
  const problems: Problem[] = [...checkDiners(brief)]
  if (gridCell(brief.method, brief.format) === 'impossible')
    problems.push({
      path: '/format',
      message: say('problem.impossible-cut', { format: term('format', brief.format), method: term('method', brief.method) }),
    })
  if ((brief.doneness === 'moist' || brief.doneness === 'rare') && countVulnerable(brief) > 0)
    problems.push({ path: '/doneness', message: say(brief.doneness === 'rare' ? 'problem.rare' : 'problem.moist') })
  if (brief.style && !listStyles(brief.method).includes(brief.style))
    problems.push({ path: '/style', message: say('problem.style', { method: term('method', brief.method) }) })
  const mayBeCooked = brief.method === 'cure' || (brief.method === 'smoke' && brief.smokeHeat === 'cold')
  if (brief.servedAs && !mayBeCooked) problems.push({ path: '/servedAs', message: say('problem.served-as') })
  if (brief.wholeWeightG && brief.wholeWeightG.from > brief.wholeWeightG.to)
    problems.push({
      path: '/wholeWeightG/from',
      message: say('problem.above-upper', { value: brief.wholeWeightG.from, upper: brief.wholeWeightG.to }),
    })
  for (const key of Object.keys(brief.asks ?? {}) as BandKey[]) problems.push(...checkBand(key, asks, brief))
  return problems
}
