import type { Brief, Opening, Fact } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import type { Normalise } from '../brief/index.ts'
import { findForms, type Candidate } from '../traits/index.ts'
import { applyOpenings } from './applyOpenings.ts'
import { findGates, type ScoringGap } from './findGates.ts'
import { openingFor, type OfferOn } from './openingFor.ts'

export interface OpeningResult {
  readonly opens: readonly Opening[]
  readonly changes: readonly Fact[]
  /** How much of the dish the changes take away together. */
  readonly effort: number
}

export interface OpeningContext {
  readonly gap: ScoringGap
  readonly normalise: Normalise
  readonly offerOn: OfferOn
}

/** Opening one gate can uncover another (a new cut has bones of its own); more rounds than this is another dish. */
const MOST_ROUNDS = 4

/**
 * The changes to a brief that open every gate of a candidate, proved by applying them; undefined where only another fish would do.
 */
export function findOpenings(candidate: Candidate, brief: Brief, { gap, normalise, offerOn }: OpeningContext): OpeningResult | undefined {
  let changed = brief
  let effort = 0
  const opens = new Map<string, Opening>()
  const changes: Fact[] = []
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const normalised = normalise(changed)
    if (!normalised.ok) return undefined
    const current = withForm({ ...candidate, offer: offerOn(candidate.offer, normalised.value.date) }, normalised.value)
    const gates = findGates(current, normalised.value, gap)
    if (gates.length === 0) return { opens: [...opens.values()], changes, effort }
    for (const gate of gates) {
      const opening = openingFor(gate, current, normalised.value, offerOn)
      if (!opening || opening.opens.length === 0) return undefined
      for (const step of opening.opens) opens.set(step.path, step)
      changes.push(opening.change)
      effort += opening.effort
      changed = applyOpenings(changed, opening.opens)
    }
  }
  return undefined
}

const withForm = ({ offer, form }: Candidate, brief: NormalisedBrief): Candidate => ({ offer, form: findForms(offer, brief)[0] ?? form })
