import type { BandKey, Brief, NormalisedAsks, Problem } from '@tender-gill/contract'
import { AXES } from '../tables/constants.ts'
import { FORMAT_LABEL } from '../tables/formats.ts'
import { METHOD_TABLE, gridCell } from '../tables/methods.ts'

const heads = (brief: Brief) => {
  const { children = 0, pregnant = 0, elderly = 0, immunocompromised = 0 } = brief.diners ?? {}
  return { children, pregnant, elderly, immunocompromised }
}

/** Diners who must not eat raw or barely cooked fish. */
export const countVulnerable = (brief: Brief): number => Object.values(heads(brief)).reduce((sum, n) => sum + n, 0)

function checkDiners(brief: Brief): readonly Problem[] {
  const named = countVulnerable(brief)
  const covers = brief.covers ?? 1
  return named > covers ? [{ path: '/diners', message: `names ${named} diners, and there are ${covers} covers` }] : []
}

function checkBand(key: BandKey, asks: NormalisedAsks, brief: Brief): readonly Problem[] {
  const input = brief.asks?.[key]
  const axis = AXES[key]
  const problems: Problem[] = []
  for (const end of ['from', 'to'] as const) {
    const value = input?.[end]
    if (typeof value === 'number' && ((value < axis.min && value !== 0) || value > axis.max || value < 0))
      problems.push({ path: `/asks/${key}/${end}`, message: `must be from ${axis.min} to ${axis.max} ${axis.unit}`.trim() })
  }
  const ask = asks[key]
  if (problems.length === 0 && ask && ask.from !== null && ask.to !== null && ask.from > ask.to)
    problems.push({ path: `/asks/${key}/from`, message: `is ${ask.from}, above the upper end ${ask.to}` })
  return problems
}

/** Everything the schema cannot see: contradictions inside the brief, each with its place. */
export function checkBrief(brief: Brief, asks: NormalisedAsks): readonly Problem[] {
  const problems: Problem[] = [...checkDiners(brief)]
  if (gridCell(brief.method, brief.format) === 'impossible')
    problems.push({ path: '/format', message: `${FORMAT_LABEL[brief.format]} cannot be ${METHOD_TABLE[brief.method].label.toLowerCase()}` })
  if (brief.doneness === 'moist' && countVulnerable(brief) > 0)
    problems.push({ path: '/doneness', message: 'must be "set" when children, pregnant, elderly or immunocompromised diners eat' })
  if (brief.wholeWeightG && brief.wholeWeightG.from > brief.wholeWeightG.to)
    problems.push({ path: '/wholeWeightG/from', message: `is ${brief.wholeWeightG.from}, above the upper end ${brief.wholeWeightG.to}` })
  for (const key of Object.keys(brief.asks ?? {}) as BandKey[]) problems.push(...checkBand(key, asks, brief))
  return problems
}
