import type { Brief, NormalisedBrief, Opening } from '@tender-gill/contract'
import { normaliseBrief, type NormaliseOptions } from '../brief/index.ts'
import { findForms, type Candidate } from '../traits/index.ts'
import { applyOpenings } from './applyOpenings.ts'
import { findGates, type ScoringGap } from './findGates.ts'
import { openingFor } from './openingFor.ts'

export interface OpeningResult {
  readonly opens: readonly Opening[]
  readonly words: readonly string[]
}

/** Opening one gate can uncover another (a new cut has bones of its own); more rounds than this is another dish. */
const MOST_ROUNDS = 4

/**
 * The changes to a brief that open every gate of a candidate, proved by applying them; undefined where only another fish would do.
 */
export function findOpenings(candidate: Candidate, brief: Brief, gap: ScoringGap, options: NormaliseOptions): OpeningResult | undefined {
  let changed = brief
  const opens = new Map<string, Opening>()
  const words: string[] = []
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const normalised = normaliseBrief(changed, options)
    if (!normalised.ok) return undefined
    const current = withForm(candidate, normalised.value)
    const gates = findGates(current, normalised.value, gap)
    if (gates.length === 0) return { opens: [...opens.values()], words }
    for (const gate of gates) {
      const opening = openingFor(gate, current, normalised.value)
      if (!opening || opening.opens.length === 0) return undefined
      for (const step of opening.opens) opens.set(step.path, step)
      words.push(opening.words)
      changed = applyOpenings(changed, opening.opens)
    }
  }
  return undefined
}

const withForm = ({ offer, form }: Candidate, brief: NormalisedBrief): Candidate => ({ offer, form: findForms(offer, brief)[0] ?? form })
