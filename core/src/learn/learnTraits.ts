import type { FleshKey, Learnt, LearnEvent, ResolvedOffer } from '@tender-gill/contract'
import { clampToScale, fromAxis, toAxis } from '../axes/index.ts'
import { AXES } from '../tables/constants.ts'
import { NOTE_SHARE } from '../tables/learning.ts'
import { layPrior, learnRange } from './posterior.ts'

type Cooked = Extract<LearnEvent, { kind: 'cooked' }>

const axisOf = (trait: FleshKey) => ({
  to: (x: number) => toAxis(trait, x),
  // A root cannot lead below nothing.
  from: (g: number) => clampToScale(trait, fromAxis(trait, Math.max(0, g))),
})

/** What is noted of each trait of an offer. */
function gatherNotes(events: readonly Cooked[]): ReadonlyMap<FleshKey, readonly number[]> {
  const notes = new Map<FleshKey, number[]>()
  for (const { notes: said } of events)
    for (const [trait, note] of Object.entries(said) as [FleshKey, number][]) {
      const own = notes.get(trait)
      if (own) own.push(note)
      else notes.set(trait, [note])
    }
  return notes
}

/** What cooks' notes make of the traits of an offer. A trait that the book knows without a range is not learnt. */
export function learnTraits(offer: ResolvedOffer, events: readonly Cooked[]): Learnt['traits'] {
  return [...gatherNotes(events)]
    .flatMap(([trait, notes]) => {
      const prior = layPrior(offer.traits[trait], axisOf(trait))
      if (!prior) return []
      const step = AXES[trait].shoulder * NOTE_SHARE
      const observed = notes.map((note) => prior.g.typical + note * step)
      return [{ offerId: offer.id, trait, ...learnRange(prior, observed, step), n: notes.length }]
    })
    .sort((a, b) => (a.trait < b.trait ? -1 : 1))
}
