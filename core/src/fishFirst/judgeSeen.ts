import type { Fact, Form, Gate, ResolvedOffer } from '@tender-gill/contract'
import { say, term, type NormalisedBrief } from '../facts/index.ts'
import { computeFit, explainPoints, type Scoring } from '../fit/index.ts'
import { GATE_ORDER, describeGate, findGates } from '../gates/index.ts'
import { byFit, judgeOffer, pickForSpecies, pickStanding, rankKnown, type Entry } from '../lineUp/index.ts'
import { findForms } from '../traits/index.ts'
import type { Seen } from './readSeen.ts'

const inOrder = (gates: readonly Gate[]): readonly Gate[] => [...gates].sort((a, b) => GATE_ORDER.indexOf(a) - GATE_ORDER.indexOf(b))

/** An offer in the one form in which it lies there: what that form does not give is closed, whatever else it is sold as. */
function judgeInForm(offer: ResolvedOffer, form: Form, brief: NormalisedBrief, scoring: Scoring): Entry {
  const candidate = { offer, form }
  const gates = findGates(candidate, brief, scoring)
  const gives = findForms(offer, brief).includes(form)
  return {
    candidate,
    precedence: rankKnown(offer, brief),
    fit: computeFit(candidate, brief, scoring),
    gates: gives || gates.includes('form') ? gates : inOrder([...gates, 'form']),
  }
}

/** Judges what a fish that was seen may be: in the form in which it lies there, or in the best where that was not said. */
export const judgeSeen = ({ form }: Pick<Seen, 'form'>, offer: ResolvedOffer, brief: NormalisedBrief, scoring: Scoring): Entry =>
  form === null ? judgeOffer(offer, brief, scoring) : judgeInForm(offer, form, brief, scoring)

/**
 * Of what a fish that was seen may be, the one that stands for it in the dish, as in a line-up; where none passes, the one with the fewest
 * gates.
 */
export function pickSeen(entries: readonly Entry[], brief: NormalisedBrief, scoring: Scoring): Entry | undefined {
  const passing = entries.filter(({ gates }) => gates.length === 0)
  if (passing.length > 0) return pickForSpecies(pickStanding(passing, brief, scoring), brief)[0]
  return [...entries].sort((a, b) => a.gates.length - b.gates.length || byFit(a, b))[0]
}

/** What stands most against a fish: the gate that leaves it out, or what costs it the most points. */
export function describeWorst({ candidate, fit, gates }: Entry, brief: NormalisedBrief): Fact {
  const [gate] = gates
  if (gate === undefined) return explainPoints(fit, brief)[0]?.sentence ?? say('miss.nothing')
  if (gate === 'form' && findForms(candidate.offer, brief).length > 0)
    return say('gate.form.bought', { form: term('form', candidate.form), format: term('format', brief.format) })
  return describeGate(gate, candidate, brief)
}
