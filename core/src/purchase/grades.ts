import type { Form, ResolvedOffer } from '@tender-gill/contract'
import type { KeptShare } from './keptShare.ts'

/** Weights of one piece as it is sold, g. */
export interface GradeRange {
  readonly fromG: number
  readonly toG: number
}

/** How far from the portions it is to serve a fish may lie, as shares of them. */
const LEAST_SERVED = 0.85
const MOST_SERVED = 1.6

/** Whether every fish of a grade serves its eaters: neither too little on the plate nor far too much. */
export const suits = ({ fromG, toG }: GradeRange, servedG: number, { mean }: KeptShare): boolean =>
  Math.exp(mean) * fromG >= LEAST_SERVED * servedG && Math.exp(mean) * toG <= MOST_SERVED * servedG

const THIRDS = 3
/** The sizes an offer comes in, in a form, g: its own, else its range in three steps of equal ratio. */
export function listGrades({ grades, weightG: { low, high }, forms }: ResolvedOffer, form: Form): readonly GradeRange[] {
  const share = form === 'whole' ? 1 : (forms.find((sold) => sold.form === form)?.yieldOfWhole.typical ?? 1)
  const ratio = (high / low) ** (1 / THIRDS)
  const own =
    grades && grades.length > 0
      ? grades
      : Array.from({ length: THIRDS }, (_, i) => ({ fromG: low * ratio ** i, toG: low * ratio ** (i + 1) }))
  return own.map(({ fromG, toG }) => ({ fromG: fromG * share, toG: toG * share })).sort((a, b) => a.fromG - b.fromG)
}

const middleOf = ({ fromG, toG }: GradeRange) => Math.log((fromG + toG) / 2)

/**
 * The grade to ask for: the smallest that suits what a fish is to serve, else the nearest in middle weight, on ln; of fish to be cut, the
 * nearest to the offer's typical weight.
 * @param servedG portions one fish is to serve, g on the plates; null where fish are cut
 */
export function chooseGrade(offer: ResolvedOffer, form: Form, kept: KeptShare, servedG: number | null): GradeRange {
  const grades = listGrades(offer, form)
  const suiting = servedG === null ? undefined : grades.find((grade) => suits(grade, servedG, kept))
  if (suiting) return suiting
  const share = form === 'whole' ? 1 : (offer.forms.find((sold) => sold.form === form)?.yieldOfWhole.typical ?? 1)
  const wanted = Math.log(servedG === null ? offer.weightG.typical * share : servedG / Math.exp(kept.mean))
  const far = (grade: GradeRange) => Math.abs(middleOf(grade) - wanted)
  return grades.reduce((best, grade) => (far(grade) < far(best) ? grade : best))
}
