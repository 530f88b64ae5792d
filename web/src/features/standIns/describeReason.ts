import type { MissingReason, StandIns } from '@tender-gill/contract'
import { joinWords } from '../../parts/dishWords.ts'

/** Who goes for a reason: one, and several. */
const LEFT_OUT: { readonly [R in MissingReason]: readonly [one: string, many: string] } = {
  'not-landed': ['that is missing with it is left out', 'that are missing with it are left out'],
  'too-dear': [
    'that costs no less, or whose price is not known, is left out',
    'that cost no less, or whose price is not known, are left out',
  ],
  'looked-bad': ['from the same delivery is left out', 'from the same delivery are left out'],
  'wrong-size': ['of the wrong size is left out', 'of the wrong size are left out'],
  stock: ['whose stock stands no better, or is not known, is left out', 'whose stock stands no better, or is not known, are left out'],
  allergy: ['with the same allergen is left out', 'with the same allergen are left out'],
  unsafe: ['that is unsafe for the same reason is left out', 'that are unsafe for the same reason are left out'],
}
const WORDS: { readonly [R in MissingReason]: string } = {
  'not-landed': 'Not landed',
  'too-dear': 'Too dear',
  'looked-bad': 'Looked bad',
  'wrong-size': 'Wrong size',
  stock: 'Stock too low',
  allergy: 'An allergy',
  unsafe: 'Not safe',
}

/** What a reason did to the stand-ins, in one line: who went for it, and which rungs are new. */
export function describeReason(because: MissingReason, without: StandIns, now: StandIns): string {
  const gone = without.order.filter(({ offerId }) => !now.order.some((one) => one.offerId === offerId)).length
  const fresh = now.ladder.filter(({ species }) => !without.ladder.some((one) => one.species === species)).map(({ common }) => common)
  const left = gone > 0 ? `${gone} ${LEFT_OUT[because][gone === 1 ? 0 : 1]}` : 'nobody is left out for it'
  const rungs = fresh.length > 0 ? `; ${joinWords(fresh)} ${fresh.length === 1 ? 'is a new rung' : 'are new rungs'}` : '; the rungs stay'
  return `${WORDS[because]}: ${left}${now.ladder.length > 0 ? rungs : ''}.`
}
