import type { FactCodeOf } from '@tender-gill/core'

/** Several fish together, what is good today, and what happened to decisions. */
export const DAY_WORDS: Readonly<Record<FactCodeOf<'day'>, string>> = {
  'pot.too-few': 'Only {fish, plural, =0 {no fish} one {one fish} other {# fish}} pass what this dish must have, and {wanted} are wanted.',
  'pot.unfilled': 'No fish that passes fills the place of the {roles} one.',
  'pot.held-out': '{Fish} cannot go in. {gate}',
  'pot.held-out.opens': '{Fish} cannot go in. {gate} {open}',
  'pot.none': 'No set of different fish fills every place.',
  'slab.price.usual': 'at its usual price for the month',
  'slab.price.below': '{share} below its usual price for the month',
  'slab.price.above': '{share} above its usual price for the month',
  'slab.flesh.good': 'in good flesh',
  'slab.flesh.spent': 'spent, thin flesh',
  'slab.flesh.thin': 'flesh not at its best',
  'slab.stock': 'its stock stands at {standing}',
  'alert.closed': '{fish} cannot be taken for this day any more: {gate}.',
  'alert.over-budget': '{fish} went past the budget of {budget}: {rise}.',
  'alert.lost-lead': '{fish} stood first when it was taken; {leader} does now.',
  'alert.lost-lead.dearer': '{fish} stood first when it was taken; {leader} does now ({rise}).',
  'alert.dearer': '{fish} grew dearer: {rise}.',
  'alert.rise': '{was} a portion when it was taken, {now} now',
}
